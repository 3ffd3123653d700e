import { estimatedGuideFactor, measuredGuideFactor } from '../../drag/guideFactor';
import type { Known } from '../../provenance/source';
import type { DragSettingRecord } from '../../record/record';

/** Bends that differ by less than this count as the same (rad). */
const SAME_BEND_RAD = 0.05;

/**
 * What the guides make of a pull at a bend of the rod: measured, where a session has pulls through the bent rod and straight off
 * the reel at one setting and that bend; else the estimate.
 *
 * @param sessions scale sessions, the one that counts most first
 */
export function guideFactorFor(sessions: readonly (DragSettingRecord | null)[], rodAngleRad: number): Known {
  for (const session of sessions) {
    const measured = measuredIn(session, rodAngleRad);
    if (measured) return measured;
  }
  return estimatedGuideFactor(rodAngleRad);
}

function measuredIn(setting: DragSettingRecord | null, rodAngleRad: number): Known | null {
  if (!setting || Math.abs(setting.rodAngleRad - rodAngleRad) > SAME_BEND_RAD) return null;
  const lastStep = Math.max(0, ...setting.pulls.map((pull) => pull.settingStep));
  const at = (kind: 'bent rod' | 'straight'): readonly number[] =>
    setting.pulls.filter((pull) => pull.kind === kind && pull.settingStep === lastStep).map((pull) => pull.movingN);
  const [bent, straight] = [at('bent rod'), at('straight')];
  return bent.length > 0 && straight.length > 0 ? measuredGuideFactor(bent, straight) : null;
}
