import { requireNotNegative, requirePositive } from '../result';

/** The bare spool: metres, wound as a plain cylinder between two flanges. */
export interface SpoolGeometry {
  /** Diameter of the arbor on which the first layer lies (m). */
  readonly arborDiameterM: number;
  /** Inner width between the flanges (m). */
  readonly widthM: number;
}

/**
 * Area of the spool's section that one turn of a line takes, (π/4)δ²/p.
 *
 * @param lineDiameterM diameter of the line, δ (m)
 * @param packing bare line area ÷ area taken on the spool, p: square lay π/4 = 0.785, hexagonal
 *   π/(2√3) = 0.907; real lays lie about 0.55 to 0.75 (from memory)
 * @returns area (m²)
 */
export function woundAreaM2(lineDiameterM: number, packing: number): number {
  requirePositive('woundAreaM2', { lineDiameterM, packing });
  return ((Math.PI / 4) * lineDiameterM ** 2) / packing;
}

/**
 * Wound diameter over a volume of line: D² = d0² + 4V/(πw).
 *
 * @param spool bare spool
 * @param volumeM3 space that the line takes, Σ aᵢLᵢ (m³)
 */
export function woundDiameterM(spool: SpoolGeometry, volumeM3: number): number {
  requirePositive('woundDiameterM', { arborDiameterM: spool.arborDiameterM, widthM: spool.widthM });
  requireNotNegative('woundDiameterM', { volumeM3 });
  return Math.sqrt(spool.arborDiameterM ** 2 + (4 * volumeM3) / (Math.PI * spool.widthM));
}

/**
 * Space between the arbor and a wound diameter: V = (π/4)(D² − d0²)w. Negative when `diameterM` is
 * below the arbor.
 *
 * @param spool bare spool
 * @param diameterM wound diameter (m)
 * @returns volume (m³)
 */
export function spoolVolumeM3(spool: SpoolGeometry, diameterM: number): number {
  requirePositive('spoolVolumeM3', { arborDiameterM: spool.arborDiameterM, widthM: spool.widthM, diameterM });
  return (Math.PI / 4) * (diameterM ** 2 - spool.arborDiameterM ** 2) * spool.widthM;
}
