import { STICKY_RATIO } from './readPull';
import { median } from '../numerics/median';

/** How near the median must be to the target, and the pulls to each other, as a share of the target. */
export const DRAG_TOLERANCE = 0.05;

/** Pulls that must agree before a setting is believed. */
export const PULLS_THAT_MUST_AGREE = 3;

/** A moving pull, and the jerk that started it where that was read (N). */
export interface ScalePull {
  readonly movingN: number;
  readonly breakawayN: number | null;
}

export interface ScaleSession {
  /** Median of the last pulls that are judged, at most three (N). */
  readonly medianN: number;
  /** Largest less smallest of them (N). */
  readonly spreadN: number;
  /** Jerk ÷ moving pull, the median of those that were read; null where none was. */
  readonly breakawayRatio: number | null;
  readonly sticky: boolean;
  /** Target less median: positive means tighten (N). */
  readonly toGoN: number;
  readonly verdict: 'tighten' | 'ease' | 'pull-again' | 'scattered' | 'set';
}

/**
 * Judges the pulls at the present setting against the target. Warm-up pulls are not passed in.
 *
 * @param pulls moving pulls through the bent rod since the drag was last turned, oldest first
 * @param targetN pull wanted at the tip (N)
 * @returns the judgement, or null before the first pull
 */
export function judgeScaleSession(pulls: readonly ScalePull[], targetN: number): ScaleSession | null {
  const last = pulls.slice(-PULLS_THAT_MUST_AGREE);
  if (last.length === 0) return null;
  const moving = last.map((pull) => pull.movingN);
  const medianN = median(moving);
  const spreadN = Math.max(...moving) - Math.min(...moving);
  const toGoN = targetN - medianN;
  const ratios = last.flatMap(({ breakawayN, movingN }) => (breakawayN === null ? [] : [breakawayN / movingN]));
  const breakawayRatio = ratios.length > 0 ? median(ratios) : null;
  const sticky = breakawayRatio !== null && breakawayRatio > STICKY_RATIO;
  const base = { medianN, spreadN, breakawayRatio, sticky, toGoN };
  if (Math.abs(toGoN) > DRAG_TOLERANCE * targetN) return { ...base, verdict: toGoN > 0 ? 'tighten' : 'ease' };
  if (last.length < PULLS_THAT_MUST_AGREE) return { ...base, verdict: 'pull-again' };
  return { ...base, verdict: spreadN > 2 * DRAG_TOLERANCE * targetN ? 'scattered' : 'set' };
}
