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
    givesWay: false,
    packing: packs('nylon', 0.68),
    stretchAtBreak: 0.27,
    labelledStressPa: 7.0e8,
    guessedDiameterRelativeSd: 0.14,
  },
  fluorocarbon: {
    givesWay: false,
    packing: packs('fluorocarbon', 0.67),
    stretchAtBreak: 0.25,
    labelledStressPa: 6.5e8,
    guessedDiameterRelativeSd: 0.14,
  },
  braid: {
    givesWay: true,
    packing: packs('braid', 0.65),
    stretchAtBreak: 0.035,
    labelledStressPa: 2.6e9,
    guessedDiameterRelativeSd: 0.22,
  },
  'hollow braid': {
    givesWay: true,
    packing: packs('hollow braid', 0.66),
    stretchAtBreak: 0.04,
    labelledStressPa: 1.7e9,
    guessedDiameterRelativeSd: 0.2,
  },
  'lead core': {
    givesWay: true,
    packing: packs('lead core', 0.63),
    stretchAtBreak: 0.05,
    labelledStressPa: 1.6e8,
    guessedDiameterRelativeSd: 0.2,
  },
  'copper wire': {
    givesWay: false,
    packing: packs('copper wire', 0.62),
    stretchAtBreak: 0.02,
    labelledStressPa: 3.4e8,
    guessedDiameterRelativeSd: 0.15,
  },
  'stainless wire': {
    givesWay: false,
    packing: packs('stainless wire', 0.61),
    stretchAtBreak: 0.015,
    labelledStressPa: 1.7e9,
    guessedDiameterRelativeSd: 0.15,
  },
  'fly line': {
    givesWay: true,
    packing: packs('fly line', 0.6),
    stretchAtBreak: 0.25,
    labelledStressPa: 1.2e8,
    guessedDiameterRelativeSd: 0.3,
  },
};
