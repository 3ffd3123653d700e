export type Tone = 'done' | 'problem' | 'busy';

/** What can be done about a message. */
export interface ToastAct {
  readonly label: string;
  /** The same for who cannot see where it leads. */
  readonly meaning: string;
  act(): void;
}

/** A message that is shown now. */
export interface Shown {
  readonly id: number;
  readonly text: string;
  readonly tone: Tone;
  /** Left out where nothing can be done about it. */
  readonly act?: ToastAct | undefined;
}
