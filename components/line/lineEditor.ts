/** Whose word the length of a segment is: what was typed, a whole piece, or the fill that it is worked out for. */
export type HowLong = 'typed' | 'piece' | 'solved';

/** The same in words, to choose from. */
export const HOW_LONG: readonly { readonly value: HowLong; readonly text: string }[] = [
  { value: 'typed', text: 'as typed: wind until it is on' },
  { value: 'piece', text: 'a whole piece: all of it goes on' },
  { value: 'solved', text: 'worked out, to fill the reel' },
];

/** A segment of a line that is being planned, as the ribbon lets a hand take it. */
export interface EditedSegment {
  readonly id: string;
  readonly name: string;
  /** As it is planned (m). */
  readonly lengthM: number;
  readonly howLong: HowLong;
  /** Why a hand does not change its length; null: it does. */
  readonly heldBecause: string | null;
  /** Steps in which it is lengthened (m), and how many of them make a large one. */
  readonly stepM: number;
  readonly stepsAtOnce: number;
}

/**
 * What a hand on the ribbon can do to a line that is being planned. Each act says in words why it was refused, or null once it is done: the line
 * above is solved again at once.
 */
export interface LineEditor {
  /** From the hook to the arbor. */
  readonly segments: readonly EditedSegment[];
  /** Lines that can be put on. */
  readonly shelf: readonly { readonly id: string; readonly name: string }[];
  lengthen(id: string, lengthM: number): string | null;
  /** Says whose word a length is; one at the most is worked out. */
  measureBy(id: string, how: HowLong): string | null;
  /** Puts a segment where another one is. */
  place(id: string, atId: string): string | null;
  /** Cuts a segment in two, at a length from its hook's end (m). */
  split(id: string, atM: number): string | null;
  remove(id: string): string | null;
  /** Puts a line on the arbor's side of a segment; null: outermost. */
  add(lineId: string, underId: string | null): string | null;
}
