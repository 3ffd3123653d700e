import type { SegmentToLoad } from '../core/spool/loadedLine';
import { seededRandom, type Random } from '../instruments/random';
import type { ReelTruth } from '../instruments/virtual/layReel';

export interface RandomStack {
  readonly spool: { readonly arborDiameterM: number; readonly widthM: number };
  readonly segments: readonly SegmentToLoad[];
  readonly random: Random;
  /** The same reel on the virtual bench, without scatter. */
  readonly truth: ReelTruth;
}

/** A seeded stack of one to five segments that a real reel could carry. */
export function randomStack(seed: number): RandomStack {
  const random = seededRandom(seed);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const spool = { arborDiameterM: between(0.02, 0.06), widthM: between(0.02, 0.05) };
  const segments = Array.from({ length: 1 + Math.floor(5 * random()) }, (_, index) => ({
    id: `${index}`,
    name: `${index}`,
    lengthM: between(15, 120),
    lineDiameterM: between(0.00015, 0.0009),
    packing: between(0.58, 0.72),
    wound: true,
  }));
  const truth = {
    ...spool,
    rimDiameterM: 1,
    lengthPerTurnM: 0.2,
    unitM: 1,
    digits: 3,
    rounds: true,
    pitchM: spool.widthM / 25,
    pitchRelativeSd: 0,
    crown: 0,
    packingRelativeSd: 0,
    seed,
  };
  return { spool, segments, random, truth };
}
