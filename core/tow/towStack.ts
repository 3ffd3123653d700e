import { requireNotNegative, requirePositive } from '../result';
import { lineDrag, type LineDragBy } from './lineDrag';
import type { Medium } from './medium';
import { towSteps } from './towStep';
import type { PointLoad, TowedForce, TowedPiece } from './towedLine';

/** A boat with its line out, steady and level. */
export interface Tow {
  /** Through the water (m/s), and through the air as long as there is no wind. */
  readonly speedMS: number;
  readonly water: Medium;
  readonly air: Medium;
  readonly by: LineDragBy;
  /** At the lure, as it is at that speed. */
  readonly lure: TowedForce;
  readonly pieces: readonly TowedPiece[];
  readonly loads: readonly PointLoad[];
  /** Of the rod's tip over the water (m); 0: all line is wet. */
  readonly tipHeightM: number;
  /** How deep the water is (m); null where it is deep enough for anything, or nobody said. */
  readonly bottomM: number | null;
}

/** A stretch of one line with nothing on it but at its lower end. */
export interface TowSection {
  readonly fromM: number;
  readonly toM: number;
  /** At its lower end. */
  readonly loads: readonly TowedForce[];
  readonly piece: TowedPiece;
  readonly wet: ReturnType<typeof towSteps>;
  readonly dry: ReturnType<typeof towSteps>;
  /** What the water holds back of a metre that lies level (N/m). */
  readonly levelDragNPerM: number;
}

/** Length from the lure to the spool's end of the stack (m). */
export const lengthOfPieces = (pieces: readonly TowedPiece[]): number =>
  pieces.reduce((sum, { lengthM }) => sum + lengthM, 0);

/**
 * The stack cut where anything changes, from the lure up.
 *
 * @throws RangeError where a length, thickness or speed is none, or a load sits beyond the line
 */
export function sectionsOf({ speedMS, water, air, by, pieces, loads, tipHeightM, lure }: Tow): readonly TowSection[] {
  requireNotNegative('sectionsOf', { speedMS, tipHeightM });
  requirePositive('sectionsOf', { pieces: pieces.length, lureDragN: lure.dragN, ...water });
  const sections: TowSection[] = [];
  let fromM = 0;
  for (const piece of pieces) {
    const { lengthM, diameterM, submergedWeightNPerM, dryWeightNPerM } = piece;
    requirePositive('sectionsOf', { lengthM, diameterM });
    const endM = fromM + lengthM;
    const within = loads.filter(({ sM }) => sM >= fromM && sM < endM);
    const cuts = [...new Set([fromM, ...within.map(({ sM }) => sM)])].sort((a, b) => a - b);
    const inWater = lineDrag(diameterM, speedMS, water, by);
    const levelDragNPerM = inWater(0, 1).along;
    const wet = towSteps({ weightNPerM: submergedWeightNPerM, drag: inWater });
    const inAir = lineDrag(diameterM, speedMS, air, { ...by, humFactor: 1 });
    const dry = towSteps({ weightNPerM: dryWeightNPerM, drag: inAir });
    cuts.forEach((cut, index) => {
      const at = within.filter(({ sM }) => sM === cut);
      sections.push({ fromM: cut, toM: cuts[index + 1] ?? endM, loads: at, piece, wet, dry, levelDragNPerM });
    });
    fromM = endM;
  }
  if (loads.some(({ sM }) => !(sM >= 0 && sM < fromM))) throw new RangeError('sectionsOf: a load sits beyond the line');
  return sections;
}
