import { copyOf, type TowState } from './towStep';
import { lengthOfPieces, sectionsOf, type Tow } from './towStack';
import { riseLength, throughAir, type ThroughAir } from './throughAir';
import type { TowedPlace, TowStatus } from './towedLine';
import { takeOn, underWater, type UnderWater } from './underWater';

/** Where the lure swims, and the line to it. */
export interface TowProfile {
  readonly status: TowStatus;
  /**
   * Of the lure under the surface (m), as it would be without a bottom; figures are null where the tip lifts the lure out, or nothing
   * pulls.
   */
  readonly depthM: number | null;
  /** Level from the tip back to the lure (m), the part in air included. */
  readonly setbackM: number | null;
  /** Length of line in the water, from the lure up (m). */
  readonly immersedM: number | null;
  readonly tensionTopN: number | null;
  readonly angleTopRad: number | null;
  readonly profile: readonly TowedPlace[];
  /** What depth and setback are off by at most through the integration alone (m), as an estimate. */
  readonly errorEstimateM: number;
}

/** Share that a step may be off by: depths to a few hundredths of a millimetre. */
export const TOW_TOLERANCE = 1e-9;
/** Share by which the part in air is made longer while the place is sought where the line leaves the water. */
const LONGER = 1.15;
/** The same where it is only looked at by a parabola, which costs nothing. */
const NEARLY_LONGER = 1.1;
/** Share of the part in air within which the parabola has it right. */
const NEARBY = 0.02;
/** A root is met where so much of the tolerance is left of it (m). */
const ROOT_SHARE = 0.1;

/** Where line of a length leaves the water. */
export interface Entry {
  readonly immersedM: number;
  /** Of the line that floats: how much lies on the surface (m). */
  readonly floatingM: number;
  readonly air: ThroughAir;
  /** Ends of steps in air. */
  readonly nodes: readonly TowState[];
}

/**
 * Depth and setback of a towed line, by the equations of a thin line in steady tow; through the air they go on with its density and the
 * line's dry weight. What is in the water is the last change of sign of (tip's z − depth − tip height) over the length in the water.
 *
 * @returns a status always
 * @throws RangeError as {@link sectionsOf} does
 */
export function towProfile(tow: Tow, tolerance = TOW_TOLERANCE): TowProfile {
  const sections = sectionsOf(tow);
  const run = underWater(tow, sections, tolerance);
  return profileAt(tow, run, lengthOfPieces(tow.pieces), tolerance);
}

/** The same from a run under water that is there already: one serves every length. */
export function profileAt(tow: Tow, run: UnderWater, lengthM: number, tolerance: number): TowProfile {
  if (run.end === 'slack') return nothing('slack', run);
  const entry = entryOf(tow, run, lengthM, tolerance);
  if (!entry) return nothing('lifted out', run);
  const { immersedM, air, nodes } = entry;
  const leaves = run.at(immersedM);
  const floats = run.end === 'surface' && immersedM >= run.endM;
  const wet = [...run.nodes.filter(({ sM }) => sM < immersedM), leaves];
  const dry = nodes.filter(({ sM }) => sM > immersedM);
  const depthM = Math.max(leaves.zM, 0);
  const touches = tow.bottomM !== null && depthM > tow.bottomM;
  return {
    status: floats || leaves.zM < 0 ? 'lies on the surface' : touches ? 'on the bottom' : 'settled',
    depthM,
    setbackM: air.tip.xM,
    immersedM: immersedM + entry.floatingM,
    tensionTopN: air.tip.tensionN,
    angleTopRad: air.tip.angleRad,
    profile: [...wet, ...dry].map(copyOf),
    errorEstimateM: run.offM + air.offM,
  };
}

const nothing = (status: TowStatus, { offM }: UnderWater): TowProfile => ({
  ...{ status, depthM: null, setbackM: null, immersedM: null, tensionTopN: null, angleTopRad: null },
  ...{ profile: [], errorEstimateM: offM },
});

/**
 * Where line of so much length leaves the water: sought from the tip downwards.
 *
 * @returns null where the tip is too high for it
 */
export function entryOf(tow: Tow, run: UnderWater, lengthM: number, tolerance: number): Entry | null {
  const { tipHeightM } = tow;
  const airFrom = (sM: number, nodes: TowState[] | null = null): ThroughAir =>
    throughAir(run.sections, run.at(sM), tipHeightM, lengthM - sM + tipHeightM, tolerance, nodes);
  const entered = (immersedM: number, floatingM = 0): Entry => {
    const nodes: TowState[] = [];
    return { immersedM, floatingM, air: airFrom(immersedM, nodes), nodes };
  };
  const wetM = Math.min(run.endM, lengthM);
  if (tipHeightM === 0) return entered(wetM, Math.max(lengthM - wetM, 0));
  /** Line that is missing with so much of it wet (m): under 0 where it is more than enough. */
  const missing = (sM: number): number => sM + airFrom(sM).lengthM - lengthM;
  if (run.end === 'surface' && run.endM < lengthM && missing(run.endM) < 0)
    return floating(tow, run, lengthM, tolerance);
  if (lengthM < tipHeightM) return null;

  const topM = Math.min(wetM, lengthM - tipHeightM);
  const about = (sM: number): number => sM + riseLength(run.sections, run.at(sM), tipHeightM) - lengthM;
  const bracket =
    closeTo(missing, lastBelow(about, lengthM, tipHeightM, topM, NEARLY_LONGER), topM, lengthM) ??
    lastBelow(missing, lengthM, tipHeightM, topM, LONGER);
  if (!bracket) return null;
  const { lowM, atLow, highM, atHigh } = bracket;
  return entered(atHigh <= 0 ? highM : rootBetween(missing, lowM, atLow, highM, atHigh, tolerance));
}

