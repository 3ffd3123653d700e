import type { TowedRig } from '@/core/rig/tow/towedRig';
import { KNOT_MS } from '@/core/units/units';
import type { Formatter } from '@/words/format';

export const knots = (speedMS: number): string => `${(speedMS / KNOT_MS).toFixed(1)} kn`;

/** How a rig is towed, in a line. */
export function towedWords({ towed, isTold }: TowedRig, format: Formatter): string {
  const { speedMS, speedBy, water, lure, tipHeightM, bottomM } = towed;
  const bottom = bottomM === null ? '' : `, bottom at ${format.length(bottomM)}`;
  const words = `${knots(speedMS)} ${speedBy}, ${water} water, ${lure}, tip ${format.length(tipHeightM)} up${bottom}`;
  return isTold ? words : `not told: ${words} are defaults`;
}
