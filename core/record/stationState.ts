import type { Reason } from '../reasons';

/**
 * - done: the result stands, and everything it rests on is as it was
 * - stale: something that it rests on has changed; `why` names what
 * - due: not done yet, or not finished
 * - not needed: this reel has nothing to do here
 */
export interface StationState {
  readonly state: 'done' | 'stale' | 'due' | 'not needed';
  readonly why: Reason;
}
