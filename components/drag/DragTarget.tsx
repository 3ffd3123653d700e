'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import {
  dragTarget,
  straightPlusMinusN,
  FRACTION_LIMITS,
  FRACTION_PRESETS,
  USUAL_FRACTION,
  type DragBasis,
} from '@/core/drag/dragTarget';
import { because } from '@/core/reasons';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { Figure } from '@/core/provenance/figure';
import type { Known } from '@/core/provenance/source';
import { dragBases } from '@/core/rig/drag/dragBases';
import { growthInReach } from '@/core/rig/drag/growthInReach';
import { weakestHolds } from '@/core/rig/drag/weakestHolds';
import { guideFactorFor } from '@/core/rig/drag/guideOfRig';
import type { LoadRecord } from '@/core/record/record';
import type { RigView } from '@/core/rig/view/rigView';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { isText, keepForLater, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { foldAway } from '@/components/ui/folds';
import { MeasureNext } from '@/components/worth/MeasureNext';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { fetched } from '@/components/ui/fetched';
import { warmKey } from './warm';

// What is folded is loaded when it is opened.
const GuidesField = dynamic(() => fetched(() => import('./GuidesField')).then(({ GuidesField: loaded }) => loaded));
const ReachField = dynamic(() => fetched(() => import('./ReachField')).then(({ ReachField: loaded }) => loaded));

const BASIS_NAMES: Readonly<Record<DragBasis, string>> = {
  weakest: 'weakest place',
  tested: 'tested line',
  label: 'label',
};

/** A growth of the drag that is worth a word. */
const WORTH_SAYING = 1.01;

const BENDS = [
  { value: '30', text: 'a little, 30°' },
  { value: '60', text: 'as with a fish, 60°' },
  { value: '90', text: 'deep, 90°' },
] as const;

/** The target at the tip, from every basis side by side, and the start of a scale session. */
export function DragTarget({ view, load }: { view: RigView; load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state, fieldError } = useSend();
  const [typedPercent, setTypedPercent] = useDraft(`fraction:${load.id}`, isText);
  const [chosen, setChosen] = useState<DragBasis>('weakest');
  const [bend, setBend] = useState<(typeof BENDS)[number]['value']>('60');
  const rodAngleRad = (Number(bend) * Math.PI) / 180;
  const percentText = typedPercent ?? '25';
  const percent = Number(percentText.replace(',', '.'));
  const fraction = percent / 100;
  const readable = Number.isFinite(percent) && fraction >= FRACTION_LIMITS.min && fraction <= FRACTION_LIMITS.max;
  const choices = dragBases(record, view.current.line);
  const basis = choices.find((choice) => choice.basis === chosen);
  const weakest = view.inReach && weakestHolds(record, view.inReach);
  const growth = growthInReach(record, view.current.line, view.reach);
  const outcome =
    basis?.strengthN && readable
      ? dragTarget(basis.strengthN, fraction, record.reel.dragLimitN, weakest, growth)
      : null;
  const guide = guideFactorFor(record, rodAngleRad);
  const begin = async (isWarm: boolean): Promise<void> => {
    const body = { loadId: load.id, fraction, strengthBasis: chosen, rodAngleRad };
    const result = await sendNow(
      'startDragSetting',
      { boatId: record.boat.id, rigId: record.id },
      body,
      isWarm
        ? 'The target is fixed. Pull through the bent rod.'
        : 'The target is fixed. Warm the drag up with two pulls.',
    );
    if (!result.ok) return;
    setTypedPercent(null);
    foldAway('target');
    if (isWarm) keepForLater(warmKey(result.value.id), true);
  };
  const straightWords = (tipN: Figure, by: Known): string =>
    format.force(tipN.value / by.value, straightPlusMinusN(tipN, by));
  return (
    <div className="flex flex-col gap-4">
      <div aria-live="polite">
        {outcome?.ok ? (
          <>
            <p className="figures text-4xl font-bold">
              {format.force(outcome.value.targetN.value, outcome.value.targetN.plusMinus)}
            </p>
            <p>
              at the rod&apos;s tip: {format.percent(fraction)} of{' '}
              {basis?.strengthN && format.force(basis.strengthN.value)}, {basis && say(basis.why)} ({basis?.of}), of
              what may be out.{' '}
              {growth.inReach > WORTH_SAYING &&
                `Left alone it becomes ${format.force(outcome.value.highestN)} with ${format.length(view.reach.outM)} out. `}
              {outcome.value.limitedToN !== null && "Held down to the maker's drag limit of this reel. "}
              Straight off the reel that is {straightWords(outcome.value.targetN, guide)}, by{' '}
              {guide.source === 'measured'
                ? 'what the guides held back at this bend'
                : record.guides
                  ? 'an estimate for these guides, this line and this bend, not measured'
                  : 'a default for the guides at this bend, not measured'}
              .
              {guide.contradictedBy !== null && (
                <b className="text-warn"> {say(because('guide-below-one', { ratio: guide.contradictedBy }))}</b>
              )}
            </p>
            <MeasureNext kinds={['target', 'straight']} />
            <BoundLine view={view} targetN={outcome.value.targetN.value} />
            {outcome.value.warnings.includes('above-bound') && (
              <p className="mt-1 font-semibold text-warn">
                It is more than 95 of 100 such rigs hold, by the few pulls that there are: pull more before you trust
                it.
              </p>
            )}
            {outcome.value.warnings.includes('high-fraction') && (
              <p className="mt-1 font-semibold text-warn">
                Past a third of the strength with {format.length(view.reach.outM)} out, a surge has little room: fish
                jerk several times the steady pull. Back off as line leaves, or take a smaller share.
              </p>
            )}
          </>
        ) : (
          <p className={outcome ? 'font-semibold text-stop' : ''}>
            {outcome
              ? say(outcome)
              : readable
                ? `That basis is not known: ${basis ? say(basis.why) : ''}.`
                : 'Type a share of the strength between 5 and 40 per cent.'}
          </p>
        )}
      </div>
      <Caution>
        {record.reel.dragLimitN === null
          ? "The maker's drag limit of this reel is not on record: look it up, it"
          : `The maker's drag limit (${format.force(record.reel.dragLimitN)})`}{' '}
        goes before this figure, and so do tournament rules and a qualified reel technician.
      </Caution>
      {record.dragSession?.loadId === load.id ? (
        <p className="text-sm">A session is open beside this: accept it, or call it off, before another one begins.</p>
      ) : (
        <div className="flex flex-wrap items-center gap-2">
          <Button weight="main" disabled={state.kind === 'sending' || !outcome?.ok} onClick={() => void begin(false)}>
            Begin a scale session
          </Button>
          <Button disabled={state.kind === 'sending' || !outcome?.ok} onClick={() => void begin(true)}>
            Begin, it is warm already
          </Button>
          <span className="text-sm text-ink-soft">Warm: two slow pulls just now that nobody read.</span>
        </div>
      )}
      <CollapsibleCard
        id="change-target"
        title="Change the target"
        line={`share of the ${BASIS_NAMES[chosen]}, rod bent ${bend}°, how much line may be out`}
      >
        <div className="flex flex-col gap-4">
          <ReachField view={view} fraction={readable ? fraction : USUAL_FRACTION} />
          <div className="flex flex-wrap items-end gap-2">
            <div className="w-32">
              <TextField
                label="Share, per cent"
                inputMode="decimal"
                figures
                value={percentText}
                onChange={setTypedPercent}
                error={readable ? fieldError('fraction') : 'Between 5 and 40.'}
              />
            </div>
            {FRACTION_PRESETS.map((preset) => (
              <Button
                key={preset}
                aria-pressed={fraction === preset}
                onClick={() => setTypedPercent(String(100 * preset))}
              >
                {100 * preset} %
              </Button>
            ))}
          </div>
          <ChoiceField
            label="The rod is bent"
            value={bend}
            options={BENDS}
            onChange={setBend}
            hint="held by somebody or fixed; a rod pointed at the scale fools one"
          />
          <div>
            <p className="text-sm">
              At this bend the guides hold back × <b className="figures">{guide.value.toFixed(2)}</b> ±{' '}
              {(PLUS_MINUS_SDS * guide.sd).toFixed(2)}
              {guide.source === 'measured'
                ? ', measured with this rod.'
                : ', not measured: one pull straight off the reel does.'}
            </p>
            <GuidesField />
          </div>
          <fieldset>
            <legend className="text-sm font-semibold">Share of what</legend>
            <div className="mt-1 grid gap-2 sm:grid-cols-3">
              {choices.map((choice) => (
                <label
                  key={choice.basis}
                  className={`flex flex-col border-2 p-2 ${choice.basis === chosen ? 'border-chalk' : 'border-edge'} ${choice.strengthN ? 'cursor-pointer' : 'opacity-70'}`}
                >
                  <span className="flex items-center gap-2 font-semibold">
                    <input
                      type="radio"
                      name="basis"
                      value={choice.basis}
                      checked={choice.basis === chosen}
                      disabled={!choice.strengthN}
                      onChange={() => setChosen(choice.basis)}
                      className="size-4 accent-chalk"
                    />
                    {BASIS_NAMES[choice.basis]}
                  </span>
                  <span className="figures">
                    {choice.strengthN && readable ? format.force(choice.strengthN.value * fraction) : 'not known'}
                  </span>
                  <span className="text-xs text-ink-soft">
                    {choice.strengthN ? `${format.force(choice.strengthN.value)}: ${choice.of}` : say(choice.why)}
                  </span>
                </label>
              ))}
            </div>
          </fieldset>
        </div>
      </CollapsibleCard>
    </div>
  );
}

/** The lower bound as a line of warning over every basis: a fraction of it would double the margin. */
function BoundLine({ view, targetN }: { view: RigView; targetN: number }) {
  const { format } = useUnits();
  const place = view.inReach?.weakestByBound;
  if (!place || place.boundN === null) return null;
  const share = targetN / place.boundN;
  return (
    <p className={`mt-1 text-sm ${share > 0.5 ? 'font-semibold text-warn' : ''}`}>
      Warning line: 95 of 100 such rigs hold {format.force(place.boundN)} at the {place.name}, of which this target is{' '}
      {format.percent(share)}. It warns, and is no basis.
    </p>
  );
}
