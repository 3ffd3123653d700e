import { MATERIAL, type Material } from '../materials/materials';
import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { because } from '../reasons';
import { requireNotNegative, requirePositive } from '../result';

/** Force for each metre that a rod's tip gives way (N/m): a default from memory, between a light rod and a stand-up one. */
export const ROD_STIFFNESS_N_PER_M = 80;

/** Breakaway over moving pull of a drag that nobody has read (from memory). */
export const USUAL_BREAKAWAY = 1.15;
/** A jerk of a fish takes about so long (s; from memory). */
export const JERK_S = 0.3;

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
  /** Tension before the jerk: what the drag holds while it slips (N); and the jerk at which it starts (N). */
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
 * Tension at its highest when the fish jerks by a length in a time, from rest evenly faster. Line and rod take it up as springs in a row,
 * ΔT = x ÷ (ΣLᵢ/EAᵢ + 1/k), until the drag gives way at its breakaway. From then on the spool is turned by what the tension has over the
 * drag's moving pull: I/r²·ü = T − T_drag. The stretch swings about 2a·I/r²·c at the rate √(r²/(I·c)), which is solved in closed form; a cap by
 * breakaway and I·α/r² is up to a fifth low for a heavy spool.
 *
 * @param surgeM how far the fish jerks (m)
 * @param overS in what time (s)
 */
export function surge(setup: SurgeSetup, surgeM: number, overS: number): Surge {
  const { pieces, rodStiffnessNPerM, tensionN, radiusM, inertiaKgM2 } = setup;
  requirePositive('surge', { surgeM, overS, rodStiffnessNPerM, radiusM });
  requireNotNegative('surge', { inertiaKgM2, tensionN });
  const compliance = complianceMPerN(pieces, rodStiffnessNPerM);
  const lockedN = tensionN + surgeM / compliance;
  const breakawayN = Math.max(setup.breakawayN, tensionN);
  const dragGives = breakawayN < lockedN;
  if (!dragGives) return { peakN: lockedN, lockedN, dragGives, inertiaN: 0 };
  // The fish is at a·t² and moves at 2a·t.
  const a = surgeM / overS ** 2;
  const massKg = inertiaKgM2 / radiusM ** 2;
  const peakN = tensionN + peakStretch(compliance, massKg, breakawayN - tensionN, a, overS) / compliance;
  return { peakN, lockedN, dragGives, inertiaN: peakN - breakawayN };
}

/** The most that line and rod are stretched beyond how they stood before the jerk (m). */
function peakStretch(compliance: number, massKg: number, overN: number, a: number, overS: number): number {
  const atStart = compliance * overN;
  if (massKg === 0) return atStart;
  const startS = Math.sqrt(atStart / a);
  const rate = 1 / Math.sqrt(massKg * compliance);
  const middle = 2 * a * massKg * compliance;
  const [along, across] = [atStart - middle, (2 * a * startS) / rate];
  const peakS = Math.atan2(across, along) / rate;
  // The jerk may end before the stretch is at its highest: from then on it only falls.
  const leftS = overS - startS;
  return peakS <= leftS
    ? middle + Math.hypot(along, across)
    : middle + along * Math.cos(rate * leftS) + across * Math.sin(rate * leftS);
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
