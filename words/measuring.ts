import { fromSi } from '../core/units/units';
import type { EnoughBecause, FigureKind } from '../core/worth/enough';
import { PULLS, TURNS, type Measurement, type MeasurementKind } from '../core/worth/measurement';
import { formatNumber, type Formatter } from './format';

/** What measurements are called, where no one thing is meant. */
export const MEASUREMENT_NAMES: Readonly<Record<MeasurementKind, string>> = {
  wraps: 'a row of wraps',
  'line-caliper': 'a caliper on a line',
  rim: 'a caliper across the rim',
  arbor: 'a caliper across the arbor',
  width: 'a caliper between the flanges',
  level: 'a level',
  turns: `${TURNS} turns of the spool`,
  walk: 'a walk along the tape',
  colours: 'colours at the tip',
  spool: 'a measured spool, and its level',
  'line-pulls': `${PULLS} pulls of a line`,
  'join-pulls': `${PULLS} pulls of a join`,
  'straight-pull': `${PULLS} pulls straight off the reel`,
  'lever-pull': 'a pull with the lever at its place',
  'water-mark': 'a depth that is seen',
  'lure-pull': 'the lure on a scale',
  'ten-metres': 'ten metres of a line on a scale',
};

/** One measurement, verb first. */
export function measurementWords(
  { kind, name, atM }: Pick<Measurement, 'kind' | 'name' | 'atM'>,
  format: Formatter,
): string {
  switch (kind) {
    case 'wraps':
      return `lay a row of wraps of ${name}`;
    case 'line-caliper':
      return `put a caliper on ${name}`;
    case 'rim':
      return `measure the rim of ${name}`;
    case 'arbor':
      return `measure the arbor of ${name}`;
    case 'width':
      return `measure between the flanges of ${name}`;
    case 'level':
      return `read the level on ${name}`;
    case 'turns':
      return `count ${TURNS} spool turns on ${name}`;
    case 'walk':
      return `walk ${atM === null ? 'the tape' : format.length(atM)} with ${name}`;
    case 'colours':
      return `read ${name} as the colours leave the tip`;
    case 'spool':
      return `wind ${atM === null ? 'a measured spool' : format.length(atM)} of ${name} on alone, read the level`;
    case 'line-pulls':
      return `pull ${name} to the break ${PULLS} times`;
    case 'join-pulls':
      return `pull ${name} to the break ${PULLS} times`;
    case 'straight-pull':
      return `pull straight off the reel of ${name}`;
    case 'lever-pull':
      return `pull once more with the lever at that place`;
    case 'water-mark':
      return `touch bottom, or take a mark, with ${atM === null ? 'your usual line' : format.length(atM)} out on ${name}`;
    case 'lure-pull':
      return `tow the lure of ${name} on a scale`;
    case 'ten-metres':
      return `weigh ten metres of ${name}`;
  }
}

