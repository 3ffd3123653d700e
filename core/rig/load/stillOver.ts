import type { LoadRecord, RigRecord } from '../../record/record';

/**
 * What of a fill that is over on purpose is still to go before its level is right (m), and how many leader knots that is;
 * null where the plan was not filled over, or all of it has gone.
 */
export function stillOver(
  { fill }: Pick<RigRecord, 'fill'>,
  load: LoadRecord,
): { readonly leftM: number; readonly knots: number | null } | null {
  if (!fill || fill.soonGoneM === 0) return null;
  const goneM = load.changes.reduce((sum, change) => sum - change.changeM, 0);
  const leftM = fill.soonGoneM - goneM;
  if (leftM <= 0) return null;
  return { leftM, knots: fill.perKnotM ? Math.ceil(leftM / fill.perKnotM) : null };
}
