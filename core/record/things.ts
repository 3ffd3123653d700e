/** What has a name of its own, can be put away, and taken out where nothing rests on it. */
export const THINGS = ['boat', 'person', 'reel', 'line', 'supply', 'rig', 'plan'] as const;
export type Thing = (typeof THINGS)[number];
