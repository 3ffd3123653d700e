import { estimatedGuideFactor, guideFriction, measuredGuideFactor } from '../../drag/guideFactor';
import type { Known } from '../../provenance/source';
import type { Outcome } from '../../result';
import type { Material } from '../../materials/materials';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';
import type { DragSettingRecord, RigRecord } from '../../record/record';

/** Bends that differ by less than this count as the same (rad). */
const SAME_BEND_RAD = 0.05;

/** What the guides make of a pull, and the ratio of two pulls that contradict it where somebody pulled them. */
export interface GuideOfRig extends Known {
  /** Bent over straight, below 1 by more than the scatter: guides only ever hold back, so the two were mixed up. Null: none. */
  readonly contradictedBy: number | null;
}

/**
 * What the guides make of a pull at a bend of the rod: measured, where a session has pulls through the bent rod and straight off
 * the reel at one setting and that bend; else the estimate by what guides the rod has and what runs over them.
 *
 * @param sessions scale sessions, the one that counts most first
 */
export function guideFactorFor(
  record: RigRecord,
  rodAngleRad: number,
  sessions: readonly (DragSettingRecord | null)[] = [record.dragSession, record.dragSetting],
): GuideOfRig {
  let contradictedBy: number | null = null;
  for (const session of sessions) {
    const measured = measuredIn(session, rodAngleRad);
    if (measured?.ok) return { ...measured.value, contradictedBy };
    if (measured) contradictedBy ??= measured.figures.ratio;
  }
  const friction = guideFriction(record.guides, record.guides && materialOverGuides(record));
  return { ...estimatedGuideFactor(rodAngleRad, friction, record.guides?.count ?? 0), contradictedBy };
}

/** The line that runs over the guides when a drag is set: the outermost that is wound. */
function materialOverGuides(record: RigRecord): Material | null {
  const outermost = record.segments.findLast((segment) => segment.wound);
  return outermost ? productOf(record, productIdNow(record, outermost.id)).material : null;
}

function measuredIn(setting: DragSettingRecord | null, rodAngleRad: number): Outcome<Known, 'guide-below-one'> | null {
  if (!setting || Math.abs(setting.rodAngleRad - rodAngleRad) > SAME_BEND_RAD) return null;
  const lastStep = Math.max(0, ...setting.pulls.map((pull) => pull.settingStep));
  const at = (kind: 'bent rod' | 'straight'): readonly number[] =>
    setting.pulls.filter((pull) => pull.kind === kind && pull.settingStep === lastStep).map((pull) => pull.movingN);
  const [bent, straight] = [at('bent rod'), at('straight')];
  return bent.length > 0 && straight.length > 0 ? measuredGuideFactor(bent, straight) : null;
}
