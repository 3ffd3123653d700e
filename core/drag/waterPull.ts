import type { Known } from '../provenance/source';
import { requireNotNegative, requirePositive } from '../result';
import type { LoadedLine } from '../spool/loadedLine';

/** Density of water (kg/m³): fresh at 20 °C, sea water. */
export const WATER_DENSITY = { fresh: 998, sea: 1025 } as const;

/** Skin friction of line running lengthways through water: 0.005 to 0.01 (from memory). */
export const LINE_FRICTION: Known = { value: 0.0075, sd: 0.0013, source: 'default' };

/** The water that line runs through. */
export interface RunThroughWater {
  /** Speed of the line through the water, along itself (m/s). */
  readonly speedMS: number;
  readonly densityKgM3: number;
  readonly friction: Known;
}

/** A fish that swims off with the line behind it in sea water: no hurry, and a default. */
export const USUAL_RUN: RunThroughWater = { speedMS: 3, densityKgM3: WATER_DENSITY.sea, friction: LINE_FRICTION };

/**
 * What the water holds back of line that is pulled through it lengthways: ½ρ·πδ·Cf·u² for each metre. A belly that is
 * moved broadside loads far more and is not in it.
 *
 * @param lineDiameterM thickness of the line (m)
 * @returns force for a metre of line (N/m), with the SD of the friction
 */
export function waterPullPerM(
  lineDiameterM: number,
  run: RunThroughWater,
): { readonly value: number; readonly sd: number } {
  requirePositive('waterPullPerM', { lineDiameterM, densityKgM3: run.densityKgM3, friction: run.friction.value });
  requireNotNegative('waterPullPerM', { speedMS: run.speedMS });
  const perFriction = 0.5 * run.densityKgM3 * Math.PI * lineDiameterM * run.speedMS ** 2;
  return { value: perFriction * run.friction.value, sd: perFriction * run.friction.sd };
}

/** What the water holds back of the line between the hook and a length from it (N), with the SD of the friction. */
export function waterAlong(line: LoadedLine, run: RunThroughWater) {
  let [endM, valueN, sdN] = [0, 0, 0];
  const pieces = line.segments.toReversed().map((segment) => {
    const rate = waterPullPerM(segment.lineDiameterM, run);
    const piece = { fromM: endM, toM: endM + segment.lengthM, rate, valueN, sdN };
    endM = piece.toM;
    valueN += segment.lengthM * rate.value;
    sdN += segment.lengthM * rate.sd;
    return piece;
  });
  return (lengthM: number): { readonly value: number; readonly sd: number } => {
    const piece = pieces.find((each) => lengthM <= each.toM) ?? pieces.at(-1);
    if (!piece) return { value: 0, sd: 0 };
    const part = Math.min(lengthM, piece.toM) - piece.fromM;
    return { value: piece.valueN + part * piece.rate.value, sd: piece.sdN + part * piece.rate.sd };
  };
}
