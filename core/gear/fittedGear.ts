import type { BorderedFit } from '../numerics/borderedFit';
import { OWN_UNKNOWNS, ownPriorSds, type EvidenceSource, type Piece, type ReelToFit } from './gearEvidence';

export type DimensionKey = 'arborDiameterM' | 'widthM' | 'fullDiameterM' | 'lengthPerTurnM';

/** A figure that the fit found, with the relative SDs of its error now and before. */
export interface Fitted {
  readonly value: number;
  readonly relativeSd: number;
  readonly relativeSdBefore: number;
}

/** A line as found: a factor on the space that it was believed to take. */
export interface FittedLine extends Fitted {
  readonly lineId: string;
}

/** A reel as found: dimensions (m) with the covariance of their logarithms, among themselves, with every line and with the tape. */
export interface FittedReel {
  readonly reelId: string;
  readonly dimensions: readonly (Fitted & { readonly dimension: DimensionKey })[];
  readonly covariance: readonly (readonly number[])[];
  readonly withShared: readonly (readonly number[])[];
}

/** How one piece of evidence sits with all the others. */
export interface FittedEvidence {
  readonly kind: Piece['kind'];
  readonly name: string;
  readonly reelId: string;
  readonly source: EvidenceSource | null;
  /** (Observed − fitted) ÷ SD: beyond 3 it does not fit. */
  readonly offBySds: number;
  /** Observed − fitted: metres of level, a share of a rating, or counts. */
  readonly off: number;
  /** True where it disagrees so far that it was left out: nothing rests on it until it is taken back or explained. */
  readonly heldOut: boolean;
  /**
   * The figure that this piece tells most of, and by how much that figure's ± would be wider without it; null where nothing rests on it,
   * or it tells nothing.
   */
  readonly tells: { readonly what: DimensionKey | { readonly lineId: string }; readonly widensTo: number } | null;
}

export interface GearFit {
  readonly lines: readonly FittedLine[];
  /** By how much lengths are longer than the outfit's tape says. */
  readonly tapeShare: number;
  /** Of the logarithms of the lines' factors, in their order, and of the tape's share behind them. */
  readonly sharedCovariance: readonly (readonly number[])[];
  readonly reels: readonly FittedReel[];
  readonly evidence: readonly FittedEvidence[];
}

/** Places of the dimensions in a reel's block: the makers' habit is nobody's dimension. */
export function shownPlaces(reel: ReelToFit): readonly number[] {
  return reel.counter ? [0, 1, 2, 4] : [0, 1, 2];
}

export function dimensionsOf(reel: ReelToFit, values: readonly number[], covariance: readonly (readonly number[])[]) {
  return shownPlaces(reel).map((place) => {
    const dimension = OWN_UNKNOWNS[place] as DimensionKey;
    const before = dimension === 'lengthPerTurnM' ? reel.counter?.lengthPerTurnM : reel[dimension];
    return {
      dimension,
      value: (before?.value ?? NaN) * Math.exp(values[place] ?? 0),
      relativeSd: Math.sqrt(covariance[place]?.[place] ?? NaN),
      relativeSdBefore: ownPriorSds(reel)[place] ?? NaN,
    };
  });
}

export function fittedReel(reel: ReelToFit, fit: BorderedFit, place: number): FittedReel {
  const block = fit.blocks[place];
  if (!block) throw new RangeError(`gearFit: reel ${reel.id} is not given`);
  const places = shownPlaces(reel);
  return {
    reelId: reel.id,
    dimensions: dimensionsOf(reel, block.values, block.covariance),
    covariance: places.map((i) => places.map((j) => block.covariance[i]?.[j] ?? NaN)),
    withShared: places.map((i) => block.withBorder[i] ?? []),
  };
}
