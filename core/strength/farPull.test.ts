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

  it('is asked about beyond the prediction interval of one more pull, to the newton', () => {
    // Mean 120, SD 10 of five: t(0.999, 4) = 7.173 (any table of Student's t); 7.173 · 10 · √1.2 = 78.6.
    const others = [107.75, 113.88, 120, 126.12, 132.25];
    const mean = 120;
    const sd = Math.sqrt(others.reduce((sum, each) => sum + (each - mean) ** 2, 0) / 4);
    const reach = 7.173 * sd * Math.sqrt(1.2);
    expect(isFarPull(mean + reach - 0.2, others, 100)).toBe(false);
    expect(isFarPull(mean + reach + 0.2, others, 100)).toBe(true);
    // Four alike say no more than a scatter of 3 %: t(0.999, 3) = 10.215; 10.215 · 3 · √1.25 = 34.3.
    expect(isFarPull(134.1, [100, 100, 100, 100], 100)).toBe(false);
    expect(isFarPull(134.4, [100, 100, 100, 100], 100)).toBe(true);
    // Three do not speak for themselves yet: it is their mean and 45 %.
    expect(isFarPull(144, [90, 100, 110], 300)).toBe(false);
    expect(isFarPull(146, [90, 100, 110], 300)).toBe(true);
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
