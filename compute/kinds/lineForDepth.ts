import { z } from 'zod';
import { lineForDepth as lineFor } from '../../core/tow/lineForDepth';
import { defineKind, inSi } from '../kind';
import { towIssues, towOf, towSegmentSought, towShape } from '../towRequest';

const NO_PROFILE = {
  ...{ depthM: null, setbackM: null, immersedM: null, tensionTopN: null, angleTopRad: null },
  ...{ profile: [], errorEstimateM: null },
} as const;

/** A depth or a setback in; how much of the outermost line to let out for it, out. */
export const lineForDepth = defineKind({
  name: 'line-for-depth',
  summary: 'How much line to let out for a depth, or for how far behind the boat the lure is to swim.',
  schema: z
    .strictObject({
      ...towShape,
      segments: z
        .array(towSegmentSought)
        .min(1)
        .max(60)
        .describe('from the lure up; the length of the outermost one is null: it is sought'),
      depthM: z.number().positive('a depth is above zero').max(2000).optional(),
      setbackM: z.number().positive('a setback is above zero').max(4000).optional(),
    })
    .superRefine((request, context) => {
      const issue = (path: PropertyKey[], message: string): void => context.addIssue({ code: 'custom', path, message });
      if ((request.depthM === undefined) === (request.setbackM === undefined))
        issue(['depthM'], 'give either depthM or setbackM');
      request.segments.forEach(({ lengthM }, index) => {
        const isLast = index === request.segments.length - 1;
        if (isLast && lengthM !== null) issue(['segments', index, 'lengthM'], 'the outermost length is sought: null');
        if (!isLast && lengthM === null) issue(['segments', index, 'lengthM'], 'only the outermost length may be null');
      });
      towIssues(request, request.segments, context);
    }),
  example: {
    speedMS: 1.1,
    waterDensity: 1025,
    tipHeightM: 1.2,
    lure: { dragN: 1.8, downN: 0.2 },
    segments: [
      { lengthM: 8, diameterM: 0.0004, submergedWeightNPerM: 0.00015 },
      { lengthM: 36, diameterM: 0.0008, submergedWeightNPerM: 0.012 },
      { lengthM: null, diameterM: 0.0003, submergedWeightNPerM: -0.00004 },
    ],
    depthM: 7,
  },
  compute: ({ depthM, setbackM, ...request }) => {
    const segments = request.segments.map((each) => ({ ...each, lengthM: each.lengthM ?? 1 }));
    const tow = towOf({ ...request, segments });
    const found = lineFor(tow, depthM === undefined ? { setbackM: setbackM ?? 0 } : { depthM });
    if (found.ok) {
      const { lengthM, profile } = found.value;
      return { ok: true, value: { lengthM, ...profile } };
    }
    // No length does it because the line floats or hangs slack: that is an answer; the others say what to change.
    if (found.reason === 'goal-floats' || found.reason === 'goal-slack') {
      const status = found.reason === 'goal-slack' ? 'slack' : 'lies on the surface';
      return { ok: true, value: { lengthM: null, ...NO_PROFILE, status, why: inSi(found) } };
    }
    return { ok: false, fields: [{ path: depthM === undefined ? 'setbackM' : 'depthM', message: inSi(found) }] };
  },
});
