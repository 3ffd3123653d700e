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
