import { ERRORS } from '../measurement/errors';
import { labelCovariance } from '../measurement/lineErrors';
import { borderedFit, type BorderedFit } from '../numerics/borderedFit';
import type { Block, BlockGroup, BorderPrior } from '../numerics/borderedProblem';
import {
  loadSeen,
  OWN_UNKNOWNS,
  ownPriorSds,
  ratingsSeen,
  relativeSdOf,
  type EvidenceSource,
  type LineToFit,
  type LoadToFit,
  type Piece,
  type ReelToFit,
  type Seen,
} from './gearEvidence';

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

/** A fit with what one load can be left out of it by. */
export interface LearnedGear {
  readonly fit: GearFit;
  /**
   * A reel, and the lines of its loads, as they were known before one of the loads. Costs no whole fit: the rest of the
   * boat stays as it is.
   *
   * @param without the load to leave out
   * @param before the reel with the constant as it was accepted before, where this load's test gave the newest
   * @throws RangeError when the fit does not hold the reel
   */
  before(without: string, before: ReelToFit): GearFit;
}

/** Beyond so many SDs from what is believed beforehand, or from what everything else says, a piece is left out. */
const HELD_OUT_SDS = 6;
/** A piece that was left out comes back when the rest turns out to be within so many SDs of it. */
const BACK_IN_SDS = 3;
/** Pieces are left out one reel at a time; a boat whose evidence still disagrees after so many rounds is known as before. */
const MOST_ROUNDS = 40;

/**
 * Learns spools, lines and counters of one boat from everything that was seen of its loads, all at once: makers'
 * ratings, caliper readings, levels, noted turns and counts. Every unknown has a log-normal prior; reels meet only in the
 * lines that they share, so a load on one rod teaches its twin. The equations are those of the spool (levels from volumes,
 * turns from levels), solved by weighted least squares in logarithms, reel by reel with the lines as border.
 *
 * A piece that disagrees with all the rest by more than any scatter can explain (a level typed as 25 mm for 2.5) is held
 * out and named; the answer is then what the rest says, at the worst what was known beforehand. It never fails.
 *
 * @param reels with dimensions and their SDs as known beforehand (m)
 * @param lines every line that a load names
 * @param loads what was seen, in any order
 * @throws RangeError when a load names a reel or a line that is not given
 */
export function learnGear(
  reels: readonly ReelToFit[],
  lines: readonly LineToFit[],
  loads: readonly LoadToFit[],
): LearnedGear {
  for (const load of loads) {
    if (!reels.some((reel) => reel.id === load.reelId)) {
      throw new RangeError(`gearFit: ${load.name} is on a reel that is not given`);
    }
  }
  const seen = reels.map((reel): readonly Seen[] => [
    ratingsSeen(reel),
    ...loads.filter((load) => load.reelId === reel.id).map((load) => loadSeen(load, reel, lines)),
  ]);
  const priorSds = [...lines.map((line) => Math.min(Math.max(line.relativeSd, 1e-6), 1)), ERRORS.tapeShare.sd];
  const correlation = priorSds.map((a, i) =>
    priorSds.map((b, j) => (i === j ? 1 : labelCovariance(lines[i]?.label, lines[j]?.label) / (a * b))),
  );
  const { fit, heldOut } = fitWhatAgrees({ sds: priorSds, correlation }, reels, seen);
  const shown: GearFit = {
    lines: lines.map((line, index) => ({
      lineId: line.id,
      value: Math.exp(fit.border[index] ?? 0),
      relativeSd: Math.sqrt(fit.borderCovariance[index]?.[index] ?? NaN),
      relativeSdBefore: priorSds[index] ?? NaN,
    })),
    tapeShare: fit.border[lines.length] ?? 0,
    sharedCovariance: fit.borderCovariance,
    reels: reels.map((reel, place) => fittedReel(reel, fit, place)),
    evidence: reels.flatMap((_, place) => evidenceOf(seen[place] ?? [], heldOut, fit, place)),
  };
  return {
    fit: shown,
    before: (without, reel) => {
      const place = reels.findIndex((candidate) => candidate.id === reel.id);
      return beforeLoad(place, reel, lines, seen[place] ?? [], heldOut, without, fit);
    },
  };
}

/** The fit alone: see {@link learnGear}. */
export function gearFit(
  reels: readonly ReelToFit[],
  lines: readonly LineToFit[],
  loads: readonly LoadToFit[],
): GearFit {
  return learnGear(reels, lines, loads).fit;
}

type HeldOut = ReadonlySet<Piece>;

