import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { add, linearised, schur, solve, stepped, symmetric, type Linear, type LinearBlock } from './borderedLinear';
import {
  misfit,
  precisionOf,
  residualsOf,
  type Block,
  type BorderPrior,
  type FittedBlock,
  type Point,
  type Problem,
} from './borderedProblem';
import { widensWithout, type FitUnknown } from './widensWithout';

export interface BorderedFit {
  /** False when the rounds ended before the answer stood still; the values are then the best that were found. */
  readonly settled: boolean;
  readonly iterations: number;
  readonly border: readonly number[];
  /** Covariance of the border's errors. */
  readonly borderCovariance: readonly (readonly number[])[];
  readonly blocks: readonly FittedBlock[];
  /**
   * Some of the border as everything but one block has it, by which that block can be fitted anew alone: to the same
   * order as the fit itself, and without a whole fit.
   */
  without(block: number, places: readonly number[]): BorderWithout;
  /**
   * By how much the SD of an unknown would be wider without each observation of a block, group by group: 1 where it tells nothing of it.
   * Exact where predictions are linear over their errors (one rank less: Sherman and Morrison 1950).
   *
   * @param of one of the block's own unknowns, or one of the border's, by its place
   */
  widensWithout(block: number, of: FitUnknown): readonly (readonly number[])[];
}

export interface BorderWithout {
  readonly values: readonly number[];
  readonly covariance: readonly (readonly number[])[];
}

/** A round that improves by less than this part of an SD squared has arrived. */
const ARRIVED = 1e-9;
/** What is only a beginning has arrived sooner. */
const ABOUT_THERE = 1e-2;
const MOST_ROUNDS = 60;
/** Damping of the first round, as a share of each unknown's own information, and where it is as good as none. */
const FIRST_DAMPING = 1e-3;
const MOST_DAMPING = 1e8;

/**
 * Weighted least squares with priors for many blocks that meet only in a border: reels that share lines. Every round
 * eliminates the blocks one by one (Schur complements), so that its cost grows with their number and not with its cube.
 * Damped Gauss–Newton (Levenberg–Marquardt): a round that makes things worse is taken back, so that it always ends, with
 * the best that was found. Unknowns are 0 ± prior SD before anything is measured.
 *
 * An observation with tails pulls less the farther it lies off: with weight 1 / (1 + r²/ν), r its distance in SDs, the iteratively
 * reweighted least squares of a Student t with ν degrees of freedom (Lange, Little and Taylor 1989), scaled so that near the fit its SD
 * is what it says. Inner unknowns of a group are eliminated first (a Schur complement within the block).
 *
 * @param prior of the shared unknowns, each SD above 0
 * @param blocks unknowns of their own with what was measured; a group names the shared ones that it depends on
 * @param from where to begin; all 0 when left out
 * @throws RangeError when an SD is not positive, a correlation cannot be, or the first point cannot be predicted
 */
export function borderedFit(prior: BorderPrior, blocks: readonly Block[], from?: From): BorderedFit {
  return fitted(prior, blocks, from, ARRIVED);
}

/** Where a fit begins. */
type From = Pick<BorderedFit, 'border'> & { readonly blocks: readonly Pick<FittedBlock, 'values' | 'inner'>[] };

function fitted(prior: BorderPrior, blocks: readonly Block[], from: From | undefined, arrived: number): BorderedFit {
  const borderPriorSds = prior.sds;
  const sds = [
    ...borderPriorSds,
    ...blocks.flatMap((block) => [
      ...block.priorSds,
      ...block.groups.flatMap((group) => [...group.observations.map(({ sd }) => sd), ...(group.innerPriorSds ?? [])]),
    ]),
  ];
  if (sds.some((sd) => !(sd > 0 && Number.isFinite(sd))))
    throw new RangeError('borderedFit: every SD must be positive');
  const problem: Problem = { borderPriorSds, borderPrecision: precisionOf(prior), blocks };
  // Tails make more than one place look like the best: from the plain least squares the way leads to what most pieces say.
  const untailed =
    from === undefined && hasTails(blocks) ? fitted(prior, blocks.map(withoutTails), undefined, ABOUT_THERE) : from;
  let at: Point = {
    border: untailed?.border ?? borderPriorSds.map(() => 0),
    own: blocks.map((block, index) => untailed?.blocks[index]?.values ?? block.priorSds.map(() => 0)),
    inner: blocks.map((block, place) =>
      block.groups.map((group, index) => {
        const before = untailed?.blocks[place]?.inner[index];
        const size = group.innerPriorSds?.length ?? 0;
        return before?.length === size ? before : Array.from({ length: size }, () => 0);
      }),
    ),
  };
  let before = misfit(problem, at);
  if (!Number.isFinite(before)) throw new RangeError('borderedFit: what is believed beforehand cannot be predicted');
  let damping = FIRST_DAMPING;
  let settled = false;
  let iterations = 0;
  let linear = linearised(problem, at);
  while (!settled && iterations < MOST_ROUNDS) {
    iterations += 1;
    const next = stepped(at, solve(linear, damping), linear);
    const after = misfit(problem, next);
    if (after <= before) {
      settled = before - after < arrived * (1 + before);
      [at, before] = [next, after];
      damping = Math.max(damping / 10, 1e-12);
      linear = linearised(problem, at);
    } else {
      damping *= 10;
      // Nothing downhill within reach: this is the place.
      settled = damping > MOST_DAMPING;
    }
  }
  return described(problem, at, linear, settled, iterations);
}

