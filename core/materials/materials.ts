import type { Known } from '../provenance/source';

export const MATERIALS = [
  'nylon',
  'fluorocarbon',
  'braid',
  'hollow braid',
  'lead core',
  'copper wire',
  'stainless wire',
  'fly line',
] as const;

export type Material = (typeof MATERIALS)[number];

/** Everything that a line is taken to be by its material alone, until something of it is measured. */
export interface MaterialProperties {
  /**
   * Packing on a spool (bare line area ÷ area taken), with the spread between one person's loads and another's. Real lays
   * are about 0.55 to 0.75 (from memory); soft braid flattens and packs a little tighter than stiff round line.
   */
  readonly packing: Known;
  /**
   * Relative SD of a diameter read off a label: braid labels are off by 10 to 20 % (from memory), nylon about 1.5 % (common
   * practice, no source), the others in between.
   */
  readonly labelDiameterRelativeSd: number;
  /**
   * Stretch as hands or a winder put it on, as a share of its length: about 2 % for nylon and 0.3 % for braid at 10 N, of which
   * winding takes a third (from memory).
   */
  readonly windingStrain: { readonly value: number; readonly sd: number };
  /** Stretch at the breaking load: nylon 22 % at 80 % of it (common practice, no source), so about 27 %; others from memory. */
  readonly stretchAtBreak: number;
  /**
   * Labelled strength over the area that the labelled diameter gives (Pa), from memory. What carries nothing (lead, a fly
   * line's coat) counts as area.
   */
  readonly labelledStressPa: number;
  /** Relative SD of a diameter that is guessed from a labelled strength, from memory. */
  readonly guessedDiameterRelativeSd: number;
}

const packs = (value: number, sd: number): Known => ({ value, sd, source: 'default' });
const SOFT = { value: 0.006, sd: 0.0035 } as const;
const STIFF = { value: 0.002, sd: 0.0012 } as const;

/** The one table of materials. Each figure is a default: shown as one, and left behind by the first measurement. */
export const MATERIAL: Readonly<Record<Material, MaterialProperties>> = {
  nylon: {
    packing: packs(0.68, 0.035),
    labelDiameterRelativeSd: 0.015,
    windingStrain: SOFT,
    stretchAtBreak: 0.27,
    labelledStressPa: 7.0e8,
    guessedDiameterRelativeSd: 0.14,
  },
  fluorocarbon: {
    packing: packs(0.67, 0.035),
    labelDiameterRelativeSd: 0.02,
    windingStrain: SOFT,
    stretchAtBreak: 0.25,
    labelledStressPa: 6.5e8,
    guessedDiameterRelativeSd: 0.14,
  },
  braid: {
    packing: packs(0.65, 0.05),
    labelDiameterRelativeSd: 0.12,
    windingStrain: STIFF,
    stretchAtBreak: 0.035,
    labelledStressPa: 2.6e9,
    guessedDiameterRelativeSd: 0.22,
  },
  'hollow braid': {
    packing: packs(0.66, 0.05),
    labelDiameterRelativeSd: 0.1,
    windingStrain: STIFF,
    stretchAtBreak: 0.04,
    labelledStressPa: 1.7e9,
    guessedDiameterRelativeSd: 0.2,
  },
  'lead core': {
    packing: packs(0.63, 0.045),
    labelDiameterRelativeSd: 0.05,
    windingStrain: STIFF,
    stretchAtBreak: 0.05,
    labelledStressPa: 1.6e8,
    guessedDiameterRelativeSd: 0.2,
  },
  'copper wire': {
    packing: packs(0.62, 0.045),
    labelDiameterRelativeSd: 0.015,
    windingStrain: STIFF,
    stretchAtBreak: 0.02,
    labelledStressPa: 3.4e8,
    guessedDiameterRelativeSd: 0.15,
  },
  'stainless wire': {
    packing: packs(0.61, 0.045),
    labelDiameterRelativeSd: 0.015,
    windingStrain: STIFF,
    stretchAtBreak: 0.015,
    labelledStressPa: 1.7e9,
    guessedDiameterRelativeSd: 0.15,
  },
  'fly line': {
    packing: packs(0.6, 0.045),
    labelDiameterRelativeSd: 0.05,
    windingStrain: STIFF,
    stretchAtBreak: 0.25,
    labelledStressPa: 1.2e8,
    guessedDiameterRelativeSd: 0.3,
  },
};
