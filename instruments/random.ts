import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A source of numbers from 0 (included) to 1 (excluded). Passed in wherever chance is needed. */
export type Random = () => number;

/** A seeded source: the same seed gives the same numbers for ever. */
export function seededRandom(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  return () => uniformFloat64(generator);
}

/** A normal deviate with mean 0 and SD 1, by the Box–Muller transform. */
export function normalDeviate(random: Random): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}
