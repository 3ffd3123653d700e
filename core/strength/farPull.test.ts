import { normalDeviate, seededRandom } from '../../instruments/random';
import { isFarPull } from './farPull';

describe('a pull', () => {
  it('is asked about where it is far from what was written down, either way', () => {
    expect(isFarPull(100, [], 100)).toBe(false);
    // Labels under 20 lb are half as strong again as printed at the most (common practice): that is asked about.
    expect(isFarPull(150, [], 100)).toBe(true);
    expect(isFarPull(60, [], 100)).toBe(true);
    expect(isFarPull(130, [], 100)).toBe(false);
    // Once a pull is there, it says more than the paper.
    expect(isFarPull(130, [140], 80)).toBe(false);
    expect(isFarPull(60, [140], 80)).toBe(true);
  });

  it('is asked about where the others of its test leave it out', () => {
    const others = [118, 121, 120, 119, 122];
    expect(isFarPull(127, others, 100)).toBe(false);
    expect(isFarPull(160, others, 100)).toBe(true);
    expect(isFarPull(80, others, 100)).toBe(true);
  });

  it('of the same line is seldom asked about: under 1 in 200 of honest pulls', () => {
    const random = seededRandom(41);
    const pull = (): number => 100 * (1 + 0.06 * normalDeviate(random));
    let asked = 0;
    for (let test = 0; test < 2000; test += 1) {
      const made = Array.from({ length: 4 + (test % 8) }, pull);
      if (isFarPull(pull(), made, 100)) asked += 1;
    }
    expect(asked / 2000).toBeLessThan(0.005);
    // A line of the next class, a quarter stronger, is found out by a test of ten.
    const found = Array.from({ length: 500 }, () => isFarPull(1.35 * pull(), Array.from({ length: 10 }, pull), 100));
    expect(found.filter(Boolean).length / 500).toBeGreaterThan(0.6);
  });
});
