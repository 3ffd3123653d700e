import { z } from 'zod';
import { sameLine as compareLines } from '../../core/strength/sameLine';
import { defineKind, inSi } from '../kind';
import { forceN } from './strengthSummary';

/** Pulls of two spools in; whether they hold the same line out. */
export const sameLine = defineKind({
  name: 'same-line',
  summary: 'Whether two spools hold the same line: ratio of strengths with its interval, verdict, pulls needed.',
  schema: z.strictObject({
    firstN: z.array(forceN).min(1).max(10_000),
    secondN: z.array(forceN).min(1).max(10_000),
  }),
  example: { firstN: [118.2, 121.9, 116.4, 120.1], secondN: [117.5, 122.4, 119.8, 118.9] },
  compute: ({ firstN, secondN }) => {
    const outcome = compareLines(firstN, secondN);
    if (outcome.ok) return { ok: true, value: outcome.value };
    return { ok: false, fields: [{ path: firstN.length < 2 ? 'firstN' : 'secondN', message: inSi(outcome) }] };
  },
});
