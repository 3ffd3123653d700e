import { z } from 'zod';
import { dragTarget as targetOf } from '../../core/drag/dragTarget';
import { estimatedGuideFactor } from '../../core/drag/guideFactor';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import { defineKind, inSi } from '../kind';

export const dragTarget = defineKind({
  name: 'drag-target',
  summary: 'Drag to aim at through the bent rod, and what that is straight off the reel.',
  schema: z.strictObject({
    strengthN: z.number().positive().max(20_000),
    strengthSdN: z.number().min(0).max(5_000).default(0),
    fraction: z.number().min(0.05, 'at least 0.05').max(0.4, 'at most 0.4'),
    weakestN: z.number().positive().max(20_000).nullable().default(null).describe('mean of the weakest place in reach'),
    weakestBoundN: z
      .number()
      .positive()
      .max(20_000)
      .nullable()
      .default(null)
      .describe('what 95 of 100 such places hold'),
    weakestPulls: z
      .int()
      .min(0)
      .max(10_000)
      .default(5)
      .describe('pulls behind that bound, or degrees of freedom lent and one'),
    growth: z
      .number()
      .min(1, 'a spool that empties pulls harder')
      .max(5)
      .default(1)
      .describe('at the end of the reach'),
    makerLimitN: z.number().positive().max(20_000).nullable().default(null),
    rodAngleRad: z.number().min(0).max(Math.PI).default(0).describe('bend of the line from reel to pull'),
  }),
  example: { strengthN: 118, strengthSdN: 3, fraction: 0.25, makerLimitN: 90, rodAngleRad: 1.05 },
  compute: (request) => {
    const strength = { value: request.strengthN, sd: request.strengthSdN, source: 'measured' } as const;
    const { weakestN, weakestBoundN, weakestPulls, growth } = request;
    // A bound alone says that its place holds no less in the mean.
    const meanN = weakestN ?? weakestBoundN;
    const weakest = meanN === null ? null : { meanN, boundN: weakestBoundN, isBoundSure: weakestPulls >= 5 };
    const outcome = targetOf(strength, request.fraction, request.makerLimitN, weakest, {
      inUse: growth,
      inReach: growth,
    });
    if (!outcome.ok)
      return { ok: false, fields: [{ path: 'fraction', message: `${outcome.reason}: ${inSi(outcome)}` }] };
    const guide = estimatedGuideFactor(request.rodAngleRad);
    const { targetN, warnings } = outcome.value;
    return {
      ok: true,
      value: {
        targetN: targetN.value,
        targetPlusMinusN: targetN.plusMinus,
        warnings,
        guideFactor: guide.value,
        guideFactorPlusMinus: PLUS_MINUS_SDS * guide.sd,
        straightOffReelN: targetN.value / guide.value,
      },
    };
  },
});
