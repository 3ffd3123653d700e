'use client';

import { USUAL_SET_SHARE } from '@/core/drag/usualSetShare';
import { STICKY_RATIO } from '@/core/drag/readPull';
import { judgeScaleSession } from '@/core/drag/scaleSession';
import type { DragSettingRecord } from '@/core/record/record';
import { sessionPulls } from '@/core/record/sessionPulls';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { GuideFactor, PullList } from './SessionPulls';

/** The drag as it was accepted: in force until another session is. */
export function AcceptedDrag({ setting, onAnew }: { setting: DragSettingRecord; onAnew?: () => void }) {
  const judgement = judgeScaleSession(sessionPulls(setting), setting.targetN);
  const setN = judgement?.medianN ?? setting.targetN;
  const { states } = useRig();
  const { format } = useUnits();
  const say = useSay();
  return (
    <div className="flex flex-col gap-3">
      <p className="figures text-4xl font-bold">{format.force(setN, USUAL_SET_SHARE * setN)}</p>
      <p>
        set with a scale at the tip, for {format.percent(setting.fraction)} of the {BASIS_WORDS[setting.strengthBasis]}.{' '}
        {judgement &&
          `The last pulls agree within ${format.force(judgement.spreadN)}; the ± is a usual scale's, a default. `}
        {states.drag.state === 'stale' && <b className="text-warn">Stale, {say(states.drag.why)}. Set it again.</b>}
      </p>
      {judgement?.sticky && judgement.breakawayRatio !== null && (
        <p className="text-warn">
          It starts with a jerk of {judgement.breakawayRatio.toFixed(2)} times its moving pull (sticky above{' '}
          {STICKY_RATIO}).
        </p>
      )}
      {onAnew && (
        <div>
          <Button weight={states.drag.state === 'done' ? 'plain' : 'main'} onClick={onAnew}>
            Set it anew
          </Button>
        </div>
      )}
      <CollapsibleCard id="pulls-of-it" title="Its pulls" line={`${setting.pulls.length} on record`}>
        <PullList setting={setting} isWhole />
        <GuideFactor setting={setting} />
      </CollapsibleCard>
    </div>
  );
}

const BASIS_WORDS = { label: 'label', tested: 'tested line', weakest: 'weakest place' } as const;
