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

/** Why a stroke was wrong, and how to recover. */
export interface Fault {
  readonly reason: 'same-side' | 'too-many' | 'too-early' | 'finished';
  readonly message: string;
  readonly recover: string;
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
    return wrong({ reason: 'finished', message: 'The knot is done.', recover: 'Begin a new one.' });
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
      message: `That comes later: ${NAMES[next?.stroke ?? stage.stroke]} is next.`,
      recover: `Take it back and go on with ${NAMES[next?.stroke ?? stage.stroke]}.`,
    });
  }
  return wrong({
    reason: 'too-early',
    message: `Too early: ${missing} more ${missing === 1 ? SINGULAR[stage.stroke] : NAMES[stage.stroke]} first.`,
    recover: 'Take it back and go on counting.',
  });
}

const NAMES: Readonly<Record<Stage['stroke'], string>> = {
  plait: 'passes',
  hitch: 'hitches',
  finish: 'turns of the finish',
  seat: 'the seating pull',
  trim: 'the trim',
};
const SINGULAR: Readonly<Record<Stage['stroke'], string>> = {
  plait: 'pass',
  hitch: 'hitch',
  finish: 'turn of the finish',
  seat: 'pull',
  trim: 'trim',
};

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
      message: `${side === 'over' ? 'Over' : 'Under'} twice: that pass lies beside the last one and will bulge.`,
      recover: `Lift the last pass off, keep the braid taut, and go ${side === 'over' ? 'under' : 'over'}.`,
    });
  }
  if (state.done >= stage.most) {
    const next = stages[state.stage + 1];
    // Two stages of the same stroke follow each other: the count simply goes on.
    if (next?.stroke === stage.stroke) return takeStroke(stages, { ...state, stage: state.stage + 1, done: 0 }, stroke);
    return wrong({
      reason: 'too-many',
      message: `That is one too many: ${stage.most} are enough in this school.`,
      recover: `Take it off and go on with ${next ? NAMES[next.stroke] : 'nothing: the knot is done'}.`,
    });
  }
  const done = state.done + 1;
  const moved = { ...state, done, strokes: state.strokes + 1, lastSide: side ?? state.lastSide };
  const full = done >= stage.most;
  return { state: full ? { ...moved, stage: state.stage + 1, done: 0 } : moved, fault: null };
}

/** The next move, in words and as strokes that are allowed now. */
export interface NextMove {
  readonly allowed: readonly Stroke[];
  readonly words: string;
  readonly done: boolean;
}

/** What may be done now. */
export function nextMove(stages: readonly Stage[], state: CadenceState): NextMove {
  const stage = stages[state.stage];
  if (!stage) return { allowed: [], words: 'Done.', done: true };
  const here = allowedIn(stage, state);
  const next = stages[state.stage + 1];
  const onward = state.done >= stage.least && next && next.stroke !== stage.stroke ? allowedIn(next, state) : [];
  const count = stage.least === stage.most ? `${stage.most}` : `${stage.least} to ${stage.most}`;
  const number = `${Math.min(state.done + 1, stage.most)} of ${count}`;
  const words = {
    plait: `${here.length === 1 ? (here[0] === 'over' ? 'Over' : 'Under') : 'Over or under'}: pass ${number}`,
    hitch: `Hitch ${number}`,
    finish: `Turn of the finish, ${number}`,
    seat: 'Seating pull',
    trim: 'Trim',
  }[stage.stroke];
  return { allowed: [...here, ...onward], words, done: false };
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
