import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { spoolStateAt, type LoadedLine } from '../spool/loadedLine';
import type { RigStrength, StrengthPlace } from '../strength/rigStrength';
import { turnSpreadSd } from '../spool/turnSpread';
import { waterAlong, type RunThroughWater } from './waterPull';

/** A drag as it was set: the pull at the tip, with what the scale leaves open, and the length out then. */
export interface DragAsSet {
  readonly forceN: number;
  /** Half of the 95 % interval of that pull (N). */
  readonly plusMinusN: number;
  readonly lengthOutM: number;
}

export interface EnvelopePoint {
  /** Length from hook to tip (m). */
  readonly lengthOutM: number;
  /** Times that the same drag torque pulls harder than when it was set. */
  readonly dragFactor: number;
  /** Half of the factor's 95 % interval, as a share of it: what is not known of the spool, and how the turns lie. */
  readonly factorPlusMinusShare: number;
  /** Pull at the tip, and at the fish with the water on the line between (N), each with its ±. */
  readonly tipForceN: number;
  readonly tipPlusMinusN: number;
  readonly fishForceN: number;
  readonly fishPlusMinusN: number;
  /** The place that is out and nearest to breaking, and the tension there (N). */
  readonly weakest: StrengthPlace;
  readonly tensionN: number;
  /** That tension as a share of what the place holds in the mean. */
  readonly share: number;
  /** The largest share of what 95 of 100 such places hold, of those that are out and have a bound; null without one. */
  readonly boundShare: number | null;
  /** False where a place that is out has no bound: unknown is never safe. */
  readonly isBoundWhole: boolean;
}

export interface DragEnvelope {
  readonly points: readonly EnvelopePoint[];
  /** First length out at which the tension passes a share of the strength, or null. */
  readonly passes: readonly { readonly share: number; readonly lengthOutM: number | null }[];
  /** Largest length out at which the drag may be left alone: nothing breaks in the mean, and by bound; null: never, or not known. */
  readonly safeLengthM: number | null;
  readonly safeByBoundM: number | null;
  /** The 95 % interval of `safeLengthM`, by the ± of the pull and of what the places hold; null: never. */
  readonly safeBetweenM: readonly [least: number | null, most: number | null];
}

const SHARES = [0.5, 0.8, 1] as const;

/** Stations from nothing out to everything out. */
const STATIONS = 200;

/** Relative SD of the growth of the drag at a length out. */
export type FactorSdAt = (lengthOutM: number) => number;

/** The envelope at any one length out: arguments as in {@link dragEnvelope}. */
export function envelopeAt(
  line: LoadedLine,
  strength: RigStrength,
  set: DragAsSet,
  run: RunThroughWater,
  factorSdAt: FactorSdAt = () => 0,
): (lengthOutM: number) => EnvelopePoint {
  const paidOut = (lengthOutM: number): number =>
    Math.min(Math.max(lengthOutM - line.handLinedLengthM, 0), line.woundLengthM);
  const setDiameterM = spoolStateAt(line, paidOut(set.lengthOutM)).diameterM;
  const setSpread = turnSpreadSd(line, paidOut(set.lengthOutM));
  const water = waterAlong(line, run);
  const places = strength.places.map((place) => ({ place, waterN: water(place.fromHookM).value }));
  return (lengthOutM) => {
    const { diameterM } = spoolStateAt(line, paidOut(lengthOutM));
    const dragFactor = setDiameterM / diameterM;
    const tipForceN = set.forceN * dragFactor;
    // Where it was set it pulls what it was set to, whatever the turn.
    const spread = lengthOutM === set.lengthOutM ? 0 : Math.hypot(setSpread, turnSpreadSd(line, paidOut(lengthOutM)));
    const factorPlusMinusShare = PLUS_MINUS_SDS * Math.hypot(factorSdAt(lengthOutM), spread);
    const tipPlusMinusN = Math.hypot(set.plusMinusN * dragFactor, tipForceN * factorPlusMinusShare);
    const onLine = water(lengthOutM);
    return {
      lengthOutM,
      dragFactor,
      factorPlusMinusShare,
      tipForceN,
      tipPlusMinusN,
      fishForceN: tipForceN + onLine.value,
      fishPlusMinusN: Math.hypot(tipPlusMinusN, PLUS_MINUS_SDS * onLine.sd),
      ...nearestToBreaking(places, lengthOutM, tipForceN, onLine.value),
    };
  };
}

