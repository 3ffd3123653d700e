import { estimatedGuideFactor, measuredGuideFactor } from '../../drag/guideFactor';
import type { Known } from '../../provenance/source';
import type { DragSettingRecord } from '../../record/record';

/** Bends that differ by less than this count as the same (rad). */
const SAME_BEND_RAD = 0.05;

/**
 * What the guides make of a pull at a bend of the rod: measured, where the newest session has pulls through the bent rod
 * and straight off the reel at one setting and that bend; else the estimate.
 */
export function guideFactorFor(setting: DragSettingRecord | null, rodAngleRad: number): Known {
  if (!setting || Math.abs(setting.rodAngleRad - rodAngleRad) > SAME_BEND_RAD) return estimatedGuideFactor(rodAngleRad);
  const lastStep = Math.max(0, ...setting.pulls.map((pull) => pull.settingStep));
  const at = (kind: 'bent rod' | 'straight'): readonly number[] =>
    setting.pulls.filter((pull) => pull.kind === kind && pull.settingStep === lastStep).map((pull) => pull.movingN);
  const [bent, straight] = [at('bent rod'), at('straight')];
  return bent.length > 0 && straight.length > 0
    ? measuredGuideFactor(bent, straight)
    : estimatedGuideFactor(rodAngleRad);
}
