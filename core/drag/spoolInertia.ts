import { requireNotNegative, requirePositive } from '../result';

/** Mass of a spool of 62 mm without line (kg), from memory; larger ones weigh more as their area does. */
const SPOOL = { massKg: 0.15, diameterM: 0.062 } as const;
const LINE_KG_PER_M3 = 1000;

/** Mass of a spool without line, from its size (kg): a default, off by a third either way. */
export function spoolMassKg(fullRadiusM: number): number {
  return SPOOL.massKg * ((2 * fullRadiusM) / SPOOL.diameterM) ** 2;
}

/**
 * Moment of inertia of a spool with its line (kg·m²): a hollow cylinder of line, and a spool that is taken for a solid disc.
 *
 * @param innerRadiusM radius of the arbor (m)
 * @param fullRadiusM radius to the top of the line (m)
 * @param lineM3 bare volume of the line on it (m³)
 */
export function inertiaOf(innerRadiusM: number, fullRadiusM: number, lineM3: number): number {
  requirePositive('inertiaOf', { innerRadiusM, fullRadiusM });
  requireNotNegative('inertiaOf', { lineM3 });
  const lineKg = LINE_KG_PER_M3 * lineM3;
  return 0.5 * lineKg * (innerRadiusM ** 2 + fullRadiusM ** 2) + 0.5 * spoolMassKg(fullRadiusM) * fullRadiusM ** 2;
}