/** The group of a load's pieces that are not held out, or nothing. */
function groupOf(seen: Seen, heldOut: HeldOut): readonly BlockGroup[] {
  const kept = seen.pieces.flatMap((piece, index) => (heldOut.has(piece) ? [] : [index]));
  if (kept.length === 0) return [];
  return [
    {
      border: seen.border,
      innerPriorSds: seen.innerPriorSds,
      observations: kept.flatMap((index) => seen.pieces[index]?.observation ?? []),
      predict: (own, border, inner) => {
        const all = seen.predict(own, border, inner);
        return kept.map((index) => all[index] ?? NaN);
      },
    },
  ];
}

function blockOf(reel: ReelToFit, seen: readonly Seen[], heldOut: HeldOut): Block {
  return { priorSds: ownPriorSds(reel), groups: seen.flatMap((each) => groupOf(each, heldOut)) };
}

/** Fits, leaves out what disagrees worst on each reel, and fits again, until what is left agrees. */
function fitWhatAgrees(
  prior: BorderPrior,
  reels: readonly ReelToFit[],
  seen: readonly (readonly Seen[])[],
): { fit: BorderedFit; heldOut: HeldOut } {
  const heldOut = new Set<Piece>(seen.flat().flatMap((each) => offBeforehand(each, seen, prior.sds, reels)));
  const returned = new Set<Piece>();
  const fitted = (from?: BorderedFit): BorderedFit =>
    borderedFit(
      prior,
      reels.map((reel, place) => blockOf(reel, seen[place] ?? [], heldOut)),
      from,
    );
  let fit = fitted();
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const worst = reels.flatMap((_, place) => worstOf(seen[place] ?? [], heldOut, fit, place));
    const limit = Math.max(HELD_OUT_SDS, 0.5 * Math.max(0, ...worst.map(({ off }) => off)));
    const out = worst.filter(
      ({ off }) => off > limit || (!fit.settled && off === Math.max(...worst.map((w) => w.off))),
    );
    if (out.length > 0) {
      for (const { piece } of out) heldOut.add(piece);
      fit = fitted(fit);
      continue;
    }
    // What everything else has come round to is let in again, once.
    const back = [...heldOut].filter((piece) => !returned.has(piece) && isBackIn(piece, seen, fit));
    if (back.length === 0) return { fit, heldOut };
    for (const piece of back) {
      heldOut.delete(piece);
      returned.add(piece);
    }
    fit = fitted(fit);
  }
  for (const piece of seen.flat().flatMap((each) => each.pieces)) heldOut.add(piece);
  return { fit: fitted(), heldOut };
}

const isFar = (off: number): boolean => !(Math.abs(off) <= HELD_OUT_SDS);

/** Pieces that are out of reach of what is believed beforehand, or cannot be reckoned at all from it. */
function offBeforehand(
  each: Seen,
  all: readonly (readonly Seen[])[],
  priorSds: readonly number[],
  reels: readonly ReelToFit[],
): readonly Piece[] {
  const place = all.findIndex((ofReel) => ofReel.includes(each));
  const reel = reels[place];
  if (!reel) return [];
  const own = ownPriorSds(reel);
  const nowhere = (unknowns: readonly number[]): readonly number[] => unknowns.map(() => 0);
  const variances = { own: own.map((sd) => sd ** 2), border: priorSds.map((sd) => sd ** 2) };
  const inner = nowhere(each.innerPriorSds);
  const slopes = slopesAt(each, nowhere(own), nowhere(priorSds), inner);
  const predicted = each.predict(nowhere(own), nowhere(priorSds), inner);
  return each.pieces.filter((piece, index) => {
    const spread = (by: readonly (readonly number[])[], places: readonly number[], of: readonly number[]): number =>
      by.reduce((sum, slope, at) => sum + (slope[index] ?? NaN) ** 2 * (of[places[at] ?? 0] ?? NaN), 0);
    const variance =
      piece.observation.sd ** 2 +
      spread(
        slopes.own,
        own.map((_, at) => at),
        variances.own,
      ) +
      spread(slopes.border, each.border, variances.border) +
      ofInner(slopes.inner, index, each.innerPriorSds);
    return isFar((piece.observation.value - (predicted[index] ?? NaN)) / Math.sqrt(variance));
  });
}

/** Small against what moves a prediction, large against the last bits of a double. */
const STEP = 1e-5;

