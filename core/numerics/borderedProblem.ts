/** Something that was measured: its value, and the SD of its error. */
export interface Observation {
  readonly name: string;
  readonly value: number;
  readonly sd: number;
  /** Degrees of freedom of the Student t that it scatters with; left out: it scatters normally. */
  readonly tails?: number;
}

/** Observations that depend on the unknowns of one block and on a few of the border. */
export interface BlockGroup {
  /** Places in the border of the unknowns that these observations depend on. */
  readonly border: readonly number[];
  readonly observations: readonly Observation[];
  /** SDs beforehand of unknowns that this group alone depends on: they are eliminated before the block's. */
  readonly innerPriorSds?: readonly number[];
  /**
   * The block's own unknowns, all of the border and the group's inner unknowns → what each observation would be; not finite where it
   * cannot be.
   */
  predict(own: readonly number[], border: readonly number[], inner: readonly number[]): readonly number[];
}

/** Unknowns of their own, and what was measured of them. */
export interface Block {
  readonly priorSds: readonly number[];
  readonly groups: readonly BlockGroup[];
}

export interface Problem {
  readonly borderPriorSds: readonly number[];
  readonly blocks: readonly Block[];
}

export interface Point {
  readonly border: readonly number[];
  readonly own: readonly (readonly number[])[];
  /** Block by block, group by group. */
  readonly inner: readonly (readonly (readonly number[])[])[];
}

export function residualsOf(
  group: BlockGroup,
  own: readonly number[],
  border: readonly number[],
  inner: readonly number[],
): number[] {
  const predicted = group.predict(own, border, inner);
  return group.observations.map((each, index) => (each.value - (predicted[index] ?? NaN)) / each.sd);
}

/** Squared distance of a residual as its tails have it. */
const distance = (residual: number, tails: number | undefined): number =>
  tails === undefined ? residual ** 2 : tails * Math.log1p(residual ** 2 / tails);

/** Squared distance from observations and priors, each in its own SDs; infinite where something cannot be predicted. */
export function misfit({ borderPriorSds, blocks }: Problem, { border, own, inner }: Point): number {
  let sum = 0;
  border.forEach((value, index) => (sum += (value / (borderPriorSds[index] ?? NaN)) ** 2));
  blocks.forEach((block, place) => {
    const values = own[place] ?? [];
    values.forEach((value, index) => (sum += (value / (block.priorSds[index] ?? NaN)) ** 2));
    block.groups.forEach((group, at) => {
      const ofGroup = inner[place]?.[at] ?? [];
      ofGroup.forEach((value, index) => (sum += (value / (group.innerPriorSds?.[index] ?? NaN)) ** 2));
      residualsOf(group, values, border, ofGroup).forEach(
        (residual, index) => (sum += distance(residual, group.observations[index]?.tails)),
      );
    });
  });
  return Number.isFinite(sum) ? sum : Infinity;
}
