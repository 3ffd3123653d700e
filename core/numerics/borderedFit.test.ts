import { inverse, Matrix } from 'ml-matrix';
import { seededRandom } from '../../instruments/random';
import { borderedFit } from './borderedFit';
import type { Block } from './borderedProblem';

/** A linear problem: each block has two unknowns of its own and touches two of three shared ones. */
function drawn(seed: number) {
  const random = seededRandom(seed);
  const normal = (): number => 2 * random() - 1;
  const blocks: Block[] = [0, 1, 2, 3].map((place) => {
    const border = [place % 3, (place + 1) % 3];
    const slopes = Array.from({ length: 5 }, () => [normal(), normal(), normal(), normal()]);
    return {
      priorSds: [0.7, 1.3],
      groups: [
        {
          border,
          observations: slopes.map((_, index) => ({ name: `${place}.${index}`, value: normal(), sd: 0.2 })),
          predict: (own, shared) =>
            slopes.map(
              ([a = 0, b = 0, c = 0, d = 0]) =>
                a * (own[0] ?? 0) +
                b * (own[1] ?? 0) +
                c * (shared[border[0] ?? 0] ?? 0) +
                d * (shared[border[1] ?? 0] ?? 0),
            ),
        },
      ],
    };
  });
  return { borderPriorSds: [0.5, 1, 2], blocks };
}

/** The same by textbook: one dense matrix, inverted. Unknowns: the border, then the blocks. */
function dense({ borderPriorSds, blocks }: ReturnType<typeof drawn>, leftOut = -1) {
  const size = borderPriorSds.length + 2 * blocks.length;
  const priors = [...borderPriorSds, ...blocks.flatMap((block) => block.priorSds)];
  const normal = Matrix.diag(priors.map((sd) => sd ** -2));
  const pull = Matrix.zeros(size, 1);
  blocks.forEach((block, place) => {
    if (place === leftOut) return;
    for (const group of block.groups) {
      const at = (unknowns: readonly number[]) =>
        group.predict(unknowns.slice(3 + 2 * place, 5 + 2 * place), unknowns.slice(0, 3), []);
      const slopes = priors.map((_, index) => at(priors.map((__, i) => (i === index ? 1 : 0))));
      group.observations.forEach((each, row) => {
        slopes.forEach((a, i) => {
          pull.set(i, 0, pull.get(i, 0) + ((a[row] ?? 0) * each.value) / each.sd ** 2);
          slopes.forEach((b, j) => normal.set(i, j, normal.get(i, j) + ((a[row] ?? 0) * (b[row] ?? 0)) / each.sd ** 2));
        });
      });
    }
  });
  const covariance = inverse(normal);
  return { covariance, values: covariance.mmul(pull).to1DArray() };
}

