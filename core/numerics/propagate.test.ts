import { because } from '../reasons';
import { propagate } from './propagate';

const A = because('error-arbor');
const B = because('error-width');
const [LENGTH, WIDTH] = [A, B];

describe('propagate', () => {
  it('adds independent errors of a sum in quadrature', () => {
    const spread = propagate(
      [
        { from: A, value: 10, sd: 3 },
        { from: B, value: 20, sd: 4 },
      ],
      ([a = 0, b = 0]) => [a + b],
    );
    expect(spread.values).toEqual([30]);
    expect(spread.sds[0]).toBeCloseTo(5, 12);
    expect(spread.largestContributors).toEqual([B]);
  });

  it('adds relative errors of a product, and gives every output its own contributor', () => {
    const spread = propagate(
      [
        { from: LENGTH, value: 100, sd: 1 },
        { from: WIDTH, value: 10, sd: 0.5 },
        { from: A, value: 2, sd: 0 },
      ],
      ([length = 0, width = 0, exact = 0]) => [length * width * exact, length],
    );
    // √(0.01² + 0.05²) of 2000, to first order exact for a product moved in one factor at a time.
    expect(spread.sds[0]).toBeCloseTo(2000 * Math.hypot(0.01, 0.05), 9);
    expect(spread.sds[1]).toBeCloseTo(1, 12);
    expect(spread.largestContributors).toEqual([WIDTH, LENGTH]);
  });

  it('lets errors that go together add or cancel', () => {
    const sum = ([a = 0, b = 0]: readonly number[]) => [a + b, a - b];
    const inputs = [
      { from: A, value: 1, sd: 3 },
      { from: B, value: 2, sd: 3 },
    ];
    const together = propagate(inputs, sum, [
      [1, 1],
      [1, 1],
    ]);
    expect(together.sds[0]).toBeCloseTo(6, 12);
    expect(together.sds[1]).toBeCloseTo(0, 12);
    expect(together.largestContributors[1]).toBeNull();
  });

  it('names nobody when nothing is uncertain', () => {
    expect(propagate([{ from: A, value: 1, sd: 0 }], ([a = 0]) => [a])).toMatchObject({
      sds: [0],
      largestContributors: [null],
    });
  });

  it('throws on a result that is not finite and on a negative SD', () => {
    expect(() => propagate([{ from: A, value: 0, sd: 1 }], () => [NaN])).toThrow(/not finite/);
    expect(() => propagate([{ from: A, value: 0, sd: 1 }], ([a = 0]) => [a === 0 ? 1 : 1 / 0])).toThrow(
      /error-arbor makes the result/,
    );
    expect(() => propagate([{ from: A, value: 0, sd: -1 }], () => [1])).toThrow(/SD of error-arbor/);
  });
});
