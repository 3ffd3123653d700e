import type { Figure } from '../provenance/figure';
import type { Failure } from '../result';
import { KNOT_MS, TEN_FEET_M } from '../units/units';
import type { DepthBelief } from './depthBelief';
import { depthFigures, setbackFigure } from './depthFigures';
import { depthToNarrow, type DepthToNarrow } from './depthToNarrow';
import { depthWith, learnDepth, type LearnedDepth } from './learnDepth';
import type { SeenDepth } from './seenDepth';
import type { TowGoal } from './lineForDepth';
import { lineOutFor, type LineOut } from './lineOutFor';

/** What is asked of a rig in tow. */
export interface DepthQuestion {
  /** Whose depth it is. */
  readonly rig: { readonly id: string; readonly name: string };
  readonly belief: DepthBelief;
  readonly marks: readonly SeenDepth[];
  /** Through the water, as it is read (m/s). */
  readonly speedMS: number;
  /** Lengths out for the curve (m), growing. */
  readonly lengthsM: readonly number[];
  /** Null: how deep it swims with `usualM` out. */
  readonly goal: TowGoal | null;
  /** What is usually out (m), and the most that may be. */
  readonly usualM: number;
  readonly mostM: number;
}

export interface DepthAnswer {
  readonly learned: LearnedDepth;
  /** What to let out, and where that brings the lure; or why no line does. */
  readonly stop: { readonly ok: true; readonly value: LineOut & StopFigures } | Failure<'line-too-short'>;
  /** The depth with that let out, or with all of it, and what would narrow it. */
  readonly narrow: DepthToNarrow;
}

/** Depth all along the line: it takes three times as long to work out as the answer, and is looked at after it. */
export interface DepthCurves {
  /** Depth at each of the lengths, at that speed. */
  readonly along: readonly Figure[];
  /** Depth at each of the lengths a little slower and a little faster. */
  readonly beside: readonly { readonly speedMS: number; readonly along: readonly Figure[] }[];
  /** The depth of the answer without its marks: what the line's own physics say. */
  readonly unlearned: Figure;
}

export interface StopFigures {
  readonly depth: Figure;
  /** How far behind the tip. */
  readonly setback: Figure;
  /** What a tenth of a knot more, and ten feet more line, do to the depth (m). */
  readonly perTenthKnotM: number;
  readonly perTenFeetM: number;
  /** Line to reel in so that the lure is off the bottom (m); null where it is, or nobody said how deep the water is. */
  readonly reelInM: number | null;
}

/** Share by which speeds beside are slower and faster. */
const BESIDE = 0.2;
const TENTH_KNOT_MS = 0.1 * KNOT_MS;

/** What to let out, where that brings the lure, and what would tell it better. */
export function answerDepth(question: DepthQuestion): DepthAnswer {
  const { belief, marks, speedMS, goal, usualM, mostM } = question;
  const learned = learnDepth(belief, marks);
  const { values } = learned;
  const found = goal
    ? lineOutFor(belief, values, speedMS, goal, mostM)
    : lineOutFor(belief, values, speedMS, { depthM: depthWith(belief, speedMS, [usualM], values)[0] ?? 0 }, usualM);
  const atM = found.ok ? found.value.lengthOutM : mostM;
  return {
    learned,
    stop: found.ok ? { ok: true, value: { ...found.value, ...stopFigures(question, learned, found.value) } } : found,
    narrow: depthToNarrow(belief, learned, question.rig, speedMS, atM),
  };
}

/** The curves behind the answer to a question. */
export function depthCurves(
  { belief, speedMS, lengthsM }: DepthQuestion,
  { learned, narrow }: Pick<DepthAnswer, 'learned' | 'narrow'>,
): DepthCurves {
  const along = (atMS: number): readonly Figure[] => depthFigures(belief, learned, atMS, lengthsM);
  const [unlearned] = depthFigures(belief, learnDepth(belief, []), speedMS, [narrow.atM]);
  return {
    along: along(speedMS),
    beside: [1 - BESIDE, 1 + BESIDE].map((share) => ({ speedMS: share * speedMS, along: along(share * speedMS) })),
    unlearned: unlearned ?? { value: NaN, plusMinus: NaN, mainlyFrom: null },
  };
}

/** How much line is too much for the water (m); null where it is not. */
function reelIn(
  belief: DepthBelief,
  speedMS: number,
  { values }: LearnedDepth,
  { lengthOutM, depthM }: Pick<LineOut, 'lengthOutM' | 'depthM'>,
): number | null {
  const { bottomM } = belief;
  if (bottomM === null || depthM <= bottomM) return null;
  const free = lineOutFor(belief, values, speedMS, { depthM: bottomM }, lengthOutM);
  return free.ok ? lengthOutM - free.value.lengthOutM : null;
}

function stopFigures(
  { belief, speedMS, mostM }: DepthQuestion,
  learned: LearnedDepth,
  { lengthOutM, depthM }: LineOut,
): StopFigures {
  const [depth] = depthFigures(belief, learned, speedMS, [lengthOutM]);
  const beyondM = Math.min(lengthOutM + TEN_FEET_M, mostM);
  const shortM = beyondM > lengthOutM ? lengthOutM : Math.max(lengthOutM - TEN_FEET_M, 0);
  const [far = 0, near = 0] = depthWith(belief, speedMS, [Math.max(beyondM, lengthOutM), shortM], learned.values);
  const stepM = Math.max(beyondM, lengthOutM) - shortM;
  const perTenFeetM = stepM > 0 ? ((far - near) / stepM) * TEN_FEET_M : 0;
  const [faster = depthM] = depthWith(belief, speedMS + TENTH_KNOT_MS, [lengthOutM], learned.values);
  return {
    depth: depth ?? { value: depthM, plusMinus: NaN, mainlyFrom: null },
    setback: setbackFigure(belief, learned, speedMS, lengthOutM),
    perTenthKnotM: faster - depthM,
    perTenFeetM,
    reelInM: reelIn(belief, speedMS, learned, { lengthOutM, depthM }),
  };
}
