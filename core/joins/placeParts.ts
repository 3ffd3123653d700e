/** Where at a place a structure is: in the end of the inner or the outer line, or between the two. In the order of tying. */
export const JOIN_PLACE_PARTS = ['inner', 'outer', 'join'] as const;
export type JoinPlacePart = (typeof JOIN_PLACE_PARTS)[number];
