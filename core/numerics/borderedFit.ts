import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** Something that was measured: its value, and the SD of its error. */
export interface Observation {
  readonly name: string;
  readonly value: number;
  readonly sd: number;
}

/** Observations that depend on the unknowns of one block and on a few of the border. */
export interface BlockGroup {
  /** Places in the border of the unknowns that these observations depend on. */
  readonly border: readonly number[];
  readonly observations: readonly Observation[];
  /** The block's own unknowns and all of the border → what each observation would be; not finite where it cannot be. */
  predict(own: readonly number[], border: readonly number[]): readonly number[];
}

/** Unknowns of their own, and what was measured of them. */
export interface Block {
  readonly priorSds: readonly number[];
  readonly groups: readonly BlockGroup[];
}

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
}

export interface BorderWithout {
  readonly values: readonly number[];
  readonly covariance: readonly (readonly number[])[];
}

export interface FittedBlock {
  readonly values: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Covariance of each own unknown's error with each of the border's. */
  readonly withBorder: readonly (readonly number[])[];
  /** For each observation, group after group, (observed − fitted) ÷ SD. */
  readonly residuals: readonly number[];
}

/** A round that improves by less than this part of an SD squared has arrived. */
const ARRIVED = 1e-9;
const MOST_ROUNDS = 60;
/** Step for differences, in prior SDs: small against 1, large against the last bits of a double. */
const STEP = 1e-4;
/** Damping of the first round, as a share of each unknown's own information, and where it is as good as none. */
const FIRST_DAMPING = 1e-3;
const MOST_DAMPING = 1e8;

/**
 * Weighted least squares with priors for many blocks that meet only in a border: reels that share lines. Every round
 * eliminates the blocks one by one (Schur complements), so that its cost grows with their number and not with its cube.
 * Damped Gauss–Newton (Levenberg–Marquardt): a round that makes things worse is taken back, so that it always ends, with
 * the best that was found. Unknowns are 0 ± prior SD before anything is measured.
 *
 * @param borderPriorSds SD of each shared unknown beforehand, above 0
 * @param blocks unknowns of their own with what was measured; a group names the shared ones that it depends on
 * @param from where to begin; all 0 when left out
 * @throws RangeError when an SD is not positive, or the first point cannot be predicted
 */
