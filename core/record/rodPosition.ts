/** Where a rod can stand on the boat, from port round the stern to starboard. */
export const ROD_POSITIONS = ['port', 'stern', 'starboard'] as const;

export type RodPosition = (typeof ROD_POSITIONS)[number];
