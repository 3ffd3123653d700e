'use client';

import type { ReactNode } from 'react';
import type { CounterAdvice } from '@/core/rig/count/adviceForRig';
import type { LoadRecord } from '@/core/record/record';
import { USUAL_RANGE } from '@/core/rig/line/workingRange';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** Three ways side by side: strip or add, reload, or leave it and use the table; each with its cost and what is left. */
export function AdviceWays({ load, advice }: { load: LoadRecord; advice: CounterAdvice }) {
  const { format } = useUnits();
  const range = useRangeWords();
  return (
    <div className="grid gap-3 md:grid-cols-3">
      <AtTheTop load={load} advice={advice} />
      <Reload advice={advice} />
      <Way title="Leave it, use the table" left={null}>
        <p className="text-sm">
          Costs nothing. The counter itself is off by up to {format.percent(Math.abs(advice.worstNow))} {range}; by the
          corrected readings below it is right over the whole line, to their ±.
        </p>
      </Way>
    </div>
  );
}

/** The lengths that a rod is fished with, and whether they are the usual ones. */
function useRangeWords(): string {
  const { record } = useRig();
  const { format } = useUnits();
  const { fromM, toM } = record.workingRange ?? USUAL_RANGE;
  const words = `between ${format.length(fromM)} and ${format.length(toM)}`;
  return record.workingRange ? words : `${words} (usual; this rod has no working range of its own yet)`;
}

function Way({ title, left, children }: { title: string; left: number | null; children: ReactNode }) {
  const { format } = useUnits();
  const range = useRangeWords();
  return (
    <section className="border-l-4 border-rule pl-3">
      <h3 className="lettered">{title}</h3>
      {children}
      {left !== null && (
        <p className="mt-1 text-xs text-ink-soft">
          Left then, at most {range}: {format.percent(Math.abs(left))} {left > 0 ? 'high' : 'low'}.
        </p>
      )}
    </section>
  );
}

function AtTheTop({ load, advice }: { load: LoadRecord; advice: CounterAdvice }) {
  const { record, states } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state } = useSend();
  const { top } = advice;
  const title = advice.errorNow > 0 ? 'Add at the top' : 'Strip at the top';
  if (!top.ok) {
    return (
      <Way title={title} left={null}>
        <p className="text-sm">
          Closed: {say(top)}
          {top.reason === 'past-the-rim' &&
            ` It would take ${format.length(top.figures.wantedM)}; ${format.length(top.figures.mostM)} reach the rim, where it would read ${format.counts(top.figures.readingAtRim)}.`}
        </p>
      </Way>
    );
  }
  const { stripM, segmentId, expectedReading, worstAfter, chanceWithinOnePercent } = top.value;
  const name = load.segments.find((segment) => segment.segmentId === segmentId)?.name ?? '';
  const note = (): void => {
    const body = {
      segmentId,
      changeM: Math.abs(stripM.value),
      reason: stripM.value > 0 ? ('stripped' as const) : ('added' as const),
      note: 'to make the counter true',
    };
    void sendNow(
      'changeLength',
      { boatId: record.boat.id, rigId: record.id, loadId: load.id },
      body,
      'Noted. Walk the tape once more to confirm.',
    );
  };
  return (
    <Way title={title} left={worstAfter}>
      <p className="figures text-2xl font-bold">{format.length(Math.abs(stripM.value), stripM.plusMinus)}</p>
      <p className="text-sm">
        {stripM.value > 0 ? 'off' : 'on to'} {name}; then expect {format.counts(expectedReading)} at a true{' '}
        {format.length(advice.atM)}. The ± comes mostly from {stripM.mainlyFrom && say(stripM.mainlyFrom)}. By what is
        known now, one such step makes it true to within 1 % in {inTen(chanceWithinOnePercent)}.{' '}
        {stripM.value > 0
          ? 'Keep it uncut until the next walk confirms it: it can go back on.'
          : states.count.state === 'done'
            ? 'It was accepted before, so the end may be cut: this line then needs a join.'
            : 'The supply end is still uncut, so it simply goes on.'}
      </p>
      <Button className="mt-2" disabled={state.kind === 'sending'} onClick={note}>
        I have {stripM.value > 0 ? 'taken it off' : 'put it on'}
      </Button>
    </Way>
  );
}

/** A chance in words that nobody takes for a promise. */
function inTen(chance: number): string {
  const tenths = Math.round(10 * chance);
  return tenths >= 10 ? 'nearly all cases' : tenths <= 0 ? 'hardly any case' : `${tenths} of 10 cases`;
}

function Reload({ advice: { reload } }: { advice: CounterAdvice }) {
  const { format } = useUnits();
  const say = useSay();
  if (!reload.ok) {
    return (
      <Way title="Reload with another fill" left={null}>
        <p className="text-sm">Closed: {say(reload)}</p>
      </Way>
    );
  }
  const { segmentName, nowM, thenM, plusMinusM, levelBelowRimM, worstAfter, joins } = reload.value;
  return (
    <Way title="Reload with another fill" left={worstAfter}>
      <p className="figures text-2xl font-bold">{format.length(thenM, plusMinusM)}</p>
      <p className="text-sm">
        of {segmentName}, {format.length(Math.abs(thenM - nowM))} {thenM > nowM ? 'more' : 'less'} than now: the level
        then lies {format.small(levelBelowRimM)} under the rim. Costs everything off and on again and {joins} join
        {joins === 1 ? '' : 's'}. In doubt leave it longer: line comes off at the top, it cannot go on without a join.
      </p>
    </Way>
  );
}