/** Two places between which line that is missing comes to 0 on the way to the tip. */
interface Bracket {
  readonly lowM: number;
  readonly atLow: number;
  readonly highM: number;
  readonly atHigh: number;
}

/** The last such two places under a top: line in air is as long as the tip is high, or longer, each time by a share. */
function lastBelow(
  of: (sM: number) => number,
  lengthM: number,
  tipHeightM: number,
  topM: number,
  longer: number,
): Bracket | null {
  let highM = topM;
  let atHigh = of(highM);
  for (let airM = tipHeightM * longer; atHigh > 0 && highM > 0; airM *= longer) {
    const lowM = Math.min(Math.max(lengthM - airM, 0), highM);
    const atLow = of(lowM);
    if (atLow <= 0) return { lowM, atLow, highM, atHigh };
    [highM, atHigh] = [lowM, atLow];
  }
  return atHigh <= 0 ? { lowM: highM, atLow: atHigh, highM, atHigh } : null;
}

/** The same, about where a parabola has it: a few looks instead of a dozen. Null where it is not near there. */
function closeTo(of: (sM: number) => number, about: Bracket | null, topM: number, lengthM: number): Bracket | null {
  if (!about) return null;
  const share = about.atHigh > about.atLow ? about.atLow / (about.atLow - about.atHigh) : 0;
  const guessM = about.lowM + share * (about.highM - about.lowM);
  for (let widthM = NEARBY * (lengthM - guessM); widthM < lengthM; widthM *= 4) {
    const lowM = Math.max(guessM - widthM, 0);
    const highM = Math.min(guessM + widthM, topM);
    const [atLow, atHigh] = [of(lowM), of(highM)];
    if (atLow <= 0 && atHigh > 0) return { lowM, atLow, highM, atHigh };
    if (lowM === 0 && highM === topM) return null;
  }
  return null;
}

/** Where a function comes to 0 between a place where it is under it and one where it is over, or infinite (Illinois). */
function rootBetween(
  of: (at: number) => number,
  low: number,
  atLow: number,
  high: number,
  atHigh: number,
  tolerance: number,
): number {
  let [a, fa, b, fb] = [low, atLow, high, atHigh];
  let side = 0;
  for (let round = 0; round < 100 && b - a > 1e-11 * Math.max(b, 1); round += 1) {
    const secant = Number.isFinite(fb) && fb > fa ? b - (fb * (b - a)) / (fb - fa) : NaN;
    const mid = secant > a && secant < b ? secant : (a + b) / 2;
    const value = of(mid);
    if (value <= 0) {
      [a, fa] = [mid, value];
      if (side < 0) fb /= 2;
      side = -1;
    } else {
      [b, fb] = [mid, value];
      if (side > 0) fa /= 2;
      side = 1;
    }
    if (Math.abs(value) < ROOT_SHARE * tolerance) return mid;
  }
  return a;
}

/** Line that has come up to the surface lies on it until the tip lifts the rest: its skin alone is held back there. */
function floating(tow: Tow, run: UnderWater, lengthM: number, tolerance: number): Entry {
  const from = run.at(run.endM);
  const laid = (floatingM: number): TowState => {
    const state = copyOf(from);
    for (const section of run.sections.filter(({ toM }) => toM > from.sM)) {
      const toM = Math.min(section.toM, from.sM + floatingM);
      if (toM <= state.sM) break;
      if (section.fromM > from.sM) for (const load of section.loads) takeOn(state, { ...load, downN: 0 });
      state.tensionN += section.levelDragNPerM * (toM - state.sM);
      state.xM += toM - state.sM;
      state.sM = toM;
    }
    return { ...state, angleRad: 0 };
  };
  const airFrom = (floatingM: number, nodes: TowState[] | null = null): ThroughAir =>
    throughAir(run.sections, laid(floatingM), tow.tipHeightM, lengthM - run.endM + tow.tipHeightM, tolerance, nodes);
  const missing = (floatingM: number): number => run.endM + floatingM + airFrom(floatingM).lengthM - lengthM;
  const restM = lengthM - run.endM;
  const floatingM = rootBetween(missing, 0, missing(0), restM, missing(restM), tolerance);
  const nodes: TowState[] = [];
  return { immersedM: run.endM, floatingM, air: airFrom(floatingM, nodes), nodes };
}
