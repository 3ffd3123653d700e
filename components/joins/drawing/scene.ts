import type { GuideStep, School } from '@/core/joins/schools';
import type { Strand } from './strand';

export const SCENE = { width: 320, height: 130, axisY: 72 } as const;

/** Something beside the lines: a pull, a cut, a drop of water or glue, a pen stroke, a drawing together. */
export type Mark =
  | { readonly kind: 'pull'; readonly x: number; readonly y: number; readonly toward: 'left' | 'right' }
  | { readonly kind: 'cut' | 'water' | 'glue' | 'pen'; readonly x: number; readonly y: number }
  | { readonly kind: 'slide'; readonly x: number; readonly y: number; readonly toward: 'left' | 'right' };

/** A body that lines pass in front of and behind. */
export interface Body {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly look: 'spool' | 'flange' | 'tape' | 'ring' | 'swivel';
}

/** What one step of a guide looks like when it is done, and what of it this step lays. */
export interface Scene {
  readonly strands: readonly Strand[];
  readonly bodies?: readonly Body[];
  readonly marks?: readonly Mark[];
}

/** Draws the step of a school; done says whether a step of that school lies already, this one included. */
export type SceneMaker = (step: GuideStep, done: (id: string) => boolean, school: School) => Scene;

/** How often a counted step is drawn: its least count, and never more than can be told apart. */
export function drawnTimes(step: GuideStep, most: number): number {
  return Math.min(most, step.times?.least ?? 1);
}
