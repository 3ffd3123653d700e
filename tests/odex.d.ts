/** The part of the integrator that tests hold closed forms against: its own source does not pass this project's type rules. */
export class Solver {
  constructor(unknowns: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(
    slope: (at: number, state: number[]) => number[],
    from: number,
    state: number[],
    to: number,
  ): { readonly y: number[]; readonly outcome: number };
}