const hasTails = (blocks: readonly Block[]): boolean =>
  blocks.some((block) => block.groups.some((group) => group.observations.some(({ tails }) => tails !== undefined)));

function withoutTails(block: Block): Block {
  const groups = block.groups.map((group) => ({
    ...group,
    observations: group.observations.map(({ name, value, sd }) => ({ name, value, sd })),
    predict: group.predict.bind(group),
  }));
  return { ...block, groups };
}

function described({ blocks }: Problem, at: Point, linear: Linear, settled: boolean, iterations: number): BorderedFit {
  const { information, eliminated } = schur(linear, 0);
  const covariance = inverseOf(information);
  const fittedBlocks = blocks.map((block, place): FittedBlock => {
    const part = linear.blocks[place];
    const { cholesky, response } = eliminated[place] ?? {};
    if (!part || !cholesky || !response) throw new Error('borderedFit: a block is gone');
    const own = at.own[place] ?? [];
    const alone = cholesky.solve(Matrix.eye(own.length));
    const rows =
      part.touched.length > 0 ? covariance.subMatrixRow([...part.touched]) : Matrix.zeros(0, covariance.columns);
    const withBorder =
      part.touched.length > 0 ? Matrix.mul(response.mmul(rows), -1) : Matrix.zeros(own.length, covariance.columns);
    const spread =
      part.touched.length > 0
        ? Matrix.add(alone, response.mmul(rows.subMatrixColumn([...part.touched])).mmul(response.transpose()))
        : alone;
    return {
      values: own,
      covariance: spread.to2DArray(),
      withBorder: withBorder.to2DArray(),
      inner: at.inner[place] ?? [],
      residuals: block.groups.flatMap((group, index) =>
        residualsOf(group, own, at.border, at.inner[place]?.[index] ?? []),
      ),
    };
  });
  return {
    settled,
    iterations,
    border: at.border,
    borderCovariance: covariance.to2DArray(),
    without: (place, places) =>
      withoutBlock(at.border, information, linear.blocks[place], eliminated[place]?.response, places),
    widensWithout: (place, of) => {
      const [part, block] = [linear.blocks[place], fittedBlocks[place]];
      if (!part || !block) throw new RangeError('borderedFit: there is no such block');
      return widensWithout(part, block, covariance, of);
    },
    blocks: fittedBlocks,
  };
}

function withoutBlock(
  border: readonly number[],
  information: Matrix,
  block: LinearBlock | undefined,
  response: Matrix | undefined,
  places: readonly number[],
): BorderWithout {
  if (!block || !response) throw new RangeError('borderedFit: there is no such block');
  const others = information.clone();
  const pull = Matrix.zeros(border.length, 1);
  if (block.touched.length > 0) {
    const left = symmetric(Matrix.sub(block.shared, block.coupling.transpose().mmul(response)));
    block.touched.forEach((row, i) => {
      // Where the whole fit stands still, what this block pulls is what all others pull the other way.
      pull.set(row, 0, block.sharedPull.get(i, 0));
      block.touched.forEach((column, j) => add(others, row, column, -left.get(i, j)));
    });
  }
  if (border.length === 0) return { values: [], covariance: [] };
  const cholesky = new CholeskyDecomposition(others);
  const back = cholesky.solve(pull);
  const columns = Matrix.zeros(border.length, places.length);
  places.forEach((place, column) => columns.set(place, column, 1));
  const spread = cholesky.solve(columns);
  return {
    values: places.map((place) => (border[place] ?? 0) - back.get(place, 0)),
    covariance: places.map((row) => places.map((_, column) => spread.get(row, column))),
  };
}

function inverseOf(information: Matrix): Matrix {
  if (information.rows === 0) return Matrix.zeros(0, 0);
  return new CholeskyDecomposition(information).solve(Matrix.eye(information.rows));
}
