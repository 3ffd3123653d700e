'use client';

import { correctionTable } from '@/core/calibration/correctionTable';
import { evidenceWorth, plusMinusWithout } from '@/core/calibration/evidenceWorth';
import { countsAt, type CounterObservation } from '@/core/calibration/observations';
import { usualWalkM } from '@/core/rig/count/adviceForRig';
import { explainResidual } from '@/core/calibration/explainResidual';
import type { CounterResidual, CounterEstimate } from '@/core/calibration/estimateCounter';
import type { CounterRecord } from '@/core/record/record';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** Everything that the estimate rests on, and how each piece sits with the others: a bad one stands out. */
export function Evidence({ estimate }: { estimate: CounterEstimate }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { unitM } = estimate.counter;
  const atM = usualWalkM(estimate.best.line);
  const [reading] = correctionTable(estimate, [atM]);
  const now = reading?.plusMinus ?? 0;
  const worth = evidenceWorth(estimate, (load) => countsAt(load, atM, unitM));
  const isTurns = record.reel.counter === null;
  return (
    <>
      {record.reel.counter && <Constant estimate={estimate} counter={record.reel.counter} />}
      <table className="mt-2 w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 pr-2">seen</th>
            <th className="py-1 pr-2">it said</th>
            <th className="py-1 pr-2">all together say</th>
            <th className="py-1 pr-2">off by</th>
            <th className="py-1">± without it</th>
          </tr>
        </thead>
        <tbody>
          {estimate.residuals.map((residual, index) => (
            <Row
              key={index}
              estimate={estimate}
              residual={residual}
              without={worth[index] ? plusMinusWithout(now, worth[index]) : now}
            />
          ))}
        </tbody>
      </table>
      {estimate.widened > 1 && (
        <p role="note" className="mt-2 border-l-4 border-warn bg-warn/10 px-3 py-2 text-sm">
          These pieces disagree more than chance allows: every ± of this counter is {estimate.widened.toFixed(1)} times
          as wide as it would be.
          {oddOne(estimate)}
        </p>
      )}
      <p className="mt-2 text-xs text-ink-soft">
        ± without it: what the {isTurns ? 'turns' : 'reading'} at {format.length(atM)}, now ± {now.toFixed(1)}, would be
        known to if this were not there. Beyond 3 of its own SDs a piece does not fit. It is named, and it still counts
        until somebody takes it back.
      </p>
    </>
  );
}

/** A piece by its name, and by what it said where several may bear that name. */
const named = (observation: CounterObservation): string =>
  observation.kind === 'level' ? observation.name : `${observation.name} (it said ${observation.reading})`;

/** Which piece is the odd one, or that nothing tells which. */
function oddOne({ conflicts }: CounterEstimate): string {
  const [first] = conflicts;
  if (!first) return '';
  const { observation, orElse } = first;
  if (orElse.length === 0) return ` It is ${named(observation)} that fits least.`;
  const names = [observation, ...orElse].map(named).toSorted();
  return ` One of these disagrees, and nothing tells which: ${names.join(', ')}. Measure once more.`;
}

/** What one turn counts as, or what a roller shows of the line that passes it. */
function Constant({ estimate, counter }: { estimate: CounterEstimate; counter: CounterRecord }) {
  const { format } = useUnits();
  const { value, sd } = estimate.constantM;
  const stated = counter.lengthPerTurnM;
  const byRoller = counter.drive === 'roller';
  const before = byRoller ? format.percent(stated.value) : format.small(stated.value);
  const said = `${stated.source === 'maker' ? 'the maker says' : 'believed before'} ${before}`;
  const now = byRoller ? format.percent(value, PLUS_MINUS_SDS * sd) : format.small(value, PLUS_MINUS_SDS * sd);
  return (
    <p className="text-sm">
      {byRoller ? 'The roller shows ' : 'One turn counts as '}
      <b className="figures">{now}</b>
      {byRoller ? ' of what passes it' : ''} ({said}). It belongs to the reel, not to the line.
    </p>
  );
}

interface RowProps {
  readonly estimate: CounterEstimate;
  readonly residual: CounterResidual;
  /** The reading's ± without this piece. */
  readonly without: number;
}

function Row({ estimate, residual, without }: RowProps) {
  const { format } = useUnits();
  const say = useSay();
  const isTurns = useRig().record.reel.counter === null;
  const { observation, expected, off, offSds } = residual;
  const shown = (value: number): string =>
    observation.kind === 'level' ? format.small(value) : `${value.toFixed(1)}${isTurns ? ' turns' : ' counts'}`;
  const explanation = explainResidual(estimate, residual);
  const at =
    observation.kind === 'tape' || observation.kind === 'colour' ? `, ${format.length(observation.trueLengthM)}` : '';
  return (
    <>
      <tr className="border-b border-edge">
        <td className="py-1 pr-2">
          {observation.name}
          {at}
        </td>
        <td className="figures py-1 pr-2">
          {observation.kind === 'level' ? format.small(expected + off) : observation.reading}
        </td>
        <td className="figures py-1 pr-2">{shown(expected)}</td>
        <td className={`figures py-1 pr-2 ${explanation ? 'font-bold text-stop' : ''}`}>
          {(Math.abs(offSds) < 0.05 ? 0 : offSds).toFixed(1).replace('-', '−')} SD
        </td>
        <td className="figures py-1">{without.toFixed(1)}</td>
      </tr>
      {explanation && (
        <tr>
          <td colSpan={5} className="pb-2 font-semibold text-stop">
            Does not fit: {say(explanation.why)}
          </td>
        </tr>
      )}
    </>
  );
}
