import { MATERIAL, type Material } from '../materials/materials';
import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { because } from '../reasons';
import { requirePositive } from '../result';

/** Force for each metre that a rod's tip gives way (N/m): a default from memory, between a light rod and a stand-up one. */
export const ROD_STIFFNESS_N_PER_M = 80;

/** Line between the tip and the fish, as far as it gives way. */
export interface ElasticPiece {
  readonly lengthM: number;
  readonly material: Material;
  readonly strengthN: number;
}

/** What gives way when a fish jerks, and what does not. */
export interface SurgeSetup {
  readonly pieces: readonly ElasticPiece[];
  readonly rodStiffnessNPerM: number;
  /** Tension before the jerk (N), and the jerk at which the drag starts (N). */
  readonly tensionN: number;
  readonly breakawayN: number;
  /** Radius that the line leaves the spool at (m), and what turns with it (kg·m²). */
  readonly radiusM: number;
  readonly inertiaKgM2: number;
}

export interface Surge {
  /** Tension at its highest (N). */
  readonly peakN: number;
  /** What line and rod alone would make of it, were the drag locked (N). */
  readonly lockedN: number;
  /** True where the drag gives way before line and rod have taken the jerk up. */
  readonly dragGives: boolean;
  /** What getting the spool to turn adds to the breakaway (N). */
  readonly inertiaN: number;
}

/** Force per strain of a line, EA (N): its strength over its stretch. */
export function stiffnessOf(material: Material, strengthN: number): number {
  requirePositive('stiffnessOf', { strengthN });
  return strengthN / MATERIAL[material].stretchAtBreak;
}

/** The pieces that are between tip and fish with a length out, of all pieces in order from the arbor; outermost first. */
export function piecesOut<T extends { readonly lengthM: number }>(
  pieces: readonly T[],
  lengthOutM: number,
): readonly T[] {
  let leftM = lengthOutM;
  return pieces.toReversed().flatMap((piece) => {
    const lengthM = Math.min(piece.lengthM, leftM);
    leftM -= lengthM;
    return lengthM > 0 ? [{ ...piece, lengthM }] : [];
  });
}

/** How far line and rod give way for each newton, as springs in a row: ΣLᵢ/EAᵢ + 1/k (m/N). */
export function complianceMPerN(pieces: readonly ElasticPiece[], rodStiffnessNPerM: number): number {
  return pieces.reduce(
    (sum, { lengthM, material, strengthN }) => sum + lengthM / stiffnessOf(material, strengthN),
    1 / rodStiffnessNPerM,
  );
}

/** Energy that a stretched line holds (J): T²·L/(2·EA). */
export function storedEnergyJ(piece: ElasticPiece, tensionN: number): number {
  return (tensionN ** 2 * piece.lengthM) / (2 * stiffnessOf(piece.material, piece.strengthN));
}

/**
 * Tension at its highest when the fish jerks by a length in a time: line and rod take it up as springs in a row,
 * ΔT = x ÷ (ΣLᵢ/EAᵢ + 1/k), until the drag gives way at its breakaway and whatever it takes to get the spool turning,
 * I·α/r² of line acceleration.
 *
 * @param surgeM how far the fish jerks (m)
 * @param overS in what time (s)
 */
export function surge(setup: SurgeSetup, surgeM: number, overS: number): Surge {
  const { pieces, rodStiffnessNPerM, tensionN, breakawayN, radiusM, inertiaKgM2 } = setup;
  requirePositive('surge', { surgeM, overS, rodStiffnessNPerM, radiusM });
  const lockedN = tensionN + surgeM / complianceMPerN(pieces, rodStiffnessNPerM);
  // From rest to twice the mean speed, evenly: the line is accelerated at 2x/t².
  const inertiaN = (inertiaKgM2 * ((2 * surgeM) / overS ** 2)) / radiusM ** 2;
  const drawnN = Math.max(breakawayN, tensionN) + inertiaN;
  return { peakN: Math.min(lockedN, drawnN), lockedN, dragGives: drawnN < lockedN, inertiaN };
}

/** What of a surge is known to what relative SD, beside what every surge leaves open. */
export interface SurgeKnown {
  /** The drag as it was set. */
  readonly tensionRelativeSd: number;
  /** False where nobody read a jerk of this drag. */
  readonly isBreakawayRead: boolean;
}

/** The highest tension, and that with the drag locked, each with its ±. */
export interface SurgeFigures {
  readonly peakN: Figure;
  readonly lockedN: Figure;
}

/**
 * A surge with what is not known of it: how stretchy the line is, the rod, the mass of the spool, the time that the jerk takes, the
 * drag and its breakaway. Arguments as in {@link surge}.
 */
export function surgeFigures(setup: SurgeSetup, surgeM: number, overS: number, known: SurgeKnown): SurgeFigures {
  const one = (reason: SurgeOpen, sd: number) => ({ from: because(reason), value: 1, sd });
  const inputs = [
    one('error-stretchiness', ERRORS.stretchinessShare.sd),
    one('error-rod-spring', ERRORS.rodSpringShare.sd),
    one('error-spool-mass', ERRORS.spoolMassShare.sd),
    one('error-jerk-time', ERRORS.jerkTimeShare.sd),
    one('error-drag-set', known.tensionRelativeSd),
    one('error-breakaway', known.isBreakawayRead ? ERRORS.pullShare.sd : ERRORS.breakawayShare.sd),
  ];
  const spread = propagate(inputs, ([stretch = 1, rod = 1, mass = 1, time = 1, drag = 1, breakaway = 1]) => {
    const { pieces, rodStiffnessNPerM, tensionN, breakawayN, inertiaKgM2 } = setup;
    const otherwise = surge(
      {
        ...setup,
        pieces: pieces.map((piece) => ({ ...piece, strengthN: piece.strengthN / stretch })),
        rodStiffnessNPerM: rodStiffnessNPerM * rod,
        tensionN: tensionN * drag,
        breakawayN: breakawayN * drag * breakaway,
        inertiaKgM2: inertiaKgM2 * mass,
      },
      surgeM,
      overS * time,
    );
    return [otherwise.peakN, otherwise.lockedN];
  });
  const figure = (at: number): Figure => ({
    value: spread.values[at] ?? NaN,
    plusMinus: PLUS_MINUS_SDS * (spread.sds[at] ?? NaN),
    mainlyFrom: spread.largestContributors[at] ?? null,
  });
  return { peakN: figure(0), lockedN: figure(1) };
}

type SurgeOpen =
  | 'error-stretchiness'
  | 'error-rod-spring'
  | 'error-spool-mass'
  | 'error-jerk-time'
  | 'error-drag-set'
  | 'error-breakaway';