export function borderedFit(
  borderPriorSds: readonly number[],
  blocks: readonly Block[],
  from?: Pick<BorderedFit, 'border'> & { readonly blocks: readonly Pick<FittedBlock, 'values'>[] },
): BorderedFit {
  const sds = [
    ...borderPriorSds,
    ...blocks.flatMap((block) => [
      ...block.priorSds,
      ...block.groups.flatMap((group) => group.observations.map(({ sd }) => sd)),
    ]),
  ];
  if (sds.some((sd) => !(sd > 0 && Number.isFinite(sd))))
    throw new RangeError('borderedFit: every SD must be positive');
  const problem = { borderPriorSds, blocks };
  let at: Point = {
    border: from?.border ?? borderPriorSds.map(() => 0),
    own: blocks.map((block, index) => from?.blocks[index]?.values ?? block.priorSds.map(() => 0)),
  };
  let before = misfit(problem, at);
  if (!Number.isFinite(before)) throw new RangeError('borderedFit: what is believed beforehand cannot be predicted');
  let damping = FIRST_DAMPING;
  let settled = false;
  let iterations = 0;
  let linear = linearised(problem, at);
  while (!settled && iterations < MOST_ROUNDS) {
    iterations += 1;
    const next = stepped(at, solve(linear, damping));
    const after = misfit(problem, next);
    if (after <= before) {
      settled = before - after < ARRIVED * (1 + before);
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

interface Problem {
  readonly borderPriorSds: readonly number[];
  readonly blocks: readonly Block[];
}

interface Point {
  readonly border: readonly number[];
  readonly own: readonly (readonly number[])[];
}

/** One block at a point: its information, what couples it to the border, and how its data pull. */
interface LinearBlock {
  /** Places in the border that this block touches. */
  readonly touched: readonly number[];
  readonly own: Matrix;
  /** Own × touched. */
  readonly coupling: Matrix;
  /** Touched × touched: information on the border from this block's data. */
  readonly shared: Matrix;
  readonly ownPull: Matrix;
  readonly sharedPull: Matrix;
}

interface Linear {
  readonly borderPrecisions: readonly number[];
  readonly borderPull: readonly number[];
  readonly blocks: readonly LinearBlock[];
}

function residualsOf(group: BlockGroup, own: readonly number[], border: readonly number[]): number[] {
  const predicted = group.predict(own, border);
  return group.observations.map((each, index) => (each.value - (predicted[index] ?? NaN)) / each.sd);
}

/** Squared distance from observations and priors, each in its own SDs; infinite where something cannot be predicted. */
function misfit({ borderPriorSds, blocks }: Problem, { border, own }: Point): number {
  let sum = 0;
  border.forEach((value, index) => (sum += (value / (borderPriorSds[index] ?? NaN)) ** 2));
  blocks.forEach((block, place) => {
    const values = own[place] ?? [];
    values.forEach((value, index) => (sum += (value / (block.priorSds[index] ?? NaN)) ** 2));
    for (const group of block.groups) {
      for (const residual of residualsOf(group, values, border)) sum += residual ** 2;
    }
  });
  return Number.isFinite(sum) ? sum : Infinity;
}

function linearised({ borderPriorSds, blocks }: Problem, { border, own }: Point): Linear {
  return {
    borderPrecisions: borderPriorSds.map((sd) => sd ** -2),
    borderPull: border.map((value, index) => -value * (borderPriorSds[index] ?? NaN) ** -2),
    blocks: blocks.map((block, place) => linearBlock(block, own[place] ?? [], border, borderPriorSds)),
  };
}

function linearBlock(
  block: Block,
  own: readonly number[],
  border: readonly number[],
  borderPriorSds: readonly number[],
): LinearBlock {
  const touched = [...new Set(block.groups.flatMap((group) => group.border))];
  const linear: LinearBlock = {
    touched,
    own: Matrix.diag(block.priorSds.map((sd) => sd ** -2)),
    coupling: Matrix.zeros(own.length, touched.length),
    shared: Matrix.zeros(touched.length, touched.length),
    ownPull: Matrix.columnVector(own.map((value, index) => -value * (block.priorSds[index] ?? NaN) ** -2)),
    sharedPull: Matrix.zeros(touched.length, 1),
  };
  for (const group of block.groups) {
    const residuals = residualsOf(group, own, border);
    const ownSlopes = own.map((value, index) =>
      slopesOf(STEP * (block.priorSds[index] ?? NaN), (by) => residualsOf(group, own.with(index, value + by), border)),
    );
    const sharedSlopes = group.border.map((index) =>
      slopesOf(STEP * (borderPriorSds[index] ?? NaN), (by) =>
        residualsOf(group, own, border.with(index, (border[index] ?? 0) + by)),
      ),
    );
    const places = group.border.map((index) => touched.indexOf(index));
    ownSlopes.forEach((a, i) => {
      add(linear.ownPull, i, 0, dot(a, residuals));
      ownSlopes.forEach((b, j) => add(linear.own, i, j, dot(a, b)));
      sharedSlopes.forEach((b, j) => add(linear.coupling, i, places[j] ?? 0, dot(a, b)));
    });
    sharedSlopes.forEach((a, i) => {
      add(linear.sharedPull, places[i] ?? 0, 0, dot(a, residuals));
      sharedSlopes.forEach((b, j) => add(linear.shared, places[i] ?? 0, places[j] ?? 0, dot(a, b)));
    });
  }
  return linear;
}

/** How predictions move with one unknown: slopes of the residuals, turned round. A side that cannot be predicted is left out. */
function slopesOf(by: number, residualsAt: (by: number) => readonly number[]): number[] {
  const [up, down] = [residualsAt(by), residualsAt(-by)];
  return up.map((above, row) => {
    const slope = ((down[row] ?? NaN) - above) / (2 * by);
    return Number.isFinite(slope) ? slope : 0;
  });
}

const add = (matrix: Matrix, row: number, column: number, value: number): void => {
  matrix.set(row, column, matrix.get(row, column) + value);
};

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += (a[index] ?? 0) * (b[index] ?? 0);
  return sum;
}

/** A matrix with a share of its own diagonal added. */
function damped(matrix: Matrix, damping: number): Matrix {
  const result = matrix.clone();
  for (let index = 0; index < result.rows; index += 1) add(result, index, index, damping * matrix.get(index, index));
  return result;
}

/** What is symmetric but for the last bits, made so to the last bit: Cholesky asks for it. */
function symmetric(matrix: Matrix): Matrix {
  return Matrix.add(matrix, matrix.transpose()).mul(0.5);
}

interface Step {
  readonly border: readonly number[];
  readonly own: readonly (readonly number[])[];
}

/** One step: the blocks are eliminated, the border is solved, the blocks follow. */
function solve(linear: Linear, damping: number): Step {
  const { information, eliminated } = schur(linear, damping);
  const pull = Matrix.columnVector([...linear.borderPull]);
  linear.blocks.forEach((block, place) => {
    const { ownAlone } = eliminated[place] ?? {};
    if (!ownAlone) return;
    const reduced = Matrix.sub(block.sharedPull, block.coupling.transpose().mmul(ownAlone));
    block.touched.forEach((index, row) => add(pull, index, 0, reduced.get(row, 0)));
  });
  const border = information.rows > 0 ? new CholeskyDecomposition(information).solve(pull).to1DArray() : [];
  const own = linear.blocks.map((block, place) => {
    const { ownAlone, response } = eliminated[place] ?? {};
    if (!ownAlone || !response) return [];
    if (block.touched.length === 0) return ownAlone.to1DArray();
    const moved = Matrix.columnVector(block.touched.map((index) => border[index] ?? 0));
    return Matrix.sub(ownAlone, response.mmul(moved)).to1DArray();
  });
  return { border, own };
}

/** Information on the border once the blocks are eliminated, and of each block its own answer and how it follows the border. */
function schur(linear: Linear, damping: number) {
  const information = damped(Matrix.diag([...linear.borderPrecisions]), damping);
  const eliminated = linear.blocks.map((block) => {
    const cholesky = new CholeskyDecomposition(damped(block.own, damping));
    const response = block.touched.length > 0 ? cholesky.solve(block.coupling) : Matrix.zeros(block.own.rows, 0);
    if (block.touched.length > 0) {
      const left = symmetric(Matrix.sub(damped(block.shared, damping), block.coupling.transpose().mmul(response)));
      block.touched.forEach((row, i) => {
        block.touched.forEach((column, j) => add(information, row, column, left.get(i, j)));
      });
    }
    return { cholesky, response, ownAlone: cholesky.solve(block.ownPull) };
  });
  return { information, eliminated };
}

function stepped(at: Point, step: Step): Point {
  return {
    border: at.border.map((value, index) => value + (step.border[index] ?? 0)),
    own: at.own.map((values, place) => values.map((value, index) => value + (step.own[place]?.[index] ?? 0))),
  };
}

function described({ blocks }: Problem, at: Point, linear: Linear, settled: boolean, iterations: number): BorderedFit {
  const { information, eliminated } = schur(linear, 0);
  const covariance = inverseOf(information);
  return {
    settled,
    iterations,
    border: at.border,
    borderCovariance: covariance.to2DArray(),
    without: (place, places) =>
      withoutBlock(at.border, information, linear.blocks[place], eliminated[place]?.response, places),
    blocks: blocks.map((block, place): FittedBlock => {
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
        residuals: block.groups.flatMap((group) => residualsOf(group, own, at.border)),
      };
    }),
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