function slopesAt(each: Seen, own: readonly number[], border: readonly number[], inner: readonly number[]) {
  const slope = (up: readonly number[], down: readonly number[]): readonly number[] =>
    up.map((above, index) => (above - (down[index] ?? NaN)) / (2 * STEP));
  const moved = (of: readonly number[], at: number, predict: (changed: readonly number[]) => readonly number[]) =>
    slope(predict(of.with(at, (of[at] ?? 0) + STEP)), predict(of.with(at, (of[at] ?? 0) - STEP)));
  return {
    own: own.map((_, at) => moved(own, at, (changed) => each.predict(changed, border, inner))),
    border: each.border.map((at) => moved(border, at, (changed) => each.predict(own, changed, inner))),
    inner: inner.map((_, at) => moved(inner, at, (changed) => each.predict(own, border, changed))),
  };
}

/** Variance that a load's own unknowns give one of its pieces beforehand. */
function ofInner(slopes: readonly (readonly number[])[], piece: number, priorSds: readonly number[]): number {
  return slopes.reduce((sum, slope, at) => sum + ((slope[piece] ?? NaN) * (priorSds[at] ?? NaN)) ** 2, 0);
}

/** The piece of a reel that is in and sits worst. */
function worstOf(
  seen: readonly Seen[],
  heldOut: HeldOut,
  fit: BorderedFit,
  place: number,
): readonly { readonly piece: Piece; readonly off: number }[] {
  const kept = seen.flatMap((each) => each.pieces).filter((piece) => !heldOut.has(piece));
  const off = fit.blocks[place]?.residuals ?? [];
  return kept
    .map((piece, index) => ({ piece, off: Math.abs(off[index] ?? 0) }))
    .toSorted((a, b) => b.off - a.off)
    .slice(0, 1);
}

/** True when the rest of the evidence has come within reach of a piece that was left out. */
function isBackIn(piece: Piece, all: readonly (readonly Seen[])[], fit: BorderedFit): boolean {
  const place = all.findIndex((ofReel) => ofReel.some((each) => each.pieces.includes(piece)));
  const each = all[place]?.find((candidate) => candidate.pieces.includes(piece));
  const block = fit.blocks[place];
  if (!each || !block) return false;
  const index = each.pieces.indexOf(piece);
  // What is the load's own may be anything that it was believed to be: only the rest has to have come round.
  const inner = each.innerPriorSds.map(() => 0);
  const predicted = each.predict(block.values, fit.border, inner)[index] ?? NaN;
  const slopes = slopesAt(each, block.values, fit.border, inner);
  const own = slopes.own.map((slope) => slope[index] ?? NaN);
  const shared = slopes.border.map((slope) => slope[index] ?? NaN);
  let variance = piece.observation.sd ** 2 + ofInner(slopes.inner, index, each.innerPriorSds);
  own.forEach((a, i) => {
    own.forEach((b, j) => (variance += a * b * (block.covariance[i]?.[j] ?? NaN)));
    shared.forEach((b, j) => (variance += 2 * a * b * (block.withBorder[i]?.[each.border[j] ?? 0] ?? NaN)));
  });
  shared.forEach((a, i) => {
    shared.forEach(
      (b, j) => (variance += a * b * (fit.borderCovariance[each.border[i] ?? 0]?.[each.border[j] ?? 0] ?? NaN)),
    );
  });
  return Math.abs(piece.observation.value - predicted) <= BACK_IN_SDS * Math.sqrt(variance);
}

/** Places of the dimensions in a reel's block: the makers' habit is nobody's dimension. */
function shownPlaces(reel: ReelToFit): readonly number[] {
  return reel.counter ? [0, 1, 2, 4] : [0, 1, 2];
}

function dimensionsOf(reel: ReelToFit, values: readonly number[], covariance: readonly (readonly number[])[]) {
  return shownPlaces(reel).map((place) => {
    const dimension = OWN_UNKNOWNS[place] as DimensionKey;
    const before = dimension === 'lengthPerTurnM' ? reel.counter?.lengthPerTurnM : reel[dimension];
    return {
      dimension,
      value: (before?.value ?? NaN) * Math.exp(values[place] ?? 0),
      relativeSd: Math.sqrt(covariance[place]?.[place] ?? NaN),
      relativeSdBefore: before ? relativeSdOf(before) : NaN,
    };
  });
}

