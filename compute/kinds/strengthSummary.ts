import { z } from 'zod';
import { grubbsOutlier } from '../../core/strength/grubbs';
import { lotBound } from '../../core/strength/lotBound';
import { CONFIDENCE, CONTENT, LEAST_POOLED_DEGREES, lowerBound } from '../../core/strength/lowerBound';
import { summarisePulls } from '../../core/strength/summarisePulls';
import { defineKind, inSi } from '../kind';

export const forceN = z
  .number({ error: 'a force must be a number of newtons' })
  .positive('a force must be above zero')
  .max(20_000);

const share = z.number().min(0.5).max(0.9999);

export const strengthSummary = defineKind({
  name: 'strength-summary',
  summary: 'Break tests of one line: mean, SD, CV, range, ratio to the label, lower tolerance bound, outliers.',
  schema: z
    .strictObject({
      labelN: forceN.nullable().default(null),
      pullsN: z.array(forceN).min(1, 'at least one pull is needed').max(10_000),
      content: share.default(CONTENT).describe('share of pieces that hold the bound'),
      confidence: share.default(CONFIDENCE).describe('confidence with which that is said'),
      pooledCv: z.number().positive().max(1).nullable().default(null).describe('scatter lent to one or two pulls'),
      pooledDegrees: z
        .int()
        .min(1)
        .max(100_000)
        .default(LEAST_POOLED_DEGREES)
        .describe('degrees of freedom behind that scatter; from four on it is used'),
      lots: z
        .array(z.int().min(0).max(1000))
        .nullable()
        .default(null)
        .describe('the spool of each pull, where several were pulled'),
    })
    .superRefine(({ lots, pullsN }, context) => {
      if (lots && lots.length !== pullsN.length) {
        context.addIssue({ code: 'custom', path: ['lots'], message: 'one spool for each pull' });
      }
    }),
  example: { labelN: 88.3, pullsN: [118.2, 121.9, 116.4, 120.1] },
  compute: (request) => {
    const outcome = summarisePulls(request.pullsN, request.labelN);
    if (!outcome.ok) return { ok: false, fields: [{ path: 'pullsN', message: inSi(outcome) }] };
    const { content, confidence, pooledCv: cv, pooledDegrees: degrees } = request;
    const spools = spoolsOf(request);
    const bound =
      spools.length > 1 && request.pullsN.length >= 3
        ? lotBound(spools, content, confidence)
        : lowerBound(outcome.value, cv === null ? null : { cv, degrees }, content, confidence);
    const outlier = grubbsOutlier(request.pullsN);
    return {
      ok: true,
      value: {
        ...outcome.value,
        lowerBoundN: bound.ok ? bound.value.boundN : null,
        ...(bound.ok ? { spread: bound.value.spread } : { reason: bound.reason, message: inSi(bound) }),
        outliers: outlier ? [outlier] : [],
        conflicts: outlier
          ? [
              {
                what: `pull ${outlier.index + 1}`,
                offBySds: outlier.side === 'low' ? -outlier.g : outlier.g,
                worst: true,
              },
            ]
          : [],
      },
    };
  },
});

/** The pulls of each spool, where several were named. */
function spoolsOf({ pullsN, lots }: { readonly pullsN: readonly number[]; readonly lots: readonly number[] | null }) {
  return [...new Set(lots ?? [])].map((lot) => pullsN.filter((_, index) => lots?.[index] === lot));
}
