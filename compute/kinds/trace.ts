import { z } from 'zod';
import { analyseTrace } from '../../core/strength/analyseTrace';
import { defineKind, inSi } from '../kind';

const MOST = 2_000_000;
const numbers = (what: string) =>
  z
    .array(z.number({ error: `${what} must be numbers` }))
    .min(2)
    .max(MOST);

/** A force–stretch trace in; peak, break, rate, stretch and stiffness out. */
export const trace = defineKind({
  name: 'trace',
  summary: 'A recorded pull: tare, peak, break, loading rate, stretch at shares of the peak, stiffness, slips.',
  schema: z
    .strictObject({
      timeS: numbers('times in seconds'),
      forceN: numbers('forces in newtons').describe('as the gauge gave them, not tared'),
      stretchM: numbers('stretches in metres').nullable().default(null),
      gaugeLengthM: z.number().positive().max(50).default(0.5).describe('length between the grips'),
    })
    .superRefine((request, context) => {
      const { timeS, forceN, stretchM } = request;
      const issue = (path: string, message: string): void =>
        context.addIssue({ code: 'custom', path: [path], message });
      if (forceN.length !== timeS.length) issue('forceN', 'there must be as many forces as times');
      if (stretchM && stretchM.length !== timeS.length) issue('stretchM', 'there must be as many stretches as times');
      const back = timeS.findIndex((at, index) => index > 0 && at < (timeS[index - 1] ?? at));
      if (back > 0) issue('timeS', `time runs backwards at sample ${back + 1}`);
    }),
  example: {
    timeS: [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1],
    forceN: [0.4, 0.4, 0.4, 10.4, 20.4, 30.4, 40.4, 50.4, 60.4, 0.4, 0.4],
    stretchM: [0, 0, 0, 0.016, 0.031, 0.046, 0.062, 0.078, 0.093, 0.093, 0.093],
    gaugeLengthM: 0.5,
  },
  compute: ({ timeS, forceN, stretchM, gaugeLengthM }) => {
    const outcome = analyseTrace(
      {
        timeS: Float64Array.from(timeS),
        forceN: Float64Array.from(forceN),
        stretchM: stretchM && Float64Array.from(stretchM),
      },
      gaugeLengthM,
    );
    if (outcome.ok) return { ok: true, value: outcome.value };
    return { ok: false, fields: [{ path: 'forceN', message: `${outcome.reason}: ${inSi(outcome)}` }] };
  },
});
