import type { LoadedLine } from './loadedLine';

/**
 * Where the middle of each segment lies between arbor (−½) and rim (+½), in the area of the spool's section: by this share of a growth
 * of packing from arbor to rim it packs otherwise than the spool's middle.
 *
 * @param rimDiameterM the rim (m); line above it counts as the rim
 */
export function segmentDepths(line: LoadedLine, rimDiameterM: number): readonly number[] {
  const arborM2 = line.spool.arborDiameterM ** 2;
  const spanM2 = Math.max(rimDiameterM, line.fullDiameterM) ** 2 - arborM2;
  return line.segments.map(({ innerDiameterM, outerDiameterM }) =>
    spanM2 > 0 ? ((innerDiameterM ** 2 + outerDiameterM ** 2) / 2 - arborM2) / spanM2 - 0.5 : 0,
  );
}
