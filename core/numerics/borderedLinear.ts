import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { dotRow, residualsOf, type Block, type Point, type Problem } from './borderedProblem';

/** Step for differences, in prior SDs: small against 1, large against the last bits of a double. */
const STEP = 1e-4;

/** How a group's inner unknowns follow: their own answer, and what each step of the block and of the border takes from it. */
interface Follows {
  readonly alone: Matrix;
  /** Inner × own, inner × the group's places in the border. */
  readonly byOwn: Matrix;
  readonly byBorder: Matrix;
  readonly border: readonly number[];
  /** What is left open of the inner unknowns where block and border are known. */
  readonly covariance: Matrix;
}

/** How the predictions of one group move, in the weighted SDs of its observations. */
export interface GroupLinear {
  /** Places in the block's `touched` of what the group touches. */
  readonly places: readonly number[];
  readonly ownSlopes: readonly (readonly number[])[];
  readonly sharedSlopes: readonly (readonly number[])[];
  readonly innerSlopes: readonly (readonly number[])[];
}

/** One block at a point: its information, what couples it to the border, and how its data pull. */
export interface LinearBlock {
  /** Places in the border that this block touches. */
  readonly touched: readonly number[];
  readonly own: Matrix;
  /** Own × touched. */
  readonly coupling: Matrix;
  /** Touched × touched: information on the border from this block's data. */
  readonly shared: Matrix;
  readonly ownPull: Matrix;
  readonly sharedPull: Matrix;
  /** Group by group; null where a group has no inner unknowns. */
  readonly follows: readonly (Follows | null)[];
  readonly groups: readonly GroupLinear[];
}

export interface Linear {
  readonly borderPrecision: Matrix;
  readonly borderPull: readonly number[];
  readonly blocks: readonly LinearBlock[];
}

export function linearised({ borderPriorSds, borderPrecision, blocks }: Problem, at: Point): Linear {
  const { border, own, inner } = at;
  return {
    borderPrecision,
    borderPull: border.map((_, index) => -dotRow(borderPrecision, index, border)),
    blocks: blocks.map((block, place) =>
      linearBlock(block, own[place] ?? [], border, borderPriorSds, inner[place] ?? []),
    ),
  };
}

