import { copyOf, type TowState } from './towStep';
import { lengthOfPieces, sectionsOf, type Tow } from './towStack';
import { throughAir, type ThroughAir } from './throughAir';
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
const LONGER = 1.3;

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

  // Line in air is as long as the tip is high, or longer.
  let highM = Math.min(wetM, lengthM - tipHeightM);
  let atHigh = missing(highM);
  let airM = tipHeightM;
  while (atHigh > 0 && highM > 0) {
    airM *= LONGER;
    const lowM = Math.min(Math.max(lengthM - airM, 0), highM);
    const atLow = missing(lowM);
    if (atLow <= 0) {
      return entered(rootBetween(missing, lowM, atLow, highM, atHigh));
    }
    [highM, atHigh] = [lowM, atLow];
  }
  return atHigh <= 0 ? entered(highM) : null;
}

/** Where a function comes to 0 between a place where it is under it and one where it is over, or infinite (Illinois). */
function rootBetween(of: (at: number) => number, low: number, atLow: number, high: number, atHigh: number): number {
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
    if (Math.abs(value) < 1e-10) return mid;
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
  const floatingM = rootBetween(missing, 0, missing(0), restM, missing(restM));
  const nodes: TowState[] = [];
  return { immersedM: run.endM, floatingM, air: airFrom(floatingM, nodes), nodes };
}