function fittedReel(reel: ReelToFit, fit: BorderedFit, place: number): FittedReel {
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

function evidenceOf(
  seen: readonly Seen[],
  heldOut: HeldOut,
  fit: Pick<BorderedFit, 'border' | 'blocks'>,
  place: number,
): readonly FittedEvidence[] {
  const fitted = innerOf(seen, heldOut, fit, place);
  return seen.flatMap((each) => {
    const predicted = each.predict(fit.blocks[place]?.values ?? [], fit.border, fitted.get(each) ?? []);
    return each.pieces.map((piece, index) => {
      const { name, value, sd } = piece.observation;
      const off = value - (predicted[index] ?? NaN);
      const { kind, reelId, source } = piece;
      return { kind, reelId, source, name, off, offBySds: off / sd, heldOut: heldOut.has(piece) };
    });
  });
}

/** What the fit makes of the loads' own unknowns; nothing of a load that is wholly held out. */
function innerOf(
  seen: readonly Seen[],
  heldOut: HeldOut,
  fit: Pick<BorderedFit, 'blocks'>,
  place: number,
): ReadonlyMap<Seen, readonly number[]> {
  const inIt = seen.filter((each) => each.pieces.some((piece) => !heldOut.has(piece)));
  return new Map(inIt.map((each, index) => [each, fit.blocks[place]?.inner[index] ?? []]));
}

/** One reel fitted anew alone, without a load, under what everything but this reel says of the lines that its loads name. */
function beforeLoad(
  place: number,
  reel: ReelToFit,
  lines: readonly LineToFit[],
  seen: readonly Seen[],
  heldOut: HeldOut,
  without: string,
  fit: BorderedFit,
): GearFit {
  const tape = lines.length;
  const ofLines = [...new Set(seen.flatMap((each) => each.border))].filter((at) => at !== tape);
  const touched = [...ofLines, tape];
  const others = fit.without(place, touched);
  const root = lowerRoot(others.covariance);
  // The lines as everybody else knows them: independent steps of one SD along the root of their covariance.
  const linesAt = (steps: readonly number[]): readonly number[] => {
    const border = [...fit.border];
    touched.forEach((at, row) => {
      border[at] =
        (others.values[row] ?? 0) + (root[row] ?? []).reduce((sum, each, k) => sum + each * (steps[k] ?? 0), 0);
    });
    return border;
  };
  const own = ownPriorSds(reel);
  const rest = seen.filter((each) => each.loadId !== without);
  const block: Block = {
    priorSds: [...own, ...touched.map(() => 1)],
    groups: rest.flatMap((each) =>
      groupOf(each, heldOut).map((group) => ({
        ...group,
        border: [],
        predict: (all: readonly number[], _: readonly number[], inner: readonly number[]) =>
          group.predict(all.slice(0, own.length), linesAt(all.slice(own.length)), inner),
      })),
    ),
  };
  const [alone] = borderedFit({ sds: [] }, [block]).blocks;
  if (!alone) throw new RangeError(`gearFit: reel ${reel.id} is not given`);
  const steps = alone.values.slice(own.length);
  const stepsTo = (row: number): readonly number[] => root[row] ?? [];
  const covariance = (i: number, j: number): number => alone.covariance[i]?.[j] ?? NaN;
  const withLine = (i: number, row: number): number =>
    stepsTo(row).reduce((sum, each, k) => sum + each * covariance(i, own.length + k), 0);
  const sharedCovariance = touched.map((_, a) =>
    touched.map((__, b) =>
      stepsTo(a).reduce(
        (sum, each, k) =>
          sum +
          each * stepsTo(b).reduce((inner, other, l) => inner + other * covariance(own.length + k, own.length + l), 0),
        0,
      ),
    ),
  );
  const border = linesAt(steps);
  const places = shownPlaces(reel);
  return {
    lines: ofLines.map((at, row) => ({
      lineId: lines[at]?.id ?? '',
      value: Math.exp(border[at] ?? 0),
      relativeSd: Math.sqrt(sharedCovariance[row]?.[row] ?? NaN),
      relativeSdBefore: lines[at]?.relativeSd ?? NaN,
    })),
    tapeShare: border[tape] ?? 0,
    sharedCovariance,
    reels: [
      {
        reelId: reel.id,
        dimensions: dimensionsOf(reel, alone.values, alone.covariance),
        covariance: places.map((i) => places.map((j) => covariance(i, j))),
        withShared: places.map((i) => touched.map((_, row) => withLine(i, row))),
      },
    ],
    evidence: [],
  };
}

/** Lower triangular root of a covariance (Cholesky); a direction that is known exactly has none. */
function lowerRoot(covariance: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const root: number[][] = covariance.map((row) => row.map(() => 0));
  covariance.forEach((row, i) => {
    for (let j = 0; j <= i; j += 1) {
      let sum = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) sum -= (root[i]?.[k] ?? 0) * (root[j]?.[k] ?? 0);
      const diagonal = root[j]?.[j] ?? 0;
      const target = root[i];
      if (!target) continue;
      target[j] = i === j ? Math.sqrt(Math.max(sum, 0)) : diagonal > 0 ? sum / diagonal : 0;
    }
  });
  return root;
}
