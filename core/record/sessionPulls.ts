import type { DragSettingRecord } from './record';

/**
 * The pulls of a scale session that judge its present setting: through the bent rod, since the drag
 * was last turned, oldest first. Warm-up and straight pulls do not count.
 */
export function sessionPulls(
  setting: DragSettingRecord,
): readonly { readonly movingN: number; readonly breakawayN: number | null }[] {
  const lastStep = Math.max(0, ...setting.pulls.map((pull) => pull.settingStep));
  return setting.pulls.filter((pull) => pull.kind === 'bent rod' && pull.settingStep === lastStep);
}
