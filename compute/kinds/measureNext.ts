import { z } from 'zod';
import { estimateCounter, type CounterEstimate } from '../../core/calibration/estimateCounter';
import { ERRORS } from '../../core/measurement/errors';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import { sdOfBelief } from '../../core/worth/belief';
import { enoughOf, isUseless, lengthByHandM, NEARLY } from '../../core/worth/enough';
import { loadFigure, type LoadGoal } from '../../core/worth/loadFigures';
import { loadMeasurements } from '../../core/worth/loadMeasurements';
import { usualWalkM } from '../../core/rig/count/adviceForRig';
import { MEASUREMENT_KINDS, spoolToTryM, USUAL_MINUTES, type Measurement } from '../../core/worth/measurement';
import {
  measureNext as optionsFor,
  measureSet,
  quickestTo,
  type FigureToNarrow,
  type MeasureOption,
} from '../../core/worth/measureNext';
import { meanSdAfterPulls, productFigure } from '../../core/worth/shareFigures';
import { woundAreaM2 } from '../../core/spool/spoolGeometry';
import { believedRequest, estimateRequest, refineCounted, trialSchema } from '../counterRequest';
import { defineKind, type ComputeResult } from '../kind';
import { planRequest } from '../planRequest';
import { lineDiameterSdM, loadedReelShape, positive, refineUnknowns } from '../requestSchemas';
import { MATERIAL } from '../../core/materials/materials';

const partSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  kind: z.enum(['line', 'join']),
  relativeSd: z.number().min(0).max(2).describe('SD of its strength or of its share, over itself'),
  pulls: z.int().min(0).max(1000).default(0),
  cv: z.number().min(0.001).max(1).nullable().default(null).describe('scatter of its pulls; usual when left out'),
});

const schema = z
  .strictObject({
    ...loadedReelShape,
    evidence: z
      .strictObject({
        trials: z.array(trialSchema).max(100).default([]),
        levelBelowRimM: z.number().min(-0.02).max(0.2).nullable().default(null),
      })
      .default({ trials: [], levelBelowRimM: null }),
    goal: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('length'), levelBelowRimM: z.number().min(-0.02).max(0.1).default(0) }),
      z.strictObject({ kind: z.literal('level') }),
      z.strictObject({
        kind: z.literal('counter'),
        atM: positive(5000, 'the true length in metres').default(30.48),
      }),
      z.strictObject({
        kind: z.enum(['strength', 'target']),
        strengthN: positive(50_000, 'the strength in newtons'),
        fraction: z.number().min(0.05).max(0.4).default(0.25),
        parts: z.array(partSchema).min(1, 'a strength has at least one part').max(10),
      }),
    ]),
    minutes: z.number().positive('there must be some time').max(1440).optional().describe('time for a set of them'),
    costs: z
      .partialRecord(z.enum(MEASUREMENT_KINDS), z.number().positive('a measurement takes some time').max(1440))
      .default({})
      .describe('minutes of a kind, where they are not the usual ones'),
  })
  .superRefine((request, context) => {
    const { goal, segments, counter, evidence } = request;
    refineUnknowns(segments, context, goal.kind === 'length' ? [1] : [0]);
    if (goal.kind === 'counter' && !counter) {
      context.addIssue({ code: 'custom', path: ['counter'], message: 'that goal needs a counter' });
    }
    if (counter && goal.kind !== 'length') refineCounted({ ...request, counter, ...evidence }, context);
    const woundM = segments.reduce((sum, each) => sum + (each.wound ? (each.lengthM ?? Infinity) : 0), 0);
    if (goal.kind === 'counter' && goal.atM > woundM) {
      context.addIssue({ code: 'custom', path: ['goal', 'atM'], message: 'that is more line than is wound' });
    }
  });

type Request = z.output<typeof schema>;

/** A figure, what is open of it, and what could be measured for it. */
type Asked = Pick<FigureToNarrow, 'belief' | 'measurements'> & { readonly value: number; readonly byHandM?: number };

