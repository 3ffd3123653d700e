import { ERRORS } from '../measurement/errors';
import { labelCovariance } from '../measurement/lineErrors';
import type { BorderedFit } from '../numerics/borderedFit';
import { beforeLoad } from './beforeLoad';
import { fittedReel, shownPlaces, type DimensionKey, type FittedEvidence, type GearFit } from './fittedGear';
import {
  loadSeen,
  OWN_UNKNOWNS,
  ratingsSeen,
  type LineToFit,
  type LoadToFit,
  type Piece,
  type ReelToFit,
  type Seen,
} from './gearEvidence';
import { fitWhatAgrees, type HeldOut } from './whatAgrees';

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
    evidence: reels.flatMap((reel, place) =>
      evidenceOf(seen[place] ?? [], heldOut, fit, place, tellsOf(reel, lines, seen[place] ?? [], heldOut, fit, place)),
    ),
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

function evidenceOf(
  seen: readonly Seen[],
  heldOut: HeldOut,
  fit: Pick<BorderedFit, 'border' | 'blocks'>,
  place: number,
  tells: ReadonlyMap<Piece, FittedEvidence['tells']>,
): readonly FittedEvidence[] {
  const fitted = innerOf(seen, heldOut, fit, place);
  return seen.flatMap((each) => {
    const predicted = each.predict(fit.blocks[place]?.values ?? [], fit.border, fitted.get(each) ?? []);
    return each.pieces.map((piece, index) => {
      const { name, value, sd } = piece.observation;
      const off = value - (predicted[index] ?? NaN);
      const { kind, reelId, source } = piece;
      return {
        ...{ kind, reelId, source, name, off, offBySds: off / sd, heldOut: heldOut.has(piece) },
        tells: tells.get(piece) ?? null,
      };
    });
  });
}

/** A piece that makes no figure surer by this much tells nothing. */
const TELLS_NOTHING = 1.005;

/** What each piece of a reel that is in tells most of: of its reel's figures and of the lines on it. */
function tellsOf(
  reel: ReelToFit,
  lines: readonly LineToFit[],
  seen: readonly Seen[],
  heldOut: HeldOut,
  fit: BorderedFit,
  place: number,
): ReadonlyMap<Piece, FittedEvidence['tells']> {
  const kept = seen
    .map((each) => each.pieces.filter((piece) => !heldOut.has(piece)))
    .filter((pieces) => pieces.length > 0);
  const touched = [...new Set(seen.flatMap((each) => each.border))].filter((at) => at < lines.length);
  const figures = [
    ...shownPlaces(reel).map((own) => ({
      what: OWN_UNKNOWNS[own] as DimensionKey,
      widens: fit.widensWithout(place, { own }),
    })),
    ...touched.map((border) => ({
      what: { lineId: lines[border]?.id ?? '' },
      widens: fit.widensWithout(place, { border }),
    })),
  ];
  return new Map(
    kept.flatMap((pieces, group) =>
      pieces.map((piece, at) => {
        const [most] = figures
          .map(({ what, widens }) => ({ what, widensTo: widens[group]?.[at] ?? 1 }))
          .toSorted((a, b) => b.widensTo - a.widensTo);
        return [piece, most && most.widensTo > TELLS_NOTHING ? most : null] as const;
      }),
    ),
  );
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
