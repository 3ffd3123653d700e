import { z } from 'zod';
import { backOffTable, dragEnvelope as envelopeOf, envelopeAt, type DragEnvelope } from '../../core/drag/dragEnvelope';
import { riskAlong } from '../../core/drag/riskAlong';
import { lastSafeLength, TAKEN, type PlaceAtRisk, type RiskAtLength } from '../../core/drag/risk';
import { dragFactorSd } from '../../core/calibration/dragFactorSd';
import { estimateCounter } from '../../core/calibration/estimateCounter';
import { LINE_FRICTION, WATER_DENSITY } from '../../core/drag/waterPull';
import { ERRORS } from '../../core/measurement/errors';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import { rigStrength, type RigStrength } from '../../core/strength/rigStrength';
import type { StrengthKnown } from '../../core/strength/strengthDraws';
import { believedRequest } from '../counterRequest';
import { defineKind, inSi } from '../kind';
import { seeded } from '../seeded';
import { planRequest } from '../planRequest';
import { reelSchema, segmentSchema } from '../requestSchemas';
import { forceN } from './strengthSummary';

const strongSegment = z.strictObject({
  ...segmentSchema.shape,
  holdsN: forceN.describe('mean strength of the line'),
  boundN: forceN.nullable().default(null).describe('what 95 of 100 pieces hold'),
  joinShare: z
    .number()
    .positive()
    .max(1.2)
    .optional()
    .describe('share that the join at its inner end keeps; left out: none'),
  joinBoundShare: z
    .number()
    .positive()
    .max(1.2)
    .nullable()
    .default(null)
    .describe('share that 95 of 100 such joins keep'),
  pulls: z.int().min(0).max(10_000).default(0).describe('pulls behind the mean; 0: a label'),
  cv: z
    .number()
    .min(0.001)
    .max(1)
    .nullable()
    .default(null)
    .describe('SD of single pulls over their mean; null: not known, and no chance is told'),
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
      taken: z
        .number()
        .min(1e-5)
        .max(0.5)
        .default(TAKEN.pull)
        .describe('chance of breaking that is taken for one pull'),
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
      const weakestN = Math.min(...segments.map((segment) => segment.holdsN * Math.min(1, segment.joinShare ?? 1)));
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
      line.segments.slice(1).flatMap(({ id }, index) => {
        const { joinShare, joinBoundShare } = request.segments[index + 1] ?? {};
        if (joinShare === undefined) return [];
        return {
          joinId: `join ${index + 1}`,
          name: `join under ${line.segments[index + 1]?.name ?? ''}`,
          innerSegmentId: line.segments[index]?.id ?? null,
          outerSegmentId: id,
          efficiency: known(joinShare),
          boundShare: joinBoundShare ?? null,
        };
      }),
    );
    const set = { forceN: request.setForceN, plusMinusN: request.setPlusMinusN, lengthOutM: request.setLengthOutM };
    const run = { speedMS: request.runSpeedMS, densityKgM3: request.densityKgM3, friction: LINE_FRICTION };
    const factorSd = dragFactorSd(
      estimateCounter(believedRequest({ ...request, counter: null }), []),
      request.setLengthOutM,
    );
    const envelope = envelopeOf(line, strength, set, run, request.stations, factorSd);
    const chances = chancesAlong(request.segments, strength, envelope);
    return {
      ok: true,
      value: {
        points: envelope.points.map((point) => ({ ...point, weakest: point.weakest.name })),
        chances,
        safeByChanceM: chances && lastSafeLength(chances, request.taken),
        passes: envelope.passes,
        safeLengthM: envelope.safeLengthM,
        safeByBoundM: envelope.safeByBoundM,
        safeBetweenM: envelope.safeBetweenM,
        backOff: backOffTable(envelopeAt(line, strength, set, run, factorSd), request.lengthsM),
      },
    };
  },
});

/** Stations of a chance: it costs a hundred times what the envelope does. */
const CHANCE_STATIONS = 40;
const SEED = 1;
/** What is not known of a label, and of a join that nobody pulled (from memory). */
const [LABEL_SD, JOIN_SD] = [0.2, 0.1];
/** Length of the pieces that people pull (common practice, no source). */
const USUAL_GAUGE_M = 0.5;

/** The chance that anything breaks at lengths along the line; null while the scatter of a line is not known. */
function chancesAlong(
  segments: readonly z.output<typeof strongSegment>[],
  strength: RigStrength,
  { points }: DragEnvelope,
): readonly RiskAtLength[] | null {
  const lines = segments.map(({ name, holdsN, pulls, cv }): StrengthKnown => ({
    ...{ key: name, mean: holdsN, beliefRelativeSd: LABEL_SD, pulls, cv, degrees: Math.max(pulls - 1, 0) },
    ...{ lotRelativeSd: ERRORS.lotShare.sd, gaugeLengthM: USUAL_GAUGE_M },
  }));
  if (lines.some(({ cv }) => cv === null)) return null;
  const places = strength.places.map(({ id, kind, name, fromHookM, toHookM }): PlaceAtRisk => {
    // A join is named by the segment outside of it, a segment by its place from the arbor.
    const index = Number(id.replace('join ', ''));
    const at = { id, name, fromHookM, toHookM, waterN: 0 };
    if (kind === 'segment') return { ...at, lines: lines.slice(index, index + 1), keeps: null };
    const keeps: StrengthKnown = {
      ...{ key: id, mean: segments[index]?.joinShare ?? 1, beliefRelativeSd: JOIN_SD, pulls: 0, cv: null, degrees: 0 },
      ...{ lotRelativeSd: 0, gaugeLengthM: null },
    };
    return { ...at, lines: lines.slice(index - 1, index + 1), keeps };
  });
  const every = Math.max(1, Math.ceil(points.length / CHANCE_STATIONS));
  const stations = points
    .filter((_, index) => (points.length - 1 - index) % every === 0)
    .map((point) => ({
      ...{ lengthOutM: point.lengthOutM, tipN: point.tipForceN, waterN: point.fishForceN - point.tipForceN, surgeN: 0 },
      growthRelativeSd: point.factorPlusMinusShare / PLUS_MINUS_SDS,
    }));
  const waterRelativeSd = LINE_FRICTION.sd / LINE_FRICTION.value;
  const pull = { stations, setRelativeSd: ERRORS.dragSetShare.sd, waterRelativeSd, surgeRelativeSd: 0 };
  return riskAlong(places, pull, seeded(SEED));
}
