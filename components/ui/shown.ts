import type { Missing } from './fetched';

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

/** What is said while a part of the page does not come. */
export const MISSING_WORDS: Readonly<Record<Missing, string>> = {
  away: 'The server cannot be reached. What you opened comes when it is back. What you typed is kept here.',
  older: 'Tidy Marlin is newer than this page. Load it again: what you typed is kept here.',
};
