import { z } from 'zod';
import type { Known } from '../../core/provenance/source';
import {
  nextWeakest,
  rigStrength as strengthAlong,
  snagBreak,
  strengthPlusMinusN,
} from '../../core/strength/rigStrength';
import { defineKind } from '../kind';
import { forceN } from './strengthSummary';

const share = z.number().positive().max(1.2);

/** A stack of lines and joins in; its strength along the line and the weakest place out. */
export const rigStrength = defineKind({
  name: 'rig-strength',
  summary:
    'Strength along a rig from hook to arbor: every line and join by mean and by bound, the weakest place of each.',
  schema: z.strictObject({
    segments: z
      .array(
        z.strictObject({
          name: z.string().trim().min(1).max(80),
          lengthM: z.number().positive().max(5000),
          meanN: forceN.describe('mean strength of the plain line; of lead core the sheath alone'),
          sdN: z.number().min(0).max(20_000).default(0).describe('SD of that mean'),
          boundN: forceN.nullable().default(null).describe('what 95 of 100 pieces hold'),
          join: z
            .strictObject({
              name: z.string().trim().min(1).max(80),
              efficiency: share.describe('share of the weaker line that it keeps'),
              efficiencySd: z.number().min(0).max(1).default(0),
              boundShare: share.nullable().default(null).describe('share that 95 of 100 such joins keep'),
            })
            .nullable()
            .default(null)
            .describe('the join at its inner end, nearer to the arbor'),
        }),
      )
      .min(1, 'a rig needs at least one line')
      .max(40)
      .describe('in order from the arbor'),
    meant: z.string().nullable().default(null).describe('name of the line or join meant to break; the outermost line'),
  }),
  example: {
    segments: [
      { name: 'backing', lengthM: 200, meanN: 180, sdN: 3, boundN: 150 },
      {
        name: 'lead core',
        lengthM: 45,
        meanN: 97,
        sdN: 2,
        boundN: 80,
        join: { name: 'sheath over mono', efficiency: 0.8, efficiencySd: 0.03, boundShare: 0.7 },
      },
      { name: 'leader', lengthM: 4, meanN: 82, join: { name: 'small swivel', efficiency: 0.85, efficiencySd: 0.05 } },
    ],
  },
  compute: ({ segments, meant }) => {
    const known = (value: number, sd: number): Known => ({ value, sd, source: 'measured' });
    const lines = segments.map(({ name, lengthM, meanN, sdN, boundN }, index) => ({
      segmentId: String(index),
      name,
      lengthM,
      strengthN: known(meanN, sdN),
      boundN,
    }));
    const joins = segments.flatMap(({ join }, index) =>
      join
        ? {
            joinId: `join ${index}`,
            name: join.name,
            innerSegmentId: index === 0 ? null : String(index - 1),
            outerSegmentId: String(index),
            efficiency: known(join.efficiency, join.efficiencySd),
            boundShare: join.boundShare,
          }
        : [],
    );
    const strength = strengthAlong(lines, joins);
    const meantId = meant === null ? null : (strength.places.find((place) => place.name === meant)?.id ?? '');
    const snag = snagBreak(strength, meantId);
    if (!snag) return { ok: false, fields: [{ path: 'meant', message: `no line or join is called ${meant}` }] };
    return {
      ok: true,
      value: {
        places: strength.places.map(({ kind, name, fromHookM, toHookM, strengthN, boundN }) => ({
          kind,
          name,
          fromHookM,
          toHookM,
          meanN: strengthN.value,
          plusMinusN: strengthPlusMinusN(strengthN),
          boundN,
        })),
        weakest: strength.weakest.name,
        weakestByBound: strength.weakestByBound?.name ?? null,
        mendedHoldsN: nextWeakest(strength)?.strengthN.value ?? null,
        breaksWhereMeant: snag.asMeant,
      },
    };
  },
});
