export type Tone = 'done' | 'problem';

/** A message that is shown now. */
export interface Shown {
  readonly id: number;
  readonly text: string;
  readonly tone: Tone;
}
