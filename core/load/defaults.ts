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

/**
 * Packing of each material on a spool (bare line area ÷ area taken), with the spread between one
 * person's loads and another's. Real lays are about 0.55 to 0.75 (from memory); soft braid flattens
 * and packs a little tighter than stiff round line. Editable per line; a default until a load of that line is measured.
 */
export const DEFAULT_PACKING: Readonly<Record<Material, Known>> = {
  nylon: { value: 0.68, sd: 0.035, source: 'default' },
  fluorocarbon: { value: 0.67, sd: 0.035, source: 'default' },
  braid: { value: 0.65, sd: 0.05, source: 'default' },
  'hollow braid': { value: 0.66, sd: 0.05, source: 'default' },
  'lead core': { value: 0.63, sd: 0.045, source: 'default' },
  'copper wire': { value: 0.62, sd: 0.045, source: 'default' },
  'stainless wire': { value: 0.61, sd: 0.045, source: 'default' },
  'fly line': { value: 0.6, sd: 0.045, source: 'default' },
};

/**
 * Relative SD of a diameter read off a label: braid labels are off by 10 to 20 % (from memory),
 * nylon about 1.5 % (common practice, no source), the others in between.
 */
export const LABEL_DIAMETER_RELATIVE_SD: Readonly<Record<Material, number>> = {
  nylon: 0.015,
  fluorocarbon: 0.02,
  braid: 0.12,
  'hollow braid': 0.1,
  'lead core': 0.05,
  'copper wire': 0.015,
  'stainless wire': 0.015,
  'fly line': 0.05,
};

/** Relative SD of a diameter measured from 20 touching wraps (from memory: about 3 % on a diameter). */
export const WRAPPED_DIAMETER_RELATIVE_SD = 0.03;

/** SD of a caliper reading on a spool (m): 0.2 mm, from common practice, no source. */
export const CALIPER_SD_M = 0.0002;

/** SD of a level read at three points with a caliper or depth rod (m). */
export const LEVEL_SD_M = 0.0003;

/** Depth below the rim that a planned fill leaves by default (m): just under full. */
export const DEFAULT_LEVEL_BELOW_RIM_M = 0.002;

/** Relative SD of a length measured along a tape or sold as a measured length. */
export const MEASURED_LENGTH_RELATIVE_SD = 0.003;

/**
 * Share of a count of turns by which real layers depart from the smooth model: 0.2 to 0.3 % beyond
 * 30 m against a layer-by-layer simulation (this project's own tests).
 */
export const LAYER_STEP_RELATIVE_SD = 0.003;

/**
 * How much a line is stretched as hands or a winder put it on, as a share of its length: about 2 % for nylon and 0.3 %
 * for braid at 10 N, of which winding takes a third (from memory).
 */
export function windingStrain(material: Material): { readonly value: number; readonly sd: number } {
  return material === 'nylon' || material === 'fluorocarbon'
    ? { value: 0.006, sd: 0.0035 }
    : { value: 0.002, sd: 0.0012 };
}
