import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A source of numbers from 0 (included) to 1 (excluded). Passed in wherever chance is needed. */
export type Random = () => number;

/**
 * Spreads a seed over all its bits. Small seeds that differ by one give this generator nearly the same
 * first numbers, so that a row of pulls seeded 1, 2, 3 would all come out alike. Source of the constants:
 * the finalizer of MurmurHash3, in the public domain.
 */
function scattered(seed: number): number {
  let bits = Math.trunc(seed) | 0;
  bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b);
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35);
  return bits ^ (bits >>> 16);
}

/** A seeded source: the same seed gives the same numbers for ever. */
export function seededRandom(seed: number): Random {
  const generator = xoroshiro128plus(scattered(seed));
  for (let skipped = 0; skipped < 8; skipped += 1) uniformFloat64(generator);
  return () => uniformFloat64(generator);
}

/** A normal deviate with mean 0 and SD 1, by the Box–Muller transform. */
export function normalDeviate(random: Random): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}
