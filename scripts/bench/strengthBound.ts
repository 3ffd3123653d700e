import { toleranceFactor } from '../../core/numerics/toleranceFactor';
import { normalDeviate, seededRandom, type Random } from '../../instruments/random';
import { row } from './report';

const MEAN = 100;
const CONTENT = 0.95;

/** Strength above which 95 of 100 pieces lie, and a draw of one piece. */
interface Lot {
  readonly name: string;
  readonly truthN: number;
  draw(random: Random): number;
}

const normal: Lot = {
  name: 'normal lots, CV 5 %',
  // The 5 % quantile of the normal: 1.6449 SDs below the mean.
  truthN: MEAN - 1.6448536269514722 * 5,
  draw: (random) => MEAN + 5 * normalDeviate(random),
};

/** Weibull strengths of scale 100: weak pieces are commoner than a normal lot has them. */
const weibull = (shape: number): Lot => ({
  name: `Weibull lots, shape ${shape}`,
  truthN: MEAN * (-Math.log(CONTENT)) ** (1 / shape),
  draw: (random) => MEAN * (-Math.log(1 - random())) ** (1 / shape),
});

/** How often the 95/95 lower bound of n pulls lies under what 95 of 100 pieces of the lot hold. */
export function benchStrengthBound(lots: number): void {
  for (const lot of [normal, weibull(15), weibull(25), weibull(40)]) {
    const shares = [3, 5, 10].map((n) => {
      const factor = toleranceFactor(n);
      const random = seededRandom(1000 + n);
      let covered = 0;
      for (let made = 0; made < lots; made += 1) {
        const pulls = Array.from({ length: n }, () => lot.draw(random));
        const mean = pulls.reduce((sum, pull) => sum + pull, 0) / n;
        const sd = Math.sqrt(pulls.reduce((sum, pull) => sum + (pull - mean) ** 2, 0) / (n - 1));
        if (mean - factor * sd <= lot.truthN) covered += 1;
      }
      return `${((100 * covered) / lots).toFixed(2)} %`;
    });
    row(`${lot.name}: bound covered with 3, 5, 10 pulls`, shares.join(', '));
  }
}
