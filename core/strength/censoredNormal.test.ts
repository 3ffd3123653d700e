import { normalDeviate, seededRandom } from '../../instruments/random';
import { censoredNormal } from './censoredNormal';

const seen = (value: number) => ({ value, isAtLeast: false });
const atLeast = (value: number) => ({ value, isAtLeast: true });

describe('a sample of which some is only known to be at least so large', () => {
  it('is the plain sample where all was seen', () => {
    const fit = censoredNormal([90, 95, 100].map(seen));
    expect(fit?.mean).toBeCloseTo(95, 9);
    expect(fit?.sd).toBeCloseTo(5, 6);
  });

  it('moves up for what is cut off, and the more the further it lies out', () => {
    const plain = censoredNormal([90, 95, 100].map(seen))?.mean ?? NaN;
    const [low, high] = [
      censoredNormal([seen(90), seen(95), atLeast(92)]),
      censoredNormal([seen(90), seen(95), atLeast(100)]),
    ];
    expect(low?.mean).toBeGreaterThan((90 + 95 + 92) / 3);
    expect(high?.mean).toBeGreaterThan(plain);
  });

  it('finds the truth again where a third of honest values is cut off (drawn here)', () => {
    const random = seededRandom(5);
    let [sum, naive, runs] = [0, 0, 0];
    for (; runs < 400; runs += 1) {
      // A join of 0.92 ± 0.06 of its line; the line itself breaks at 0.95 in a third of the pulls.
      const values = Array.from({ length: 12 }, () => 0.92 + 0.06 * normalDeviate(random)).map((value) =>
        value > 0.95 ? atLeast(0.95) : seen(value),
      );
      sum += censoredNormal(values)?.mean ?? NaN;
      naive += values.reduce((total, each) => total + each.value, 0) / values.length;
    }
    expect(sum / runs).toBeCloseTo(0.92, 2);
    expect(naive / runs).toBeLessThan(0.912);
  });

  it('says nothing of fewer than two seen values, or of values without scatter', () => {
    expect(censoredNormal([seen(1), atLeast(1), atLeast(1)])).toBeNull();
    expect(censoredNormal([seen(1), seen(1), atLeast(1)])).toBeNull();
  });
});