/** How to do it well: which points, how many, what to avoid. */
export function howToMeasure(kind: MeasurementKind, wraps: number): readonly string[] {
  switch (kind) {
    case 'wraps':
      return [
        `Lay ${wraps} wraps side by side on a smooth rod or pen, each touching the last, none over another.`,
        'Push them together with a nail, not with a tool: squeezed line is thin line.',
        'Measure over the whole row, from the outside of the first wrap to the outside of the last.',
        'Count again before you type it: one wrap too few is 5 % of thickness and 10 % of what the spool takes.',
      ];
    case 'line-caliper':
      return [
        'Close the jaws until they just touch; line that can be pulled through drags a little, no more.',
        'Read it at five places an arm’s length apart, turned a quarter each time.',
        'Take fresh line, not the end that has been knotted or wound hard.',
      ];
    case 'rim':
      return [
        'Across the outer edge of the flanges where the line is to end, through the middle of the spool.',
        'At three places round the spool; type the middle one.',
      ];
    case 'arbor':
      return [
        'Spool empty, tape and stickers off. Across the bare arbor where line will lie.',
        'Where the arbor is waisted, at the place most of the line lies on.',
      ];
    case 'width':
      return [
        'From flange to flange at half depth, inside: at the rim flanges often lean outwards.',
        'At three places round the spool; type the middle one.',
      ];
    case 'level':
      return [
        'Line wound firm and even, its end clipped.',
        'A straight edge across both flanges, then the depth down to the line: in the middle and near each flange.',
        'Type the mean of the three: a caliper’s jaw rests on crests, and a crowned lay is higher in the middle.',
      ];
    case 'turns':
      return [
        `Turn the spool, not the handle, ${TURNS} times; mark a flange with a pen so that no turn is lost.`,
        'Begin and end at a flip of the last digit: between two flips no part of a count is lost.',
        'Ten turns are too few: 6 % off.',
      ];
    case 'walk':
      return [
        'Tape staked and straight on the ground, the line’s end clipped at its zero with as much below the tip as on the water.',
        'Zero the counter there, free spool, walk, and read where the same point of the tip stands at the mark.',
        'Most slips are at zero: look at it before the first step. A second walk along the same tape shares the tape’s own error.',
      ];
    case 'colours':
      return [
        'Zero the counter with the line’s end at the tip, let out slowly, and stop as each colour has just left.',
        'Read what you can see from one place: a colour is seen to about a hand’s width.',
      ];
    case 'spool':
      return [
        'Wind one whole spool of known length on, with the tension that you will use for the load.',
        'Read the level at three places, and type both. Then it comes off again, or stays as the beginning of the load.',
      ];
    case 'line-pulls':
    case 'join-pulls':
      return [
        'Soaked, as it is fished, half a metre between the grips; write down first what you expect.',
        'Pull steadily, ten seconds or so to the break, and read the peak.',
        'A break at a grip says only that it holds at least so much: pad the grip and pull another.',
      ];
    case 'straight-pull':
      return [
        `At one setting: ${PULLS} pulls through the bent rod, then ${PULLS} with the rod pointed at the scale.`,
        'Read the moving pull, not the jerk that starts it.',
      ];
    case 'lever-pull':
      return [
        'Lever back to free, then forward to the very place again: the place is part of what is measured.',
        'Through the bent rod, as with a fish; read the moving pull.',
      ];
    case 'water-mark':
      return [
        'Straight on at a steady speed for a minute before you read.',
        'Let out slowly until the lure ticks the bottom, or shows on the sounder. Read counter and depth at once.',
        'Then come back the other way and do it again: a current shows as two answers.',
      ];
    case 'lure-pull':
      return [
        'Tie it to a few metres of thin line on the scale. Hold the scale low, near the water.',
        'Go as fast as you fish. Watch the scale for half a minute and take the middle, not the jerks.',
      ];
    case 'ten-metres':
      return [
        'Measure ten metres along the tape, dry. Coil them into a cup.',
        'Use a scale that shows a tenth of a gram. Set it to zero with the cup on it.',
      ];
  }
}

const BREAKS =
  'Eyes covered, nobody in line with the pull: broken line snaps back. Braid cuts: gloves or a bar, never a wrap round the hand.';
const PULLS_AT_THE_ROD = 'Rod held fast by somebody or in a holder; the reel maker’s drag limit goes first.';

/** Cautions that stand at a measurement. */
export const MEASURING_CAUTIONS: Readonly<Partial<Record<MeasurementKind, string>>> = {
  'line-pulls': BREAKS,
  'join-pulls': BREAKS,
  'straight-pull': PULLS_AT_THE_ROD,
  'lever-pull': PULLS_AT_THE_ROD,
  'water-mark': 'Somebody else steers and looks out. Bottom can hold a hook: be ready to give line.',
  'lure-pull': 'Somebody else steers. Hand on the scale, never round the line, and clear of the hooks.',
};

const QUANTITY: Readonly<Record<FigureKind, 'length' | 'smallLength' | 'force' | 'counts' | 'share'>> = {
  length: 'length',
  level: 'smallLength',
  counter: 'counts',
  strength: 'force',
  target: 'force',
  straight: 'force',
  lever: 'share',
  depth: 'length',
};

/** A ± alone, in the unit of its figure. */
export function plusMinusWords(kind: FigureKind, plusMinus: number, { units }: Formatter): string {
  const quantity = QUANTITY[kind];
  const [value, unit] =
    quantity === 'counts'
      ? [plusMinus, plusMinus < 1.05 && plusMinus > 0.95 ? 'count' : 'counts']
      : quantity === 'share'
        ? [100 * plusMinus, '%']
        : [fromSi(quantity, plusMinus, units[quantity]), units[quantity]];
  return `± ${formatNumber(value, value >= 10 ? 0 : value >= 1 ? 1 : 2)} ${unit}`;
}

/** A figure by its name. */
export function figureWords(
  figure: { readonly kind: FigureKind; readonly of: string; readonly atM: number | null },
  format: Formatter,
): string {
  const { kind, of, atM } = figure;
  switch (kind) {
    case 'length':
      return `the length of ${of}`;
    case 'level':
      return 'the level';
    case 'counter':
      return `the counter at ${atM === null ? 'its working range' : format.length(atM)}`;
    case 'strength':
      return `what ${of} holds`;
    case 'target':
      return 'the drag to set';
    case 'straight':
      return 'the drag straight off the reel';
    case 'lever':
      return 'the lever’s place on its sweep';
    case 'depth':
      return `how deep it swims with ${atM === null ? 'your usual line' : format.length(atM)} out`;
  }
}

/** Why measuring more is not worth it. */
export const ENOUGH_WORDS: Readonly<Record<EnoughBecause, string>> = {
  count: 'less than one count cannot be read off',
  hand: 'no hand sets or reads it closer',
  decision: 'no decision turns on less',
};
