import type { Material } from '@/core/materials/materials';

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
