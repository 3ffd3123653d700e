import { z } from 'zod';
import { leverCurve } from '../../core/drag/leverCurve';
import { leverAdvice } from '../../core/drag/planer/planerAdvice';
import {
  leverBracket,
  LEVER_PRIOR,
  planerBracket as bracketOf,
  pullAtSpeed,
  type PlanerBracket,
  type Range90,
} from '../../core/drag/planer/planerBracket';
import type { PlanerConflict } from '../../core/drag/planer/planerConflicts';
import {
  CREEPS,
  HAND_PULLS,
  PLANER_SPEED_MS,
  TOWING_WATERS,
  type CreepObservation,
  type HandLook,
  type LeverLook,
} from '../../core/drag/planer/planerLooks';
import { unheardAbove, type StrikeLook } from '../../core/drag/planer/strikesHeard';
import { defineKind, inSi } from '../kind';
import { STRIKES } from '../../core/record/drag';

const speedMS = z.number().min(0.2, 'a speed through the water in m/s').max(15);

const observation = z
  .strictObject({
    speedMS,
    leverPercent: z
      .number()
      .positive('the lever stands above 0 % of its sweep')
      .max(100, 'the lever goes to 100 %')
      .nullable()
      .default(null)
      .describe('where the lever stood; no newtons are needed'),
    holdsN: z
      .number({ error: 'what the drag holds, in newtons' })
      .positive()
      .max(5000)
      .nullable()
      .default(null)
      .describe('or what the drag holds at the tip'),
    water: z.enum(TOWING_WATERS).default('ordinary'),
    creep: z.enum(CREEPS).nullable().default(null),
    isSet: z
      .boolean()
      .default(false)
      .describe('true where the planer was known to be set; else its creep counts for nothing'),
    outing: z
      .string()
      .max(60)
      .nullable()
      .default(null)
      .describe('the trip it was on; left out: eight in a row are one'),
    handPull: z.enum(HAND_PULLS).nullable().default(null).describe('how line came off by hand before it went in'),
    strike: z.enum(STRIKES).nullable().default(null).describe('a strike on the bait, heard or found later'),
  })
  .superRefine(({ leverPercent, holdsN, creep, handPull, strike }, context) => {
    const issue = (path: string, message: string): void => context.addIssue({ code: 'custom', path: [path], message });
    if ((leverPercent === null) === (holdsN === null))
      issue('leverPercent', 'give leverPercent or holdsN, one of them');
    if (creep === null && handPull === null && strike === null)
      issue('creep', 'say what was seen: creep, handPull or strike');
    if (leverPercent === null && (handPull !== null || strike !== null))
      issue('leverPercent', 'a hand pull or a strike is told by the place of the lever');
  });
type Observation = z.output<typeof observation>;

