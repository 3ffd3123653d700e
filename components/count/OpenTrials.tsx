'use client';

import { trialAgainstKnown } from '@/core/calibration/farTrial';
import { trialObservation } from '@/core/rig/counter/loadObservations';
import type { RigView } from '@/core/rig/view/rigView';
import { AskedAbout } from '@/components/corrections/AskedAbout';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';

/** Tests of the counter that contradict everything else, asked about before they count. */
export function OpenTrials({ view }: { view: RigView }) {
  const { record } = useRig();
  const { format } = useUnits();
  return record.openTrials.map((trial) => {
    const observation = trialObservation(trial, view.current);
    const known = observation && trialAgainstKnown(view.ruler, observation);
    const length = trial.trueLengthM === null ? `${trial.turns ?? 0} spool turns` : format.length(trial.trueLengthM);
    return (
      <AskedAbout key={trial.id} kind="trial" id={trial.id}>
        <b>
          {length} showed <span className="figures">{trial.reading}</span>
        </b>
        {known && `, where all else says ${format.counts(known.expected, known.plusMinus)}`}. Zeroed at the right point?
        The right length, the right unit, no line lost since?
      </AskedAbout>
    );
  });
}
