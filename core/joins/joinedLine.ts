import type { Known } from '../provenance/source';

/** The two lines that meet, and the reel that a loop may have to pass. Null for the arbor. */
export interface LinesToJoin {
  readonly inner: JoinedLine | null;
  readonly outer: JoinedLine;
  readonly reel: { readonly fullDiameterM: number; readonly widthM: number; readonly arborDiameterM: number };
}

export interface JoinedLine {
  readonly name: string;
  readonly material: string;
  readonly diameterM: number;
  /** What it holds (N), or null when nothing is known. */
  readonly strengthN: Known | null;
}
