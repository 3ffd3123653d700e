/** Room for one spool of the rack (px): no picture is larger. */
export const SPOOL_BOX = { width: 190, height: 120 } as const;
/** How far the axle stands out on either side (px). */
export const AXLE_PX = 10;
/** Thickness of a flange as drawn (px): it is no measure of the reel. */
export const FLANGE_PX = 6;
/** Room for the thickest line of the rack (px). */
const THICKEST_PX = 22;

/**
 * The one scale of all spools of the rack.
 *
 * @param spools their sizes (m)
 * @returns px for a metre: the largest spool just fits its room
 */
export function spoolScale(spools: readonly { readonly widthM: number; readonly fullDiameterM: number }[]): number {
  const widestM = Math.max(...spools.map(({ widthM }) => widthM));
  const largestM = Math.max(...spools.map(({ fullDiameterM }) => fullDiameterM));
  return Math.min((SPOOL_BOX.width - 2 * (FLANGE_PX + AXLE_PX)) / widestM, SPOOL_BOX.height / largestM);
}

/**
 * The one scale of all lines of the rack.
 *
 * @param diametersM their thicknesses (m)
 * @returns px for a metre
 */
export const lineScale = (diametersM: readonly number[]): number => THICKEST_PX / Math.max(...diametersM);
