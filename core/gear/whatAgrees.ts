import { borderedFit, type BorderedFit } from '../numerics/borderedFit';
import type { Block, BlockGroup, BorderPrior } from '../numerics/borderedProblem';
import { ownPriorSds, type Piece, type ReelToFit, type Seen } from './gearEvidence';

/** Beyond so many SDs from what is believed beforehand, or from what everything else says, a piece is left out. */
const HELD_OUT_SDS = 6;
/** A piece that was left out comes back when the rest turns out to be within so many SDs of it. */
const BACK_IN_SDS = 3;
/** Pieces are left out one reel at a time; a boat whose evidence still disagrees after so many rounds is known as before. */
const MOST_ROUNDS = 40;

export type HeldOut = ReadonlySet<Piece>;

/** The group of a load's pieces that are not held out, or nothing. */
export function groupOf(seen: Seen, heldOut: HeldOut): readonly BlockGroup[] {
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
export function fitWhatAgrees(
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
