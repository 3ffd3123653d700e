import { linearFit } from '../numerics/linearFit';
import { median } from '../numerics/median';
import { studentQuantile } from '../numerics/studentQuantile';

/** One drill of a knot's cadence. */
export interface DrillDone {
  readonly strokes: number;
  readonly mistakes: number;
  readonly seconds: number;
  readonly at: string;
}

/** How a figure changes from day to day, with its 95 % interval. */
export interface Trend {
  readonly perDay: number;
  readonly plusMinus: number;
}

export interface DrillTrend {
  readonly days: number;
  /** Change of the seconds a stroke as a share a day; null below three days. */
  readonly pace: Trend | null;
  /** Change of mistakes in a hundred strokes a day; null below three days. */
  readonly mistakes: Trend | null;
}

const DAY_MS = 86_400_000;
/** Days from which a trend is told from chance at all. */
const DAYS_FOR_A_TREND = 3;

/**
 * How a hand's pace and its mistakes change over the days on which it drilled: each day counts once, by the median of its drills.
 *
 * @param drills of one school and one person, in any order
 */
export function drillTrend(drills: readonly DrillDone[]): DrillTrend {
  const byDay = new Map<number, DrillDone[]>();
  for (const drill of drills) {
    const day = Math.floor(Date.parse(drill.at) / DAY_MS);
    byDay.set(day, [...(byDay.get(day) ?? []), drill]);
  }
  const days = [...byDay].toSorted(([a], [b]) => a - b);
  const first = days[0]?.[0] ?? 0;
  const at = days.map(([day]) => day - first);
  const of = (figure: (drill: DrillDone) => number) => days.map(([, done]) => median(done.map(figure)));
  const trend = (values: readonly number[]): Trend | null => {
    if (days.length < DAYS_FOR_A_TREND) return null;
    const { slope, slopeSd } = linearFit(at, values);
    return { perDay: slope, plusMinus: studentQuantile(0.975, days.length - 2) * slopeSd };
  };
  return {
    days: days.length,
    pace: trend(of(({ seconds, strokes }) => Math.log(seconds / strokes))),
    mistakes: trend(of(({ mistakes, strokes }) => (100 * mistakes) / strokes)),
  };
}

/** Seconds a move that nobody has drilled yet (a guess), and the bounds of what a count can be followed at. */
const PACE = { first: 2.5, least: 0.6, most: 8 } as const;
/** A clean drill makes the next one so much quicker, one with mistakes so much slower. */
const STEP = { quicker: 0.9, slower: 1.1 } as const;

/**
 * The pace to count at next: raised only when the last drill was clean.
 *
 * @param drills oldest first
 * @returns seconds a move, and why
 */
export function nextPace(drills: readonly DrillDone[]): {
  readonly seconds: number;
  readonly because: 'no-drill' | 'clean' | 'mistakes';
} {
  const last = drills.at(-1);
  if (!last) return { seconds: PACE.first, because: 'no-drill' };
  const isClean = last.mistakes === 0;
  const seconds = (last.seconds / last.strokes) * (isClean ? STEP.quicker : STEP.slower);
  return { seconds: Math.min(Math.max(seconds, PACE.least), PACE.most), because: isClean ? 'clean' : 'mistakes' };
}
