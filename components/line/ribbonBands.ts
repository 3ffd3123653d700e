import type { Material } from '@/core/load/defaults';
import { coloursOf, type RigView } from '@/core/rig/rigView';
import { productOf } from '@/core/rig/load/planForRig';
import { productIdNow } from '@/core/rig/load/woundSegments';

export interface RibbonBand {
  readonly segmentId: string;
  readonly name: string;
  readonly lineName: string;
  readonly material: Material;
  readonly fromM: number;
  readonly toM: number;
  readonly lineDiameterM: number;
  readonly wound: boolean;
  /** Lead-core colours from the hook inwards. */
  readonly colours: readonly string[];
}

/** The line as bands from the hook to the arbor. */
export function ribbonBands(view: RigView): readonly RibbonBand[] {
  let fromM = 0;
  return view.current.line.segments.toReversed().map((segment) => {
    const product = productOf(view.record, productIdNow(view.record, segment.id));
    const band = {
      segmentId: segment.id,
      name: segment.name,
      lineName: product.name,
      material: product.material,
      fromM,
      toM: fromM + segment.lengthM,
      lineDiameterM: segment.lineDiameterM,
      wound: segment.wound,
      colours: coloursOf(view.record, segment.id).toReversed(),
    };
    fromM = band.toM;
    return band;
  });
}

/** Fill of a line by what it is made of. The name beside it says the same. */
export const MATERIAL_FILL: Readonly<Record<Material, string>> = {
  nylon: '#a9c6d8',
  fluorocarbon: '#cdb9d6',
  braid: '#7fa06a',
  'hollow braid': '#b0a24f',
  'lead core': '#8a8f98',
  'copper wire': '#c07a4a',
  'stainless wire': '#9fb0b8',
  'fly line': '#df8f4f',
};

/** Colours that sheaths come in, by name; anything else is drawn grey and named in words. */
export const SHEATH_FILL: Readonly<Record<string, string>> = {
  red: '#c8372d',
  green: '#3f8f4f',
  yellow: '#e7c43a',
  blue: '#3b6fb6',
  white: '#f3f3ee',
  orange: '#e0802b',
  black: '#23282b',
  brown: '#7b5336',
  purple: '#7a4f9a',
  pink: '#dd88a5',
};

export const UNKNOWN_SHEATH = '#8a8f98';
