import type { Known } from '../provenance/source';
import type { StrengthPlace } from './rigStrength';

/** A stretch of the line over which what it holds is the same. */
export interface StrengthStretch {
  readonly fromHookM: number;
  readonly toHookM: number;
  /** Of the weakest place by the mean that lies here (N). */
  readonly strengthN: Known;
  /** The least that 95 of 100 such places hold (N); null while it cannot be said of every place here. */
  readonly boundN: number | null;
}

/**
 * What a rig holds as steps along the line. A join is a place and no length: it is given one, so that it can be drawn; where
 * several joins lie within it of each other, the weakest speaks.
 *
 * @param places from the hook to the arbor, as `rigStrength` gives them
 * @param joinHalfM length to both sides that a join is drawn over (m), above 0
 * @returns stretches that follow each other without a gap from the hook to the arbor
 */
export function strengthAlong(places: readonly StrengthPlace[], joinHalfM: number): readonly StrengthStretch[] {
  const endM = places.reduce((furthest, { toHookM }) => Math.max(furthest, toHookM), 0);
  const widened = places.map((place) => {
    const halfM = place.kind === 'join' ? joinHalfM : 0;
    return { place, fromM: Math.max(place.fromHookM - halfM, 0), toM: Math.min(place.toHookM + halfM, endM) };
  });
  const edges = [...new Set(widened.flatMap(({ fromM, toM }) => [fromM, toM]))].toSorted((a, b) => a - b);
  return edges.slice(1).flatMap((toHookM, index): StrengthStretch[] => {
    const fromHookM = edges[index] ?? 0;
    const here = widened
      .filter(({ fromM, toM }) => fromM <= fromHookM && toM >= toHookM)
      .map(({ place }) => place)
      .toSorted((a, b) => a.strengthN.value - b.strengthN.value);
    const [weakest] = here;
    if (!weakest) return [];
    const bounds = here.flatMap(({ boundN }) => boundN ?? []);
    const boundN = bounds.length === here.length ? Math.min(...bounds) : null;
    return [{ fromHookM, toHookM, strengthN: weakest.strengthN, boundN }];
  });
}