/**
 * Drag along the line with the setting left alone: the same torque on a shrinking spool pulls D(at the setting)/D(out)
 * times harder, and the water on the line that is out adds its own towards the fish. Each place that is out is held
 * against the tension where it is. A belly moving broadside and a hot drag are not in it.
 *
 * @param line the loaded line
 * @param strength strength along the rig
 * @param set the drag as it was set
 * @param run how fast the line goes through which water; speed 0 leaves the water out
 * @param stations number of equal steps from nothing out to the end
 * @param factorSdAt relative SD of the growth of the drag at a length out; left out: the spool is known
 * @param endM length out up to which it is looked at (m): what may be out; left out: everything
 */
export function dragEnvelope(
  line: LoadedLine,
  strength: RigStrength,
  set: DragAsSet,
  run: RunThroughWater,
  stations = STATIONS,
  factorSdAt: FactorSdAt = () => 0,
  endM = line.totalLengthM,
): DragEnvelope {
  const at = envelopeAt(line, strength, set, run, factorSdAt);
  const points = Array.from({ length: stations + 1 }, (_, index) => at((endM * index) / stations));
  const safe = (isSafe: (point: EnvelopePoint) => boolean): number | null => {
    const first = points.findIndex((point) => !isSafe(point));
    return (first < 0 ? points.at(-1) : points[first - 1])?.lengthOutM ?? null;
  };
  return {
    points,
    passes: SHARES.map((share) => ({
      share,
      lengthOutM: points.find((point) => point.share >= share)?.lengthOutM ?? null,
    })),
    safeLengthM: safe((point) => point.share < 1),
    safeByBoundM: safe(({ isBoundWhole, boundShare }) => isBoundWhole && boundShare !== null && boundShare < 1),
    safeBetweenM: [
      safe((point) => point.share * (1 + shareOpen(point)) < 1),
      safe((point) => point.share * (1 - shareOpen(point)) < 1),
    ],
  };
}

/** Half of the 95 % interval of a point's share of the strength, relative to it: the pull's ± and the place's. */
function shareOpen({ fishForceN, fishPlusMinusN, weakest: { strengthN } }: EnvelopePoint): number {
  return Math.hypot(fishPlusMinusN / fishForceN, (PLUS_MINUS_SDS * strengthN.sd) / strengthN.value);
}

/** A place with what the water holds back of the line outside of it (N). */
interface PlaceInWater {
  readonly place: StrengthPlace;
  readonly waterN: number;
}

/** Of the places that are out, the one whose tension comes nearest to what it holds. */
function nearestToBreaking(places: readonly PlaceInWater[], lengthOutM: number, tipForceN: number, waterN: number) {
  const [first] = places;
  if (!first) throw new RangeError('dragEnvelope: a rig has places');
  let [weakest, tensionN, share]: [StrengthPlace, number, number] = [first.place, tipForceN, -1];
  let boundShare: number | null = null;
  let isBoundWhole = true;
  for (const { place, waterN: outsideN } of places) {
    if (place !== first.place && place.fromHookM > lengthOutM) break;
    // Tension is largest at the end of a place that is nearer to the fish.
    const here = tipForceN + Math.max(0, waterN - outsideN);
    if (here / place.strengthN.value > share) [weakest, tensionN, share] = [place, here, here / place.strengthN.value];
    if (place.boundN === null) isBoundWhole = false;
    else boundShare = Math.max(boundShare ?? 0, here / place.boundN);
  }
  return { weakest, tensionN, share, boundShare, isBoundWhole };
}

/** A row of the card: at a length out, how far to ease the drag so that the target stands. */
export interface BackOff {
  readonly lengthOutM: number;
  /** What the scale would show at the tip if the drag were left alone (N). */
  readonly leftAloneN: number;
  readonly plusMinusN: number;
  /** What is to be left of the setting, as a share of its torque. */
  readonly easeTo: number;
  readonly easeToPlusMinus: number;
}

/**
 * The table for the card: at each length, what the drag left alone becomes, and what share of the setting keeps the
 * pull at what it was set to.
 *
 * @param at the envelope at a length, of {@link envelopeAt}
 * @param lengthsM lengths out that the reader wants (m), within the line
 */
export function backOffTable(
  at: (lengthOutM: number) => EnvelopePoint,
  lengthsM: readonly number[],
): readonly BackOff[] {
  return lengthsM.map((lengthOutM) => {
    const { tipForceN, tipPlusMinusN, dragFactor, factorPlusMinusShare } = at(lengthOutM);
    return {
      ...{ lengthOutM, leftAloneN: tipForceN, plusMinusN: tipPlusMinusN },
      ...{ easeTo: 1 / dragFactor, easeToPlusMinus: factorPlusMinusShare / dragFactor },
    };
  });
}
