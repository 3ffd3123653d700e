'use client';

import type { FillTarget } from '@/core/load/fillTarget';
import { knownCounter } from '@/core/rig/line/counterOf';
import { plannedCounterError } from '@/core/rig/line/fillOfRig';
import { USUAL_RANGE } from '@/core/rig/line/workingRange';
import type { RigRecord } from '@/core/record/record';
import type { LoadedLine } from '@/core/spool/loadedLine';
import { useUnits } from '@/components/units/UnitsProvider';

/** An error that rounds to no per cent. */
const TRUE_ENOUGH = 0.005;

/** By what the counter is judged. */
function constantWords(record: RigRecord): string {
  if (record.calibration) return 'the constant that a test of this reel gave';
  return knownCounter(record)?.lengthPerTurnM.source === 'default'
    ? 'a guess from the size of the spool, since nobody has tested this counter'
    : "the maker's statement of the counter";
}

/** Full and true are two wishes: what the chosen fill does to the other one. */
export function FillConflict({
  record,
  line,
  target,
  levelBelowRimM,
}: {
  record: RigRecord;
  line: LoadedLine;
  target: FillTarget;
  levelBelowRimM: number;
}) {
  const { format } = useUnits();
  const range = target.kind === 'counter-true' ? target : (record.workingRange ?? USUAL_RANGE);
  const error = plannedCounterError(record, line, range.fromM, range.toM);
  if (error === null) return null;
  const words = `${format.length(range.fromM)} to ${format.length(range.toM)}`;
  if (target.kind === 'counter-true' && levelBelowRimM < 0) {
    return (
      <p role="alert" className="border-l-4 border-warn bg-warn/10 px-3 py-2 text-sm">
        <b>True and full differ.</b> To be true over {words} the line would have to stand{' '}
        {format.small(-levelBelowRimM)} above the rim. Fill it under the rim instead and use the correction table, or
        take a thicker line for the backing.
      </p>
    );
  }
  if (target.kind === 'counter-true') {
    return (
      <p className="text-sm">
        True on average over {words}, by {constantWords(record)}: that leaves {format.small(levelBelowRimM)} of the
        spool empty.
      </p>
    );
  }
  const out = `from ${words} out${record.workingRange ? ', its working range' : ' (a usual working range, taken as a default)'}`;
  if (Math.abs(error) < TRUE_ENOUGH)
    return <p className="text-sm">With this fill the counter would be true on average {out}.</p>;
  return (
    <p className="text-sm">
      With this fill the counter would read {format.percent(Math.abs(error))} {error >= 0 ? 'high' : 'low'} on average{' '}
      {out}. Choose “so that the counter is true” to fill for that instead.
    </p>
  );
}
