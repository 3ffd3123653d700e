import { because, type Reason } from '../reasons';
import type { GuideStep, School } from './schools';

/** What a hand does: a pass of the plait on one side, a hitch, a turn of the finish, the seating pull, a trim. */
export type Stroke = 'over' | 'under' | 'hitch' | 'finish' | 'seat' | 'trim';

/** One stage of a plaited knot as the trainer counts it. */
export interface Stage {
  readonly stepId: string;
  readonly stroke: 'plait' | 'hitch' | 'finish' | 'seat' | 'trim';
  readonly least: number;
  readonly most: number;
}

export interface CadenceState {
  /** Index of the stage; equal to the number of stages when the knot is done. */
  readonly stage: number;
  /** Strokes done in this stage. */
  readonly done: number;
  /** Side of the last pass, or null before the first. */
  readonly lastSide: 'over' | 'under' | null;
  readonly strokes: number;
  readonly errors: number;
}

export const BEGIN: CadenceState = { stage: 0, done: 0, lastSide: null, strokes: 0, errors: 0 };

/** How to recover from a wrong stroke; `next` is the stroke to go on with, null where the knot is done. */
export type Recovery =
  | { readonly act: 'begin-anew' | 'go-on-counting' }
  | { readonly act: 'take-back'; readonly next: Stage['stroke'] }
  | { readonly act: 'lift-off'; readonly side: 'over' | 'under' }
  | { readonly act: 'take-off'; readonly next: Stage['stroke'] | null };

/** Why a stroke was wrong, and how to recover. */
export interface Fault {
  readonly reason: 'same-side' | 'too-many' | 'too-early' | 'finished';
  readonly why: Reason;
  /** How to recover. */
  readonly recover: Recovery;
}

export interface StrokeResult {
  readonly state: CadenceState;
  readonly fault: Fault | null;
}

/** The stages of a plaited school: its counted steps, pulls and trims, in order. */
export function stagesOf(school: School): readonly Stage[] {
  return school.steps.flatMap((step): Stage[] => {
    const times = step.times ?? { least: 1, most: 1 };
    if (step.kind === 'count') return [{ stepId: step.id, stroke: strokeOf(step), ...times }];
    if (step.kind === 'seat' || step.kind === 'trim') return [{ stepId: step.id, stroke: step.kind, ...times }];
    return [];
  });
}

function strokeOf(step: GuideStep): 'plait' | 'hitch' | 'finish' {
  return step.id === 'plait' || step.id === 'finish' ? step.id : 'hitch';
}

/**
 * One stroke of the hand. A wrong stroke leaves the count where it was: it is taken back and done again.
 *
 * @param stages of the school that is tied
 * @param state so far
 * @param stroke what was done
 * @returns the state after it, and the fault if there was one
 */
export function takeStroke(stages: readonly Stage[], state: CadenceState, stroke: Stroke): StrokeResult {
  const stage = stages[state.stage];
  const wrong = (fault: Fault): StrokeResult => ({
    state: { ...state, strokes: state.strokes + 1, errors: state.errors + 1 },
    fault,
  });
  if (!stage) {
    return wrong({ reason: 'finished', why: because('stroke-finished'), recover: { act: 'begin-anew' } });
  }
  const kind = stroke === 'over' || stroke === 'under' ? 'plait' : stroke;
  if (kind === stage.stroke) return sameStage(stages, state, stage, stroke, wrong);
  const next = stages[state.stage + 1];
  if (state.done >= stage.least && next && kind === next.stroke) {
    return takeStroke(stages, { ...state, stage: state.stage + 1, done: 0 }, stroke);
  }
  const missing = stage.least - state.done;
  if (missing <= 0) {
    return wrong({
      reason: 'too-early',
      why: because('stroke-later', { next: next?.stroke ?? stage.stroke }),
      recover: { act: 'take-back', next: next?.stroke ?? stage.stroke },
    });
  }
  return wrong({
    reason: 'too-early',
    why: because('stroke-too-early', { missing, stroke: stage.stroke }),
    recover: { act: 'go-on-counting' },
  });
}

function sameStage(
  stages: readonly Stage[],
  state: CadenceState,
  stage: Stage,
  stroke: Stroke,
  wrong: (fault: Fault) => StrokeResult,
): StrokeResult {
  const side = stroke === 'over' || stroke === 'under' ? stroke : null;
  if (side !== null && side === state.lastSide) {
    return wrong({
      reason: 'same-side',
      why: because('stroke-same-side', { side }),
      recover: { act: 'lift-off', side: side === 'over' ? 'under' : 'over' },
    });
  }
  if (state.done >= stage.most) {
    const next = stages[state.stage + 1];
    // Two stages of the same stroke follow each other: the count simply goes on.
    if (next?.stroke === stage.stroke) return takeStroke(stages, { ...state, stage: state.stage + 1, done: 0 }, stroke);
    return wrong({
      reason: 'too-many',
      why: because('stroke-too-many', { most: stage.most }),
      recover: { act: 'take-off', next: next?.stroke ?? null },
    });
  }
  const done = state.done + 1;
  const moved = { ...state, done, strokes: state.strokes + 1, lastSide: side ?? state.lastSide };
  const full = done >= stage.most;
  return { state: full ? { ...moved, stage: state.stage + 1, done: 0 } : moved, fault: null };
}

/** The next move: the strokes that are allowed now, and where in its stage it stands. */
export interface NextMove {
  readonly allowed: readonly Stroke[];
  /** The stage, or null when the knot is done. */
  readonly stage: Pick<Stage, 'stroke' | 'least' | 'most'> | null;
  /** Sides on which the next pass may go; empty where it is no pass. */
  readonly sides: readonly Stroke[];
  /** Which one of the stage it is, from 1. */
  readonly number: number;
}

/** What may be done now. */
export function nextMove(stages: readonly Stage[], state: CadenceState): NextMove {
  const stage = stages[state.stage];
  if (!stage) return { allowed: [], stage: null, sides: [], number: 0 };
  const here = allowedIn(stage, state);
  const next = stages[state.stage + 1];
  const onward = state.done >= stage.least && next && next.stroke !== stage.stroke ? allowedIn(next, state) : [];
  return {
    allowed: [...here, ...onward],
    stage,
    sides: stage.stroke === 'plait' ? here : [],
    number: Math.min(state.done + 1, stage.most),
  };
}

function allowedIn(stage: Stage, state: CadenceState): readonly Stroke[] {
  if (stage.stroke !== 'plait') return [stage.stroke];
  if (state.lastSide === null) return ['over', 'under'];
  return [state.lastSide === 'over' ? 'under' : 'over'];
}

/**
 * Reads from how the plait lies which move comes next: the braid ends up on the side where it last went.
 *
 * @param lies where the taut braid now leaves the leader, as the viewer sees it
 * @param hand working hand: for a left hand near and far are the other way round
 */
export function whereWasI(lies: 'towards me' | 'away from me', hand: 'left' | 'right'): 'over' | 'under' {
  const lastOver = (lies === 'towards me') === (hand === 'right');
  return lastOver ? 'under' : 'over';
}
