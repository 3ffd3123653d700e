import { LINE_ERRORS } from '../measurement/lineErrors';
import type { Known } from '../provenance/source';
import type { Material } from '../measurement/material';

export { MATERIALS, type Material } from '../measurement/material';

/** Everything that a line is taken to be by its material alone, until something of it is measured. */
export interface MaterialProperties {
  /**
   * Packing on a spool (bare line area ÷ area taken), with the spread between one person's loads and another's. Real lays
   * are about 0.55 to 0.75 (from memory); soft braid flattens and packs a little tighter than stiff round line.
   */
  readonly packing: Known;
  /** Stretch at the breaking load: nylon 22 % at 80 % of it (common practice, no source), so about 27 %; others from memory. */
  readonly stretchAtBreak: number;
  /**
   * Labelled strength over the area that the labelled diameter gives (Pa), from memory. What carries nothing (lead, a fly
   * line's coat) counts as area.
   */
  readonly labelledStressPa: number;
  /** Gives way under the jaws of a caliper: its thickness is told by a row of wraps. */
  readonly givesWay: boolean;
  /** Density as it lies in water, its hollows full of it (kg/m³); handbook values, lead core and fly line from memory. */
  readonly densityKgM3: Known;
  /** Density of what it is made of (kg/m³): what a weighed metre of it displaces; null where that says nothing of its weight in water. */
  readonly solidKgM3: number | null;
  /** Relative SD of a diameter that is guessed from a labelled strength, from memory. */
  readonly guessedDiameterRelativeSd: number;
}

const packs = (material: Material, value: number): Known => ({
  value,
  sd: value * LINE_ERRORS[material].packing,
  source: 'default',
});

/** The one table of materials. Each figure is a default: shown as one, and left behind by the first measurement. */
export const MATERIAL: Readonly<Record<Material, MaterialProperties>> = {
  nylon: {
    densityKgM3: { value: 1140, sd: 15, source: 'default' },
    solidKgM3: null,
    givesWay: false,
    packing: packs('nylon', 0.68),
    stretchAtBreak: 0.27,
    labelledStressPa: 7.0e8,
    guessedDiameterRelativeSd: 0.14,
  },
  fluorocarbon: {
    densityKgM3: { value: 1780, sd: 20, source: 'default' },
    solidKgM3: null,
    givesWay: false,
    packing: packs('fluorocarbon', 0.67),
    stretchAtBreak: 0.25,
    labelledStressPa: 6.5e8,
    guessedDiameterRelativeSd: 0.14,
  },
  braid: {
    densityKgM3: { value: 980, sd: 10, source: 'default' },
    solidKgM3: null,
    givesWay: true,
    packing: packs('braid', 0.65),
    stretchAtBreak: 0.035,
    labelledStressPa: 2.6e9,
    guessedDiameterRelativeSd: 0.22,
  },
  'hollow braid': {
    densityKgM3: { value: 980, sd: 12, source: 'default' },
    solidKgM3: null,
    givesWay: true,
    packing: packs('hollow braid', 0.66),
    stretchAtBreak: 0.04,
    labelledStressPa: 1.7e9,
    guessedDiameterRelativeSd: 0.2,
  },
  'lead core': {
    densityKgM3: { value: 3600, sd: 500, source: 'default' },
    solidKgM3: 4850,
    givesWay: true,
    packing: packs('lead core', 0.63),
    stretchAtBreak: 0.05,
    labelledStressPa: 1.6e8,
    guessedDiameterRelativeSd: 0.2,
  },
  'copper wire': {
    densityKgM3: { value: 8960, sd: 60, source: 'default' },
    solidKgM3: 8960,
    givesWay: false,
    packing: packs('copper wire', 0.62),
    stretchAtBreak: 0.02,
    labelledStressPa: 3.4e8,
    guessedDiameterRelativeSd: 0.15,
  },
  'stainless wire': {
    densityKgM3: { value: 7900, sd: 80, source: 'default' },
    solidKgM3: 7900,
    givesWay: false,
    packing: packs('stainless wire', 0.61),
    stretchAtBreak: 0.015,
    labelledStressPa: 1.7e9,
    guessedDiameterRelativeSd: 0.15,
  },
  'fly line': {
    densityKgM3: { value: 1000, sd: 60, source: 'default' },
    solidKgM3: null,
    givesWay: true,
    packing: packs('fly line', 0.6),
    stretchAtBreak: 0.25,
    labelledStressPa: 1.2e8,
    guessedDiameterRelativeSd: 0.3,
  },
};