function linearBlock(
  block: Block,
  own: readonly number[],
  border: readonly number[],
  borderPriorSds: readonly number[],
  inner: readonly (readonly number[])[],
): LinearBlock {
  const touched = [...new Set(block.groups.flatMap((group) => group.border))];
  const follows: (Follows | null)[] = [];
  const groups: GroupLinear[] = [];
  const linear: LinearBlock = {
    touched,
    own: Matrix.diag(block.priorSds.map((sd) => sd ** -2)),
    coupling: Matrix.zeros(own.length, touched.length),
    shared: Matrix.zeros(touched.length, touched.length),
    ownPull: Matrix.columnVector(own.map((value, index) => -value * (block.priorSds[index] ?? NaN) ** -2)),
    sharedPull: Matrix.zeros(touched.length, 1),
    follows,
    groups,
  };
  block.groups.forEach((group, at) => {
    const ofGroup = inner[at] ?? [];
    const innerPriorSds = group.innerPriorSds ?? [];
    const plain = residualsOf(group, own, border, ofGroup);
    const weights = plain.map((residual, index) => {
      const tails = group.observations[index]?.tails;
      return tails === undefined ? 1 : 1 / Math.sqrt(1 + residual ** 2 / tails);
    });
    const weighted = (of: readonly number[]): number[] => of.map((each, index) => each * (weights[index] ?? 1));
    const residuals = weighted(plain);
    const slopes = (
      priorSd: number | undefined,
      value: number | undefined,
      residualsAt: (there: number) => readonly number[],
    ): number[] => {
      const by = STEP * (priorSd ?? NaN);
      return weighted(slopesOf(by, plain, residualsAt((value ?? 0) + by)));
    };
    const ownSlopes = own.map((value, index) =>
      slopes(block.priorSds[index], value, (there) => residualsOf(group, own.with(index, there), border, ofGroup)),
    );
    const sharedSlopes = group.border.map((index) =>
      slopes(borderPriorSds[index], border[index], (there) =>
        residualsOf(group, own, border.with(index, there), ofGroup),
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
    const innerSlopes = ofGroup.map((value, index) =>
      slopes(innerPriorSds[index], value, (there) => residualsOf(group, own, border, ofGroup.with(index, there))),
    );
    groups.push({ places, ownSlopes, sharedSlopes, innerSlopes });
    follows.push(
      ofGroup.length === 0
        ? null
        : withoutInner(linear, places, group.border, {
            ...{ residuals, ownSlopes, sharedSlopes, innerSlopes, innerPriorSds },
            inner: ofGroup,
          }),
    );
  });
  return linear;
}

interface GroupSlopes {
  readonly residuals: readonly number[];
  readonly ownSlopes: readonly (readonly number[])[];
  readonly sharedSlopes: readonly (readonly number[])[];
  readonly innerSlopes: readonly (readonly number[])[];
  readonly inner: readonly number[];
  readonly innerPriorSds: readonly number[];
}

/** Takes a group's inner unknowns out of its block's equations, and says how they follow the rest. */
function withoutInner(
  linear: LinearBlock,
  places: readonly number[],
  border: readonly number[],
  { residuals, ownSlopes, sharedSlopes, innerSlopes, inner, innerPriorSds }: GroupSlopes,
): Follows {
  const precisions = innerPriorSds.map((sd) => sd ** -2);
  const crossed = (others: readonly (readonly number[])[]): Matrix =>
    others.length === 0
      ? Matrix.zeros(inner.length, 0)
      : new Matrix(innerSlopes.map((a) => others.map((b) => dot(a, b))));
  const own = new Matrix(
    innerSlopes.map((a, i) => innerSlopes.map((b, j) => dot(a, b) + (i === j ? (precisions[i] ?? 0) : 0))),
  );
  const pull = Matrix.columnVector(
    inner.map((value, index) => dot(innerSlopes[index] ?? [], residuals) - value * (precisions[index] ?? 0)),
  );
  const [withOwn, withBorder] = [crossed(ownSlopes), crossed(sharedSlopes)];
  const cholesky = new CholeskyDecomposition(own);
  const solved = (of: Matrix): Matrix => (of.columns === 0 ? of : cholesky.solve(of));
  const [alone, byOwn, byBorder] = [cholesky.solve(pull), solved(withOwn), solved(withBorder)];
  const less = (from: Matrix, by: Matrix, rowAt: (i: number) => number, columnAt: (j: number) => number): void => {
    for (let i = 0; i < by.rows; i += 1) {
      for (let j = 0; j < by.columns; j += 1) add(from, rowAt(i), columnAt(j), -by.get(i, j));
    }
  };
  const same = (index: number): number => index;
  const toPlace = (index: number): number => places[index] ?? 0;
  const zero = (): number => 0;
  if (withOwn.columns > 0) {
    less(linear.own, symmetric(withOwn.transpose().mmul(byOwn)), same, same);
    less(linear.ownPull, withOwn.transpose().mmul(alone), same, zero);
  }
  if (withBorder.columns > 0) {
    less(linear.shared, symmetric(withBorder.transpose().mmul(byBorder)), toPlace, toPlace);
    less(linear.sharedPull, withBorder.transpose().mmul(alone), toPlace, zero);
    if (withOwn.columns > 0) less(linear.coupling, withOwn.transpose().mmul(byBorder), same, toPlace);
  }
  return { alone, byOwn, byBorder, border, covariance: cholesky.solve(Matrix.eye(inner.length)) };
}

/**
 * How predictions move with one unknown: slopes of the residuals, turned round, by a step to one side: its curvature is far below what
 * a residual is known to. What cannot be predicted there is left out.
 */
function slopesOf(by: number, here: readonly number[], there: readonly number[]): number[] {
  return here.map((each, row) => {
    const slope = (each - (there[row] ?? NaN)) / by;
    return Number.isFinite(slope) ? slope : 0;
  });
}

export const add = (matrix: Matrix, row: number, column: number, value: number): void => {
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
export function symmetric(matrix: Matrix): Matrix {
  return Matrix.add(matrix, matrix.transpose()).mul(0.5);
}

export interface Step {
  readonly border: readonly number[];
  readonly own: readonly (readonly number[])[];
}

/** One step: the blocks are eliminated, the border is solved, the blocks follow. */
export function solve(linear: Linear, damping: number): Step {
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
export function schur(linear: Linear, damping: number) {
  const information = damped(linear.borderPrecision, damping);
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

export function stepped(at: Point, step: Step, linear: Linear): Point {
  return {
    border: at.border.map((value, index) => value + (step.border[index] ?? 0)),
    own: at.own.map((values, place) => values.map((value, index) => value + (step.own[place]?.[index] ?? 0))),
    inner: at.inner.map((groups, place) =>
      groups.map((values, group) => {
        const follows = linear.blocks[place]?.follows[group];
        if (!follows) return values;
        const own = step.own[place] ?? [];
        return values.map(
          (value, row) =>
            value +
            follows.alone.get(row, 0) -
            own.reduce((sum, each, column) => sum + follows.byOwn.get(row, column) * each, 0) -
            follows.border.reduce(
              (sum, index, column) => sum + follows.byBorder.get(row, column) * (step.border[index] ?? 0),
              0,
            ),
        );
      }),
    ),
  };
}
