import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { covarianceAfter, sdOfBelief, type Belief, type Reading } from './belief';
import { LEAST_GAIN, NEARLY } from './enough';
import { keyOf, type Measurement } from './measurement';
import { PLUS_MINUS_SDS } from '../numerics/propagate';

/** A figure that somebody acts by, and what could be measured for it. */
export interface FigureToNarrow {
  /** Tells figures apart. */
  readonly id: string;
  readonly belief: Belief;
  /** A ± that is good enough: below it nobody can tell or do anything with less. */
  readonly enough: number;
  readonly measurements: readonly (Measurement & { readonly readings: readonly Reading[] })[];
}

/** What one measurement would do, for every figure that it bears on. */
export interface MeasureOption extends Measurement {
  readonly minutes: number;
  readonly narrows: readonly {
    readonly figureId: string;
    readonly plusMinus: number;
    readonly plusMinusAfter: number;
  }[];
  /** Fall of the ±, in shares of what each is now and summed over the figures, down to what is enough. */
  readonly gain: number;
  readonly gainPerMinute: number;
}

/** How often one and the same measurement is worth making in one go. */
const MOST_TIMES = 2;
/** Those that a second time tells more of: what scatters anew each time. */
const AGAIN: readonly Measurement['kind'][] = ['walk', 'turns'];

const plusMinusOf = (belief: Belief): number => PLUS_MINUS_SDS * sdOfBelief(belief);

const beliefAfter = (belief: Belief, readings: readonly Reading[]): Belief => ({
  ...belief,
  covariance: readings.reduce(covarianceAfter, belief.covariance),
});

/**
 * What to measure next: for each measurement what it would leave of every ±, best fall for each minute first. One measurement that
 * bears on several figures is one option.
 *
 * @param figures by what is known now
 * @param minutesOf how long a measurement takes, above 0
 * @returns those that narrow something, the best first
 */
export function measureNext(
  figures: readonly FigureToNarrow[],
  minutesOf: (measurement: Measurement) => number,
): readonly MeasureOption[] {
  const options = new Map<string, { measurement: Measurement; narrows: MeasureOption['narrows']; gain: number }>();
  for (const { id, belief, enough, measurements } of figures) {
    const plusMinus = plusMinusOf(belief);
    for (const { readings, ...measurement } of measurements) {
      const plusMinusAfter = plusMinusOf(beliefAfter(belief, readings));
      const fall = (plusMinus - plusMinusAfter) / plusMinus;
      if (!(fall >= LEAST_GAIN)) continue;
      const key = keyOf(measurement);
      const before = options.get(key);
      const gain = Math.max(0, (plusMinus - Math.max(plusMinusAfter, enough)) / plusMinus);
      options.set(key, {
        measurement: before?.measurement ?? measurement,
        narrows: [...(before?.narrows ?? []), { figureId: id, plusMinus, plusMinusAfter }],
        gain: (before?.gain ?? 0) + gain,
      });
    }
  }
  return [...options.values()]
    .map(({ measurement, narrows, gain }): MeasureOption => {
      const minutes = minutesOf(measurement);
      return { ...measurement, minutes, narrows, gain, gainPerMinute: gain / minutes };
    })
    .toSorted((a, b) => b.gainPerMinute - a.gainPerMinute || a.minutes - b.minutes);
}

/** Measurements that fit a time, in the order to make them, and what they leave together. */
export interface MeasureSet {
  readonly steps: readonly MeasureOption[];
  readonly minutes: number;
  /** ± of each figure now and after all of them. */
  readonly figures: readonly {
    readonly figureId: string;
    readonly plusMinus: number;
    readonly plusMinusAfter: number;
  }[];
}

/**
 * A set of measurements that fits a time: each is the best for its minutes *after* those before it, so that two that tell the same are
 * not both taken. Where one long measurement alone would do more than the set, it is that one.
 *
 * @param minutes that there are
 */
export function measureSet(
  figures: readonly FigureToNarrow[],
  minutesOf: (measurement: Measurement) => number,
  minutes: number,
): MeasureSet {
  const taken = takenFor(figures, minutesOf, minutes, null);
  const [longest] = measureNext(figures, minutesOf)
    .filter((option) => option.minutes <= minutes && option.gain >= LEAST_GAIN)
    .toSorted((a, b) => b.gain - a.gain);
  if (!longest) return taken;
  const other = takenFor(figures, minutesOf, minutes, longest);
  return leftOpen(other, figures) < leftOpen(taken, figures) - 1e-9 ? other : taken;
}

