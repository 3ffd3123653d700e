'use client';

import { guideFactorFor } from '@/core/rig/drag/guideOfRig';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { because } from '@/core/reasons';
import type { DragPullRecord, DragSettingRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** Pulls that stand open: the three that are judged, and the one before. */
const OPEN_PULLS = 4;

/** Every pull of a session, in its order; the earlier ones are folded, unless all of them are asked for. */
export function PullList({ setting, isWhole = false }: { setting: DragSettingRecord; isWhole?: boolean }) {
  const { pulls } = setting;
  if (pulls.length === 0) return null;
  const earlier = isWhole ? [] : pulls.slice(0, -OPEN_PULLS);
  return (
    <div>
      {earlier.length > 0 && (
        <details className="text-sm">
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
            Earlier pulls ({earlier.length})
          </summary>
          <PullTable pulls={earlier} />
        </details>
      )}
      <PullTable pulls={pulls.slice(earlier.length)} />
    </div>
  );
}

function PullTable({ pulls }: { pulls: readonly DragPullRecord[] }) {
  const { format } = useUnits();
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-left">
          <th className="py-1">pull</th>
          <th className="py-1">moving</th>
          <th className="py-1">jerk</th>
          <th className="py-1">by</th>
        </tr>
      </thead>
      <tbody>
        {pulls.map((pull) => (
          <tr key={pull.id} className="border-b border-edge">
            <td className="py-1">
              {pull.kind}
              {pull.settingStep > 0 && <span className="text-ink-soft"> after turn {pull.settingStep}</span>}
            </td>
            <td className="figures py-1">{format.force(pull.movingN)}</td>
            <td className="figures py-1">{pull.breakawayN === null ? 'not read' : format.force(pull.breakawayN)}</td>
            <td className="py-1">{pull.instrument}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What the guides hold back, where a pull straight off the reel told it. */
export function GuideFactor({ setting }: { setting: DragSettingRecord }) {
  const { record } = useRig();
  const say = useSay();
  const factor = guideFactorFor(record, setting.rodAngleRad, [setting]);
  if (factor.contradictedBy !== null) {
    return (
      <p className="text-sm font-semibold text-warn">
        {say(because('guide-below-one', { ratio: factor.contradictedBy }))}
      </p>
    );
  }
  if (factor.source !== 'measured') {
    return null;
  }
  return (
    <p className="text-sm">
      Guides, measured: × <b className="figures">{factor.value.toFixed(2)}</b> ±{' '}
      {(PLUS_MINUS_SDS * factor.sd).toFixed(2)} (bent ÷ straight, at this setting and bend).
    </p>
  );
}
