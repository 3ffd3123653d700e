import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS } from '../numerics/propagate';

/** Figures that people act by. */
export type FigureKind = 'length' | 'level' | 'counter' | 'strength' | 'target' | 'straight' | 'lever' | 'depth';

/** Why a ± is good enough: nobody can tell less, no hand can do better, or no decision turns on it. */
export type EnoughBecause = 'count' | 'hand' | 'decision';

export interface Enough {
  readonly plusMinus: number;
  readonly because: EnoughBecause;
}

/** A ± that would fall by less is no reason to measure. */
export const LEAST_GAIN = 0.05;
/** Nobody measures once more for a ± that is so nearly good enough. */
export const NEARLY = 1 + LEAST_GAIN;

/** What a level is read and wound to by hand (m). */
const LEVEL_BY_HAND_M = PLUS_MINUS_SDS * ERRORS.levelM.sd;

/**
 * What a hand's level comes to in line: a metre of line raises the level by its area over circumference and width.
 *
 * @param areaM2 space that a metre of it takes on the spool (m²)
 */
export function lengthByHandM(
  spool: { readonly fullDiameterM: number; readonly widthM: number },
  areaM2: number,
): number {
  return (LEVEL_BY_HAND_M * Math.PI * spool.fullDiameterM * spool.widthM) / areaM2;
}

/** A counter is called true to within 1 %, and a length is right to within as much (common practice). */
const TRUE_SHARE = 0.01;
/** A share of a strength is chosen between a fifth and a third: a tenth of it changes no choice (common practice). */
const STRENGTH_SHARE = 0.1;
/** How well a hand puts a lever back to a place, as a share of its sweep (from memory). */
const LEVER_BY_HAND = 0.03;

/** A bait is where it is meant to be within so much of its depth, and within so much at the least (m; from memory). */
const DEPTH = { share: 0.05, m: 0.6 } as const;

/**
 * The ± below which measuring more is not worth it.
 *
 * @param value of the figure, in its unit: metres, counts, newtons, or a share of the sweep
 * @param byHand what a hand does in that unit, where it does less well than the decision asks: metres of line to the hand's level
 */
export function enoughOf(kind: FigureKind, value: number, byHand = 0): Enough {
  const share = TRUE_SHARE * Math.abs(value);
  switch (kind) {
    case 'counter':
      return share > 1 ? { plusMinus: share, because: 'decision' } : { plusMinus: 1, because: 'count' };
    case 'length':
      return byHand > share ? { plusMinus: byHand, because: 'hand' } : { plusMinus: share, because: 'decision' };
    case 'level':
      return { plusMinus: LEVEL_BY_HAND_M, because: 'hand' };
    case 'strength':
      return { plusMinus: STRENGTH_SHARE * value, because: 'decision' };
    case 'target':
    case 'straight':
      return { plusMinus: PLUS_MINUS_SDS * ERRORS.pullShare.sd * value, because: 'hand' };
    case 'lever':
      return { plusMinus: LEVER_BY_HAND, because: 'hand' };
    case 'depth':
      return { plusMinus: Math.max(DEPTH.m, DEPTH.share * value), because: 'decision' };
  }
}

/** Shares of a figure beyond which its ± makes it useless: the measurement stands before it (common practice, no source). */
const USELESS_SHARE: Readonly<Record<FigureKind, number>> = {
  length: 0.3,
  level: Infinity,
  counter: 0.15,
  strength: 0.5,
  target: 0.5,
  straight: 0.5,
  lever: 0.5,
  depth: 0.5,
};

/** A level that may lie this much deeper or higher says nothing of a fill (m). */
const USELESS_LEVEL_M = 0.004;

/**
 * True where a figure's ± makes it useless, so that what would narrow it is to be shown first. What no hand does better is not useless.
 *
 * @param byHand as of {@link enoughOf}
 */
export function isUseless(kind: FigureKind, value: number, plusMinus: number, byHand = 0): boolean {
  if (kind === 'level') return plusMinus > USELESS_LEVEL_M;
  return (
    plusMinus > USELESS_SHARE[kind] * Math.abs(value) && plusMinus > NEARLY * enoughOf(kind, value, byHand).plusMinus
  );
}
