import { z } from 'zod';
import { estimateCounter, type CounterEstimate } from '../core/calibration/estimateCounter';
import type { BelievedLoad } from '../core/calibration/loadModel';
import { type CounterObservation } from '../core/calibration/observations';
import { ERRORS } from '../core/measurement/errors';
import type { LoadedReelRequest } from './planRequest';
import {
  constantSdM,
  lineDiameterSdM,
  windingStrainOf,
  counterSchema,
  positive,
  reelSchema,
  segmentsSchema,
} from './requestSchemas';

const reading = z.number().positive('a reading is above zero').max(999_999).describe('unwrapped counts, from zero');
const strippedBeforeM = z
  .number()
  .min(-5000)
  .max(5000)
  .default(0)
  .describe('plain line taken off since the trial before');
const trueLengthM = positive(5000, 'the true length in metres');

export const trialSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('tape'), trueLengthM, reading, strippedBeforeM }),
  z.strictObject({ kind: z.literal('colour'), trueLengthM, reading, strippedBeforeM }),
  z.strictObject({ kind: z.literal('windingMark'), trueLengthM, reading, strippedBeforeM }),
  z.strictObject({
    kind: z.literal('turns'),
    turns: positive(10_000, 'the number of turns'),
    reading,
    betweenFlips: z.boolean().default(false),
    strippedBeforeM,
  }),
]);

/** A loaded reel with a counter, all lengths given, and what was seen of it; the line as it is at the last trial. */
export const countedShape = {
  reel: reelSchema,
  counter: counterSchema,
  segments: segmentsSchema,
  levelBelowRimM: z.number().min(-0.02).max(0.2).nullable().default(null).describe('as measured with everything on'),
  trials: z.array(trialSchema).max(100).default([]),
};

/** A counted load for the kinds that take one. */
export const COUNTED_EXAMPLE = {
  reel: { arborDiameterM: 0.0314, widthM: 0.0286, fullDiameterM: 0.0618 },
  counter: { lengthPerTurnM: 0.174, lengthPerTurnSdM: 0.007, unitM: 0.3048, digits: 3 },
  segments: [
    { name: 'backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: 120 },
    { name: 'copper', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45 },
    { name: 'top shot', lineDiameterM: 0.00035, packing: 0.68, lengthM: 40 },
  ],
  trials: [{ kind: 'tape' as const, trueLengthM: 30.48, reading: 96 }],
};

export interface CountedRequest extends LoadedReelRequest {
  readonly counter: NonNullable<LoadedReelRequest['counter']>;
  readonly levelBelowRimM: number | null;
  readonly trials: readonly z.output<typeof trialSchema>[];
}

/** Says what is wrong with a counted load beyond its single figures: lengths that are missing or longer than there is. */
export function refineCounted(request: CountedRequest, context: z.RefinementCtx): void {
  const issue = (path: (string | number)[], message: string): void =>
    context.addIssue({ code: 'custom', path, message });
  request.segments.forEach((segment, index) => {
    if (segment.lengthM === null)
      issue(['segments', index, 'lengthM'], 'every length is needed: the line is on the spool');
  });
  const { reel, levelBelowRimM } = request;
  if (levelBelowRimM !== null && levelBelowRimM >= (reel.fullDiameterM - reel.arborDiameterM) / 2) {
    issue(['levelBelowRimM'], 'that is deeper than the spool: nothing would be on it');
  }
  const woundM = request.segments.reduce((sum, each) => sum + (each.wound ? (each.lengthM ?? 0) : 0), 0);
  const strippedM = request.trials.reduce((sum, each) => sum + Math.max(0, each.strippedBeforeM), 0);
  request.trials.forEach((trial, index) => {
    if (trial.kind === 'turns' && request.counter.drive === 'roller') {
      issue(['trials', index, 'kind'], 'turns of the spool say nothing of a counter that a roller drives');
    }
    if (trial.kind !== 'turns' && trial.trueLengthM > woundM + strippedM) {
      issue(['trials', index, 'trueLengthM'], 'that is more line than is wound');
    }
  });
}

/** Without a counter the spool's turns are counted, one by one. */
const TURNS = { counter: { unitM: 1, display: 'rounds', drive: 'spool' }, lengthPerTurnM: 1, sdM: 1e-9 } as const;

/**
 * A loaded reel as it is believed by its request.
 *
 * @param lengthsM lengths of its segments (m), where the request leaves one open
 */
export function believedRequest(
  { reel, counter, segments }: LoadedReelRequest,
  lengthsM: readonly number[] = segments.map(({ lengthM }) => lengthM ?? NaN),
): BelievedLoad {
  const measured = (value: number, sd: number) => ({ value, sd: Math.max(sd, 1e-9), source: 'measured' }) as const;
  const [constantM, sdM] = counter ? [counter.lengthPerTurnM, constantSdM(counter)] : [TURNS.lengthPerTurnM, TURNS.sdM];
  return {
    arborDiameterM: measured(reel.arborDiameterM, reel.diameterSdM),
    widthM: measured(reel.widthM, Math.hypot(reel.diameterSdM, ERRORS.flangeShare.sd * reel.widthM)),
    fullDiameterM: measured(reel.fullDiameterM, reel.diameterSdM),
    constantM: { ...measured(constantM, sdM), source: 'maker' },
    counter: counter ?? TURNS.counter,
    joint: null,
    segments: segments.map((segment, index) => ({
      ...segment,
      id: String(index),
      lineId: `${segment.name} ${segment.lineDiameterM}`,
      lengthM: lengthsM[index] ?? NaN,
      areaRelativeSd: Math.hypot(
        (2 * lineDiameterSdM(segment)) / segment.lineDiameterM,
        segment.packingSd / segment.packing,
      ),
      lengthRelativeSd: ERRORS.lengthShare.sd,
      windingStrain: windingStrainOf(segment),
    })),
  };
}

/** One estimate of a request's trials. */
export function estimateRequest(request: CountedRequest): CounterEstimate {
  const { segments } = request;
  const top = segments.findLastIndex((segment) => segment.wound);
  const gone = (strippedM: number): readonly number[] => segments.map((_, index) => (index === top ? strippedM : 0));
  return estimateCounter(believedRequest(request), [
    ...request.trials.map((trial, index): CounterObservation => {
      const name = `${trial.kind} ${index + 1}`;
      if (trial.kind === 'turns') return { ...trial, name };
      const strippedM = request.trials.slice(index + 1).reduce((sum, later) => sum + later.strippedBeforeM, 0);
      const lengthSdM = trial.kind === 'tape' ? ERRORS.walkM.sd : ERRORS.lengthShare.sd * trial.trueLengthM;
      const { trueLengthM: lengthM, reading: counts } = trial;
      const kind = trial.kind === 'tape' ? 'tape' : 'colour';
      return { kind, name, trueLengthM: lengthM, lengthSdM, reading: counts, goneSinceM: gone(strippedM) };
    }),
    ...(request.levelBelowRimM === null
      ? []
      : [
          {
            kind: 'level' as const,
            name: 'level',
            afterSegment: top,
            levelBelowRimM: request.levelBelowRimM,
            levelSdM: ERRORS.levelM.sd,
            goneSinceM: gone(0),
          },
        ]),
  ]);
}

/** Round lengths along a line for a table: twenty from its outer end. */
export function tableLengths(estimate: CounterEstimate): readonly number[] {
  const { woundLengthM } = estimate.best.line;
  return Array.from({ length: 20 }, (_, index) => (woundLengthM * (index + 1)) / 20);
}
