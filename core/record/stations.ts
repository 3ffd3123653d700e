/**
 * The stations in the order of the work: their ids, which stand in addresses too, and their titles. A new one is an entry
 * here and its state in stationStates.ts, which does not compile without it; tabs, locker, palette and addresses follow.
 */
export const STATIONS = [
  { id: 'load', title: 'Load' },
  { id: 'joins', title: 'Joins' },
  { id: 'count', title: 'Count' },
  { id: 'strength', title: 'Strength' },
  { id: 'drag', title: 'Drag' },
  { id: 'depth', title: 'Depth' },
] as const satisfies readonly { readonly id: string; readonly title: string }[];

export type Station = (typeof STATIONS)[number]['id'];