/** Looks at a towed planer in; the range of its pull and of the lever's place that stops its creep out. */
export const planerBracket = defineKind({
  name: 'planer-bracket',
  summary:
    'A planer bracketed from creep seen and not seen, by the lever’s place alone or in newtons; one that was not set counts for nothing.',
  schema: z
    .strictObject({
      observations: z.array(observation).min(1, 'at least one observation is needed').max(1000),
      earlier: z
        .array(observation)
        .max(1000)
        .default([])
        .describe('looks with another preset or planer size before: what they tell is carried over, widened'),
      leverPoints: z
        .array(z.strictObject({ position: z.number().min(0).max(1), forceN: z.number().min(0).max(5000) }))
        .max(500)
        .default([])
        .describe('pulls with the lever at its places at this preset: they turn lever looks into newtons'),
      speedsMS: z.array(speedMS).max(50).default([]).describe('speeds at which pull and lever are wanted'),
    })
    .superRefine(({ earlier }, context) => {
      earlier.forEach(({ leverPercent }, index) => {
        if (leverPercent === null)
          context.addIssue({
            code: 'custom',
            path: ['earlier', index, 'leverPercent'],
            message: 'only the place of the lever is carried over',
          });
      });
    }),
  example: {
    observations: [
      { speedMS: 3.1, leverPercent: 35, creep: 'much', isSet: true, handPull: 'freely' },
      { speedMS: 3, leverPercent: 60, creep: 'none', isSet: true },
      { speedMS: 3.1, leverPercent: 48, creep: 'some', isSet: true },
      { speedMS: 3.1, leverPercent: 70, strike: 'missed' },
    ],
    speedsMS: [2.6, 3.1],
  },
  compute: ({ observations, earlier, leverPoints, speedsMS }) => {
    const curve = leverPoints.length > 0 ? leverCurve(leverPoints.map((each) => ({ ...each, presetTurns: 0 }))) : null;
    if (curve && !curve.ok)
      return { ok: false, fields: [{ path: 'leverPoints', message: `${curve.reason}: ${inSi(curve)}` }] };
    const looks = leverLooks(observations);
    const hands = handLooks(observations);
    const newtons = newtonLooks(observations, (position) => curve?.value.forceAt(position) ?? null);
    const strikes = strikeLooks(observations);
    const isByLever = looks.of.some(({ isSet }) => isSet) || hands.length > 0;
    const outcome = bracketOf(newtons.of);
    if (!outcome.ok && !isByLever && strikes.length === 0)
      return { ok: false, fields: [{ path: 'observations', message: inSi(outcome) }] };
    const pull = outcome.ok ? outcome.value : null;
    const before = earlier.length > 0 ? leverBracket(leverLooks(earlier).of, handLooks(earlier)).carried : LEVER_PRIOR;
    const lever = isByLever ? leverBracket(looks.of, hands, before) : null;
    const percent = (share: number): number => 100 * share;
    return {
      ok: true,
      value: {
        speedMS: PLANER_SPEED_MS,
        lowN: pull?.lowN ?? null,
        midN: pull?.midN ?? null,
        highN: pull?.highN ?? null,
        lowPercent: lever && percent(lever.stops.low),
        midPercent: lever && percent(lever.stops.mid),
        highPercent: lever && percent(lever.stops.high),
        slope: lever?.slope ?? null,
        hardSea: lever?.hardSea ?? null,
        counted: lever?.counted ?? pull?.counted ?? 0,
        conflicts: named(lever ? lever.conflicts : (pull?.conflicts ?? []), lever ? looks.origins : newtons.origins),
        unheardAbovePercent: rangeIn(unheardAbove(strikes), percent),
        atSpeeds: speedsMS.map((at) => ({
          speedMS: at,
          ...pullsAt(pull, at),
          lever: lever
            ? leverAdvice(lever, at).marks.map(({ water, stops, position }) => ({
                water,
                lowPercent: percent(stops.low),
                midPercent: percent(stops.mid),
                highPercent: percent(stops.high),
                setPercent: position === null ? null : percent(position),
              }))
            : null,
        })),
      },
    };
  },
});

/** Looks with their places among the observations. */
interface Placed<T> {
  readonly of: readonly T[];
  readonly origins: readonly number[];
}

function placed<T>(observations: readonly Observation[], of: (each: Observation) => T | null): Placed<T> {
  const found = observations.map(of);
  return {
    of: found.filter((each) => each !== null),
    origins: found.flatMap((each, index) => (each === null ? [] : [index])),
  };
}

const leverLooks = (observations: readonly Observation[]): Placed<LeverLook> =>
  placed(observations, ({ leverPercent, creep, ...look }) =>
    leverPercent === null || creep === null ? null : { ...look, creep, position: leverPercent / 100 },
  );

const newtonLooks = (
  observations: readonly Observation[],
  forceAt: (position: number) => number | null,
): Placed<CreepObservation> =>
  placed(observations, ({ leverPercent, holdsN, creep, ...look }) => {
    const heldN = holdsN ?? (leverPercent === null ? null : forceAt(leverPercent / 100));
    return creep === null || heldN === null || heldN <= 0 ? null : { ...look, creep, holdsN: heldN };
  });

const handLooks = (observations: readonly Observation[]): readonly HandLook[] =>
  placed(observations, ({ leverPercent, handPull }) =>
    leverPercent === null || handPull === null ? null : { position: leverPercent / 100, pull: handPull },
  ).of;

const strikeLooks = (observations: readonly Observation[]): readonly StrikeLook[] =>
  placed(observations, ({ leverPercent, strike }) =>
    leverPercent === null || strike === null ? null : { position: leverPercent / 100, isHeard: strike === 'heard' },
  ).of;

/** Looks that do not fit, by their number among the observations from 1. */
const named = (conflicts: readonly PlanerConflict[], origins: readonly number[]) =>
  conflicts.map(({ look, chance, worst }) => ({ what: `look ${(origins[look] ?? look) + 1}`, chance, worst }));

const rangeIn = (range: Range90 | null, show: (value: number) => number) =>
  range && { low: show(range.low), mid: show(range.mid), high: show(range.high) };

const pullsAt = (pull: PlanerBracket | null, speedMS: number) => ({
  lowN: pull && pullAtSpeed(pull.lowN, speedMS),
  midN: pull && pullAtSpeed(pull.midN, speedMS),
  highN: pull && pullAtSpeed(pull.highN, speedMS),
});
