import { z } from 'zod';
import { backOffTable, dragEnvelope as envelopeOf } from '../../core/drag/dragEnvelope';
import { dragFactorSd } from '../../core/calibration/dragFactorSd';
import { estimateCounter } from '../../core/calibration/estimateCounter';
import { LINE_FRICTION, WATER_DENSITY } from '../../core/drag/waterPull';
import { rigStrength } from '../../core/strength/rigStrength';
import { believedRequest } from '../counterRequest';
import { defineKind, inSi } from '../kind';
import { planRequest } from '../planRequest';
import { reelSchema, segmentSchema } from '../requestSchemas';
import { forceN } from './strengthSummary';

const strongSegment = z.strictObject({
  ...segmentSchema.shape,
  holdsN: forceN.describe('mean strength of the line'),
  boundN: forceN.nullable().default(null).describe('what 95 of 100 pieces hold'),
  joinShare: z.number().positive().max(1.2).default(1).describe('share that the join at its inner end keeps'),
});

/** A loaded reel, its strengths and a drag setting in; pull at tip and fish against strength, length by length, out. */
export const dragEnvelope = defineKind({
  name: 'drag-envelope',
  summary:
    'Drag left alone as line leaves: pull at tip and fish, nearest place to breaking, safe length, back-off table.',
  schema: z
    .strictObject({
      reel: reelSchema,
      segments: z.array(strongSegment).min(1, 'at least one segment is needed').max(40),
      setForceN: forceN.describe('pull at the tip when it was set'),
      setPlusMinusN: z.number().min(0).max(5000).default(0),
      setLengthOutM: z.number().min(0).max(20_000).default(0).describe('length out at the setting'),
      runSpeedMS: z.number().min(0).max(30).default(3).describe('speed of the line through the water'),
      densityKgM3: z.number().min(900).max(1100).default(WATER_DENSITY.sea),
      lengthsM: z.array(z.number().min(0).max(20_000)).max(500).default([]).describe('rows of the back-off table'),
      stations: z.int().min(10).max(2000).default(200),
    })
    .superRefine(({ segments, setLengthOutM, lengthsM, setForceN }, context) => {
      const issue = (path: (string | number)[], message: string): void =>
        context.addIssue({ code: 'custom', path, message });
      const totalM = segments.reduce((sum, each) => sum + (each.lengthM ?? 0), 0);
      segments.forEach((segment, index) => {
        if (segment.lengthM === null) issue(['segments', index, 'lengthM'], 'every length is needed');
      });
      if (setLengthOutM > totalM) issue(['setLengthOutM'], `there are only ${totalM} m of line`);
      lengthsM.forEach((lengthM, index) => {
        if (lengthM > totalM) issue(['lengthsM', index], `there are only ${totalM} m of line`);
      });
      const weakestN = Math.min(...segments.map((segment) => segment.holdsN * Math.min(1, segment.joinShare)));
      if (setForceN >= weakestN)
        issue(['setForceN'], `the weakest place holds ${weakestN.toFixed(1)} N: it breaks first`);
    }),
  example: {
    reel: { arborDiameterM: 0.032, widthM: 0.029, fullDiameterM: 0.062 },
    segments: [
      { name: 'nylon backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: 150, holdsN: 115 },
      { name: 'copper wire', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45, holdsN: 155, joinShare: 0.8 },
      { name: 'nylon top shot', lineDiameterM: 0.00035, packing: 0.68, lengthM: 20, holdsN: 91, joinShare: 0.8 },
    ],
    setForceN: 18,
    lengthsM: [0, 50, 100, 200],
  },
  compute: (request) => {
    const plan = planRequest({ ...request, counter: null }, 0);
    if (!plan.ok) return { ok: false, fields: [{ path: 'segments', message: inSi(plan) }] };
    const { line } = plan.value;
    const known = (value: number) => ({ value, sd: 0, source: 'measured' as const });
    const strength = rigStrength(
      line.segments.map(({ id, name, lengthM }, index) => ({
        segmentId: id,
        name,
        lengthM,
        strengthN: known(request.segments[index]?.holdsN ?? NaN),
        boundN: request.segments[index]?.boundN ?? null,
      })),
      line.segments.slice(1).map(({ id }, index) => ({
        joinId: `join ${index + 1}`,
        name: `join under ${line.segments[index + 1]?.name ?? ''}`,
        innerSegmentId: line.segments[index]?.id ?? null,
        outerSegmentId: id,
        efficiency: known(request.segments[index + 1]?.joinShare ?? 1),
        boundShare: null,
      })),
    );
    const envelope = envelopeOf(
      line,
      strength,
      { forceN: request.setForceN, plusMinusN: request.setPlusMinusN, lengthOutM: request.setLengthOutM },
      { speedMS: request.runSpeedMS, densityKgM3: request.densityKgM3, friction: LINE_FRICTION },
      request.stations,
      dragFactorSd(estimateCounter(believedRequest({ ...request, counter: null }), []), request.setLengthOutM),
    );
    return {
      ok: true,
      value: {
        points: envelope.points.map((point) => ({ ...point, weakest: point.weakest.name })),
        passes: envelope.passes,
        safeLengthM: envelope.safeLengthM,
        safeByBoundM: envelope.safeByBoundM,
        safeBetweenM: envelope.safeBetweenM,
        backOff: backOffTable(envelope, request.lengthsM),
      },
    };
  },
});
