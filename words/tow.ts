import type { TOW_REASONS } from '../core/reasons/tow';
import type { WordsFor } from './dictionary';

export const TOW_WORDS: WordsFor<typeof TOW_REASONS> = {
  'goal-too-deep': ({ mostM }, { length }) =>
    `Not with ${length(mostM)} of this line at this speed: go slower, or put heavier line or a weight in front of it.`,
  'goal-too-near': ({ shortByM }, { length }) =>
    `The line in front of it brings the lure there alone: reel in ${length(shortByM)} of it, or go faster.`,
  'goal-floats': ({ atM }, { length }) =>
    `The line floats up before it gets there: at this speed it lies on the surface with the lure ${length(atM)} deep.`,
  'line-too-short': ({ lengthM, depthM, setbackM }, { length }) =>
    `Not with the ${length(lengthM)} that may be out: they bring it ${length(depthM)} deep and ${length(setbackM)} back. Go slower, or load heavier line.`,
  'top-shot-too-long': ({ mostM }, { length }) => `Not with ${length(mostM)} of top shot: let more lead core out.`,
  'goal-slack': 'Nothing pulls at the line at this speed: it hangs slack.',
};
