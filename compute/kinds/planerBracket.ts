import { z } from 'zod';
import { CREEPS, planerBracket as bracketOf, pullAtSpeed, TOWING_WATERS } from '../../core/drag/planerBracket';
import { defineKind, inSi } from '../kind';

/** Looks at a towed planer in; the range of its pull out. */
export const planerBracket = defineKind({
  name: 'planer-bracket',
  summary: 'The pull of a planer, bracketed from creep seen and not seen; one that was not set counts for nothing.',
  schema: z.strictObject({
    observations: z
      .array(
        z.strictObject({
          speedMS: z.number().min(0.2, 'a speed through the water in m/s').max(15),
          holdsN: z.number({ error: 'what the drag holds, in newtons' }).positive().max(5000),
          water: z.enum(TOWING_WATERS).default('ordinary'),
          creep: z.enum(CREEPS),
          isSet: z.boolean().describe('true where the planer was known to be set'),
        }),
      )
      .min(1, 'at least one observation is needed')
      .max(1000),
    speedsMS: z.array(z.number().min(0.2).max(15)).max(50).default([]).describe('speeds at which the pull is wanted'),
  }),
  example: {
    observations: [
      { speedMS: 3.1, holdsN: 90, creep: 'much', isSet: true },
      { speedMS: 3, holdsN: 170, creep: 'none', isSet: true },
      { speedMS: 3.1, holdsN: 130, creep: 'some', isSet: true },
    ],
    speedsMS: [2.6, 3.1],
  },
  compute: ({ observations, speedsMS }) => {
    const outcome = bracketOf(observations);
    if (!outcome.ok) return { ok: false, fields: [{ path: 'observations', message: inSi(outcome) }] };
    const bracket = outcome.value;
    return {
      ok: true,
      value: {
        ...bracket,
        atSpeeds: speedsMS.map((speedMS) => ({
          speedMS,
          lowN: pullAtSpeed(bracket.lowN, speedMS),
          midN: pullAtSpeed(bracket.midN, speedMS),
          highN: pullAtSpeed(bracket.highN, speedMS),
        })),
      },
    };
  },
});
