import { z } from 'zod';
import { summarisePulls } from '../../core/strength/summarisePulls';
import { defineKind } from '../kind';

const forceN = z
  .number({ error: 'a force must be a number of newtons' })
  .positive('a force must be above zero')
  .max(20_000);

export const strengthSummary = defineKind({
  name: 'strength-summary',
  summary: 'Mean with its 95 % interval, SD, CV, range and ratio to the label of break tests.',
  schema: z.strictObject({
    labelN: forceN.nullable().default(null),
    pullsN: z.array(forceN).min(1, 'at least one pull is needed').max(10_000),
  }),
  example: { labelN: 88.3, pullsN: [118.2, 121.9, 116.4, 120.1] },
  compute: (request) => {
    const outcome = summarisePulls(request.pullsN, request.labelN);
    return outcome.ok
      ? { ok: true, value: outcome.value }
      : { ok: false, fields: [{ path: 'pullsN', message: outcome.message }] };
  },
});