/** How many kinds of measurement are weighed against each other: those that tell most alone. */
const MOST_WEIGHED = 10;

/** By how much readings leave a ± otherwise than they were weighed, as a share (SD; simulation: reels laid turn by turn). */
const WEIGHED_SHARE = 0.04;

/** A set of measurements, and what it costs with the chance that one more is needed after it. */
interface Way {
  readonly costMinutes: number;
  readonly steps: readonly MeasureOption[];
}

/**
 * The measurements that make one figure good enough in the least time, by what each would leave: every set of them is looked at, and one
 * that only just reaches it pays for the chance that it does not.
 *
 * @returns the largest gain first, since the others may then turn out not to be needed; empty where it is good enough now; null where
 *   nothing makes it so
 */
export function quickestTo(
  figure: FigureToNarrow,
  minutesOf: (measurement: Measurement) => number,
): readonly MeasureOption[] | null {
  const shortBy = (belief: Belief): number => Math.log(plusMinusOf(belief) / (NEARLY * figure.enough));
  if (shortBy(figure.belief) <= 0) return [];
  const weighed = measureNext([figure], minutesOf).slice(0, MOST_WEIGHED);
  const all = weighed
    .flatMap((option) => (AGAIN.includes(option.kind) ? [option, option] : [option]))
    .toSorted((a, b) => a.minutes - b.minutes);
  const onceMoreMinutes = Math.max(...weighed.map(({ minutes }) => minutes));
  const ways: Way[] = [];
  let least = Infinity;
  const look = (from: number, belief: Belief, minutes: number, steps: readonly MeasureOption[]): void => {
    if (minutes >= least) return;
    const short = shortBy(belief);
    if (steps.length > 0 && short <= 0) {
      const costMinutes = minutes + onceMoreMinutes * normalCdf(short / WEIGHED_SHARE, 0, 1);
      if (costMinutes < least) {
        least = costMinutes;
        ways.push({ costMinutes, steps });
      }
    }
    for (let index = from; index < all.length; index += 1) {
      const option = all[index];
      // Of two alike the second is taken only after the first.
      if (!option || (all[index - 1] === option && index > from)) continue;
      const made = figure.measurements.find((each) => keyOf(each) === keyOf(option));
      if (made) look(index + 1, beliefAfter(belief, made.readings), minutes + option.minutes, [...steps, option]);
    }
  };
  look(0, figure.belief, 0, []);
  const best = ways.at(-1);
  return best ? best.steps.toSorted((a, b) => b.gain - a.gain) : null;
}

/** What a set leaves open of all figures, in shares of what each is now. */
function leftOpen(set: MeasureSet, figures: readonly FigureToNarrow[]): number {
  return set.figures.reduce((sum, { plusMinus, plusMinusAfter }, index) => {
    return sum + Math.max(plusMinusAfter, figures[index]?.enough ?? 0) / plusMinus;
  }, 0);
}

function takenFor(
  figures: readonly FigureToNarrow[],
  minutesOf: (measurement: Measurement) => number,
  minutes: number,
  first: MeasureOption | null,
): MeasureSet {
  let open = figures;
  let left = minutes;
  const steps: MeasureOption[] = [];
  const times = new Map<string, number>();
  for (;;) {
    const options = measureNext(open, minutesOf).filter(
      (option) => option.minutes <= left && option.gain >= LEAST_GAIN,
    );
    const [best] = steps.length === 0 && first ? [first] : options;
    if (!best) break;
    const key = keyOf(best);
    const made = (times.get(key) ?? 0) + 1;
    times.set(key, made);
    steps.push(best);
    left -= best.minutes;
    open = open.map((figure) => withMade(figure, key, AGAIN.includes(best.kind) && made < MOST_TIMES));
  }
  return {
    steps,
    minutes: minutes - left,
    figures: figures.map(({ id, belief }, index) => ({
      figureId: id,
      plusMinus: plusMinusOf(belief),
      plusMinusAfter: plusMinusOf(open[index]?.belief ?? belief),
    })),
  };
}

/** A figure as it is known once a measurement has been made. */
function withMade(figure: FigureToNarrow, key: string, again: boolean): FigureToNarrow {
  const made = figure.measurements.find((each) => keyOf(each) === key);
  if (!made) return figure;
  return {
    ...figure,
    belief: beliefAfter(figure.belief, made.readings),
    measurements: again ? figure.measurements : figure.measurements.filter((each) => each !== made),
  };
}