describe('borderedFit', () => {
  it('is the dense least squares of the same problem, values and covariances', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const problem = drawn(seed);
      const [fit, plain] = [borderedFit({ sds: problem.borderPriorSds }, problem.blocks), dense(problem)];
      expect(fit.settled).toBe(true);
      fit.border.forEach((value, i) => expect(value).toBeCloseTo(plain.values[i] ?? NaN, 7));
      fit.borderCovariance.forEach((row, i) =>
        row.forEach((each, j) => expect(each).toBeCloseTo(plain.covariance.get(i, j), 8)),
      );
      fit.blocks.forEach((block, place) => {
        const start = 3 + 2 * place;
        block.values.forEach((value, i) => expect(value).toBeCloseTo(plain.values[start + i] ?? NaN, 7));
        block.covariance.forEach((row, i) =>
          row.forEach((each, j) => expect(each).toBeCloseTo(plain.covariance.get(start + i, start + j), 8)),
        );
        block.withBorder.forEach((row, i) =>
          row.forEach((each, j) => expect(each).toBeCloseTo(plain.covariance.get(start + i, j), 8)),
        );
      });
    }
  });

  it('knows the border without one block, as a fit of the others does', () => {
    const problem = drawn(7);
    const fit = borderedFit({ sds: problem.borderPriorSds }, problem.blocks);
    for (const place of [0, 1, 2, 3]) {
      const others = dense(problem, place);
      const without = fit.without(place, [2, 0]);
      expect(without.values[0]).toBeCloseTo(others.values[2] ?? NaN, 7);
      expect(without.values[1]).toBeCloseTo(others.values[0] ?? NaN, 7);
      expect(without.covariance[0]?.[1]).toBeCloseTo(others.covariance.get(2, 0), 8);
      expect(without.covariance[0]?.[0]).toBeCloseTo(others.covariance.get(2, 2), 8);
    }
  });

  it('ends on evidence that nothing can meet, with the best that was found', () => {
    const block: Block = {
      priorSds: [1],
      groups: [
        {
          border: [0],
          observations: [
            { name: 'far', value: 50, sd: 0.01 },
            { name: 'the other way', value: -50, sd: 0.01 },
          ],
          predict: ([x = 0], [y = 0]) => [Math.exp(3 * x + y), Math.log(1 + x)],
        },
      ],
    };
    const fit = borderedFit({ sds: [1] }, [block]);
    expect(fit.blocks[0]?.residuals.every(Number.isFinite)).toBe(true);
    expect(fit.borderCovariance[0]?.[0]).toBeGreaterThan(0);
  });

  // Conditional normal distribution: E[y | x seen] = ρ·(σy/σx)·E[x | seen], var[y] = σy²·(1 − ρ²·(1 − left)).
  it('carries what is believed of two of the border together', () => {
    const block: Block = {
      priorSds: [1e-6],
      groups: [{ border: [0], observations: [{ name: 'x', value: 3, sd: 1 }], predict: (_, [x = 0]) => [x] }],
    };
    const fit = borderedFit(
      {
        sds: [2, 0.5],
        correlation: [
          [1, 0.6],
          [0.6, 1],
        ],
      },
      [block],
    );
    const seen = (3 * 4) / 5;
    expect(fit.border[0]).toBeCloseTo(seen, 6);
    expect(fit.border[1]).toBeCloseTo(0.6 * (0.5 / 2) * seen, 6);
    expect(fit.borderCovariance[1]?.[1]).toBeCloseTo(0.25 * (1 - 0.36 * (4 / 5)), 6);
    const impossible = [
      [1, 1.2],
      [1.2, 1],
    ];
    expect(() => borderedFit({ sds: [2, 0.5], correlation: impossible }, [block])).toThrow(/cannot be/);
  });

  // Against the same fit, made again without the observation.
  it('says by how much an unknown would be wider without each observation', () => {
    const random = seededRandom(5);
    const draw = (): number => random() - 0.5;
    const slopes = Array.from({ length: 6 }, () => [draw(), draw(), draw(), draw(), draw()]);
    const blockOf = (rows: readonly number[]): Block => ({
      priorSds: [1, 2],
      groups: [
        {
          border: [0, 2],
          innerPriorSds: [0.7],
          observations: rows.map((row) => ({ name: `${row}`, value: draw(), sd: 0.4 })),
          predict: (own, border, inner) =>
            rows.map((row) => {
              const [a = 0, b = 0, c = 0, d = 0, e = 0] = slopes[row] ?? [];
              return (
                a * (own[0] ?? 0) +
                b * (own[1] ?? 0) +
                c * (border[0] ?? 0) +
                d * (border[2] ?? 0) +
                e * (inner[0] ?? 0)
              );
            }),
        },
      ],
    });
    const prior = {
      sds: [1, 1, 1],
      correlation: [
        [1, 0.3, 0.5],
        [0.3, 1, 0],
        [0.5, 0, 1],
      ],
    };
    const all = [0, 1, 2, 3, 4, 5];
    const fit = borderedFit(prior, [blockOf(all)]);
    const sdOf = (of: typeof fit, what: { own: number } | { border: number }): number =>
      Math.sqrt(
        'own' in what
          ? (of.blocks[0]?.covariance[what.own]?.[what.own] ?? NaN)
          : (of.borderCovariance[what.border]?.[what.border] ?? NaN),
      );
    for (const what of [{ own: 0 }, { own: 1 }, { border: 0 }, { border: 1 }, { border: 2 }]) {
      const [widens] = fit.widensWithout(0, what);
      all.forEach((row) => {
        const without = borderedFit(prior, [blockOf(all.filter((each) => each !== row))]);
        expect(widens?.[row]).toBeCloseTo(sdOf(without, what) / sdOf(fit, what), 6);
      });
    }
    expect(() => fit.widensWithout(1, { own: 0 })).toThrow(/no such block/);
  });

  it('takes no SD of nothing, and no beginning that cannot be', () => {
    expect(() => borderedFit({ sds: [0] }, [])).toThrow(/positive/);
    const nowhere: Block = {
      priorSds: [1],
      groups: [{ border: [], observations: [{ name: 'x', value: 1, sd: 1 }], predict: () => [NaN] }],
    };
    expect(() => borderedFit({ sds: [] }, [nowhere])).toThrow(/cannot be predicted/);
    expect(borderedFit({ sds: [] }, [])).toMatchObject({ border: [], blocks: [] });
  });
});
