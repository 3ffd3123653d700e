import { median } from '../numerics/median';
import type { RigRecord } from './record';
import { sessionPulls } from './sessionPulls';

/** True where an open scale session says that the drag was turned: what was accepted before is then not what it pulls now. */
export function wasTurnedSince(record: RigRecord): boolean {
  return record.dragSession?.pulls.some((pull) => pull.settingStep > 0) ?? false;
}

/** Pull at the tip to which the drag of the present load is set (N): the median of its last three pulls; null while it is not. */
export function acceptedForceN(record: RigRecord): number | null {
  const setting = record.dragSetting;
  if (!setting?.acceptedAt || setting.loadId !== record.load?.id || wasTurnedSince(record)) return null;
  const pulls = sessionPulls(setting);
  return pulls.length > 0 ? median(pulls.slice(-3).map((pull) => pull.movingN)) : null;
}
