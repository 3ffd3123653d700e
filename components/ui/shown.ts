export type Tone = 'done' | 'problem';

/** A message that is shown now. */
export interface Shown {
  readonly id: number;
  readonly text: string;
  readonly tone: Tone;
  /** Undoes what was done; left out where nothing can be undone. */
  readonly undo?: (() => void) | undefined;
}