/** What to measure next for one figure: what each measurement would leave of its ±, and a set that fits a time. */
export const measureNext = defineKind({
  name: 'measure-next',
  summary:
    'What to measure next for a figure: the ± that each measurement would leave, gain for its minutes, and a set.',
  schema,
  example: {
    reel: { arborDiameterM: 0.0314, widthM: 0.0286, fullDiameterM: 0.0618, diameterSdM: 0.001 },
    counter: { lengthPerTurnM: 0.174, lengthPerTurnSdM: 0.007, unitM: 0.3048, digits: 3 },
    segments: [
      { name: 'backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: null, material: 'nylon' },
      { name: 'copper', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45, material: 'copper wire' },
      { name: 'top shot', lineDiameterM: 0.00035, packing: 0.68, lengthM: 40, material: 'nylon' },
    ],
    goal: { kind: 'length', levelBelowRimM: 0.002 },
    minutes: 10,
  },
  compute: (request): ComputeResult => {
    const { goal } = request;
    const asked = goal.kind === 'strength' || goal.kind === 'target' ? ofStrength(goal) : ofLoad(request);
    if ('ok' in asked) return asked;
    const enough = enoughOf(goal.kind, asked.value, asked.byHandM);
    const figure: FigureToNarrow = { id: goal.kind, enough: enough.plusMinus, ...asked };
    const minutesOf = ({ kind }: Measurement): number => request.costs[kind] ?? USUAL_MINUTES[kind];
    const options = optionsFor([figure], minutesOf);
    const plusMinus = PLUS_MINUS_SDS * sdOfBelief(asked.belief);
    const set = request.minutes === undefined ? null : measureSet([figure], minutesOf, request.minutes);
    return {
      ok: true,
      value: {
        now: { value: asked.value, plusMinus, useless: isUseless(goal.kind, asked.value, plusMinus, asked.byHandM) },
        enough,
        message: messageFor(plusMinus <= NEARLY * enough.plusMinus, options.length),
        options: options.map(stepOf),
        /** What makes it good enough in the least time; null where nothing does. */
        quickest: quickestTo(figure, minutesOf)?.map(stepOf) ?? null,
        set: set?.steps.map(stepOf) ?? null,
        setMinutes: set?.minutes ?? null,
        plusMinusAfterSet: set?.figures[0]?.plusMinusAfter ?? null,
      },
    };
  },
});

function messageFor(isEnough: boolean, options: number): string | null {
  if (isEnough) return 'It is known well enough: measuring more is not worth it.';
  return options === 0 ? 'Nothing that is left to measure narrows this.' : null;
}

function stepOf(option: MeasureOption) {
  const [narrows] = option.narrows;
  const { kind, name, minutes, atM } = option;
  const fall = (narrows?.plusMinus ?? NaN) - (narrows?.plusMinusAfter ?? NaN);
  return {
    ...{ measurement: kind, of: name, minutes, atM },
    plusMinusAfter: narrows?.plusMinusAfter ?? null,
    gainPerMinute: fall / minutes,
  };
}

function ofStrength(goal: Extract<Request['goal'], { readonly strengthN: number }>): Asked {
  const value = goal.kind === 'target' ? goal.fraction * goal.strengthN : goal.strengthN;
  const factors = goal.parts.map(({ kind, name, relativeSd, pulls, cv }) => ({
    relativeSd,
    relativeSdAfter: meanSdAfterPulls({ pulls, cv }),
    measurement: {
      kind: kind === 'line' ? ('line-pulls' as const) : ('join-pulls' as const),
      of: name,
      name,
      atM: null,
    },
  }));
  return { value, ...productFigure(value, factors) };
}

function ofLoad(request: Request): Asked | ComputeResult {
  const { goal, evidence, counter, segments, reel } = request;
  const fail = (path: string, message: string): ComputeResult => ({ ok: false, fields: [{ path, message }] });
  const isPlan = goal.kind === 'length';
  const lengths = isPlan ? plannedLengths(request, goal.levelBelowRimM) : segments.map((each) => each.lengthM ?? NaN);
  if (!lengths) return fail('segments', 'the lengths that are given do not fit under that level');
  const estimate =
    isPlan || !counter
      ? estimateCounter(believedRequest(request, lengths), [])
      : estimateRequest({ ...request, counter, ...evidence });
  const [conflict] = estimate.conflicts;
  if (conflict) {
    const message = `${conflict.observation.name} is ${Math.abs(conflict.offBySds).toFixed(1)} of its SDs off the rest: answer that first`;
    return fail('evidence', message);
  }
  const free = segments.findIndex((each) => each.lengthM === null);
  const load: LoadGoal = goal.kind === 'length' ? { ...goal, segmentId: String(free) } : (goal as LoadGoal);
  const figure = loadFigure(estimate, load);
  if (!figure) return fail('goal', 'that cannot be worked out for this load');
  const freeSegment = segments[free];
  return {
    ...figure,
    measurements: measurementsOf(request, estimate, free),
    byHandM: freeSegment ? lengthByHandM(reel, woundAreaM2(freeSegment.lineDiameterM, freeSegment.packing)) : 0,
  };
}

function plannedLengths(request: Request, levelBelowRimM: number): readonly number[] | null {
  const plan = planRequest(request, levelBelowRimM);
  return plan.ok ? plan.value.line.segments.map((each) => each.lengthM) : null;
}

function measurementsOf(
  { reel, segments, goal, evidence, counter }: Request,
  estimate: CounterEstimate,
  free: number,
): readonly (Measurement & {
  readonly readings: readonly { readonly slopes: readonly number[]; readonly noiseVariance: number }[];
})[] {
  const isCalipered = reel.diameterSdM <= 2 * ERRORS.caliperM.sd;
  const names = new Set<string>();
  const lines = segments.flatMap((segment) => {
    const lineId = `${segment.name} ${segment.lineDiameterM}`;
    if (!segment.wound || names.has(lineId)) return [];
    names.add(lineId);
    const sd = lineDiameterSdM(segment);
    return [
      {
        ...{ lineId, name: segment.name },
        diameterM: { value: segment.lineDiameterM, sd, source: 'label' as const },
        bulkRelativeSd: Math.hypot((2 * sd) / segment.lineDiameterM, segment.packingSd / segment.packing),
        isSoft: segment.material ? MATERIAL[segment.material].givesWay : true,
      },
    ];
  });
  const freeM = estimate.best.line.segments[free]?.lengthM ?? 0;
  return loadMeasurements({
    rigId: 'this load',
    reel: { id: 'reel', name: 'the reel', unmeasured: isCalipered ? [] : ['arbor', 'width', 'rim'] },
    ...{ estimate, lines },
    isWound: goal.kind !== 'length',
    canReadLevel: evidence.levelBelowRimM === null,
    hasCounter: counter !== null,
    walkM: usualWalkM(estimate.best.line),
    coloursM: [],
    spool:
      free >= 0 ? { segmentId: String(free), name: segments[free]?.name ?? '', lengthM: spoolToTryM(freeM) } : null,
  });
}
