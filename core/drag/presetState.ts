import { failure, success, type Outcome } from '../result';

/** Where lever and preset of a lever drag stand. */
export interface PresetState {
  readonly lever: 'free' | 'in gear';
  /** Turns of the preset since it was last set rightly, tighter positive. */
  readonly turns: number;
  /** Turns that were made with the reel in gear and are still to be undone. */
  readonly wrongTurns: number;
}

export type PresetAct =
  | { readonly act: 'to-free' }
  | { readonly act: 'into-gear' }
  | { readonly act: 'turn'; readonly turns: number }
  /** It was turned in gear: said afterwards. */
  | { readonly act: 'was-turned-in-gear'; readonly turns: number };

export const PRESET_AT_START: PresetState = { lever: 'free', turns: 0, wrongTurns: 0 };

/** The most that a knob is turned at once; more is a slip of the finger. */
const MOST_TURNS = 10;

export type PresetRefusal =
  'already-free' | 'already-in-gear' | 'in-gear' | 'undo-first' | 'not-in-gear' | 'too-many-turns';

/**
 * Steps a lever drag's preset on. It is turned in free spool only: turned under load the washers bind and the figure is
 * wrong; it must then be turned back by as much, in free spool, before anything else.
 *
 * @returns the state that follows; or why not, with what to do instead
 */
export function stepPreset(state: PresetState, act: PresetAct): Outcome<PresetState, PresetRefusal> {
  switch (act.act) {
    case 'to-free':
      if (state.lever === 'free') return failure('already-free');
      return success({ ...state, lever: 'free' });
    case 'into-gear':
      if (state.wrongTurns !== 0) return failure('undo-first', { wrongTurns: state.wrongTurns });
      if (state.lever === 'in gear') return failure('already-in-gear');
      return success({ ...state, lever: 'in gear' });
    case 'was-turned-in-gear':
      if (state.lever !== 'in gear') return failure('not-in-gear');
      if (!(Math.abs(act.turns) <= MOST_TURNS) || act.turns === 0) return tooMany();
      return success({ ...state, turns: state.turns + act.turns, wrongTurns: state.wrongTurns + act.turns });
    case 'turn': {
      if (state.lever === 'in gear') {
        return failure('in-gear');
      }
      if (!(Math.abs(act.turns) <= MOST_TURNS) || act.turns === 0) return tooMany();
      const left = state.wrongTurns + act.turns;
      if (state.wrongTurns !== 0 && Math.abs(left) > 1e-9) {
        return failure('undo-first', { wrongTurns: state.wrongTurns });
      }
      return success({ ...state, turns: state.turns + act.turns, wrongTurns: 0 });
    }
  }
}

const tooMany = () => failure('too-many-turns', { most: MOST_TURNS });
