import { z } from 'zod';
import { MARK_KINDS, SIDES, SPEED_BY, TURNS } from '../../core/record/tow';
import { LURE_KINDS } from '../../core/tow/lures';
import { WATER_TEMPERATURE_C, WATERS } from '../../core/tow/medium';
import { idSchema, instrumentSchema, readingSchema, text, within } from '../inputs';
import { LIMITS } from '../limits';

const depthM = within(LIMITS.depthM, 'The depth');

/** How a rig is towed. */
export const towedInput = z.strictObject({
  speedMS: within(LIMITS.towSpeedMS, 'The speed'),
  speedBy: z.enum(SPEED_BY),
  currentMS: within({ min: -5, max: 5 }, 'The current').nullable(),
  water: z.enum(WATERS),
  temperatureC: within(
    { min: WATER_TEMPERATURE_C.least, max: WATER_TEMPERATURE_C.most },
    'The temperature of the water',
  ).nullable(),
  tipHeightM: within(LIMITS.tipHeightM, 'The height of the tip'),
  lure: z.enum(LURE_KINDS),
  lurePullN: within(LIMITS.forceN, 'The pull of the lure').nullable(),
  bottomM: depthM.nullable(),
  rule: z
    .strictObject({
      perColourM: within({ min: 0.1, max: 20 }, 'The depth of a colour'),
      otherwiseM: within({ min: -50, max: 50 }, 'What leader and bait do to it'),
    })
    .nullable(),
});

/** What the lure pulls by a scale, and of which lure at which speed that was read. */
export const lurePullInput = towedInput.pick({ lure: true, speedMS: true }).extend({
  lurePullN: within(LIMITS.forceN, 'The pull of the lure'),
});

/** A touch of bottom, a mark on the sonar, a strike. */
export const waterMarkInput = z
  .strictObject({
    loadId: idSchema,
    kind: z.enum(MARK_KINDS),
    reading: readingSchema.nullable(),
    laps: z.int().min(0).max(50).nullable(),
    lengthOutM: within(LIMITS.lengthOutM, 'The length out').nullable(),
    depthM: depthM.nullable(),
    speedMS: within(LIMITS.towSpeedMS, 'The speed'),
    lure: z.enum(LURE_KINDS),
    side: z.enum(SIDES).nullable(),
    turn: z.enum(TURNS),
    note: text(200).default(''),
    instrument: instrumentSchema,
  })
  .superRefine(({ reading, lengthOutM, kind, depthM: depth }, context) => {
    const issue = (path: string, message: string): void => context.addIssue({ code: 'custom', path: [path], message });
    if ((reading === null) === (lengthOutM === null))
      issue('reading', 'Say what the counter showed, or how much line was out.');
    if (kind !== 'strike' && depth === null) issue('depthM', 'Say how deep it was there.');
  });

export type LurePullInput = z.output<typeof lurePullInput>;
export type TowedInput = z.output<typeof towedInput>;
export type WaterMarkInput = z.output<typeof waterMarkInput>;
