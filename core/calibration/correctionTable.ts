import { LAYER_STEP_RELATIVE_SD } from '../load/defaults';
import type { Figure } from '../provenance/figure';
import { PLUS_MINUS_SDS, propagate, type UncertainInput } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { spoolStateAt, type LoadedLine } from '../spool/loadedLine';
import { reshaped } from '../spool/reshaped';
import { constantFromTape, TAPE_SD_M, WHOLE_COUNT_SD, type TapeTrial } from './counterConstant';

/** How well the counter is known: a tape test of this very load, or only a stated constant. */
export type CounterEvidence =
  { readonly kind: 'tape'; readonly trial: TapeTrial } | { readonly kind: 'constant'; readonly lengthPerTurnM: Known };

export interface CorrectionOptions {
  readonly unitM: number;
  /** Relative SD of the wound diameter. */
  readonly diameterRelativeSd: number;
  /** Relative SD of each segment's space per metre, in the order of the segments. */
  readonly areaRelativeSds: readonly number[];
  /** How those errors go together, in the same order; left out when they are independent. */
  readonly areaCorrelation?: readonly (readonly number[])[];
}

/** The best value of the counter's constant on this evidence (m per turn). */
export function bestConstantM(line: LoadedLine, evidence: CounterEvidence, unitM: number): number {
  return evidence.kind === 'constant'
    ? evidence.lengthPerTurnM.value
    : constantFromTape(line, unitM, evidence.trial).value;
}

/**
 * What the counter shows at true lengths paid off the spool, from zero, with a ±. A tape test ties
 * the constant to the spool's size, so far from the tested length only the lines' bulk widens the ±.
 *
 * @param line the line as loaded
 * @param evidence what is known of the counter
 * @param options unit and spreads
 * @param paidOutsM lengths off the spool (m)
 * @returns unwrapped counts for each length
 */
export function correctionTable(
  line: LoadedLine,
  evidence: CounterEvidence,
  options: CorrectionOptions,
  paidOutsM: readonly number[],
): readonly Figure[] {
  const evidenceInputs: UncertainInput[] =
    evidence.kind === 'tape'
      ? [
          { name: 'the tape', value: evidence.trial.trueLengthM, sd: TAPE_SD_M },
          { name: 'reading to a whole count', value: evidence.trial.reading, sd: WHOLE_COUNT_SD },
        ]
      : [
          { name: "the counter's constant", value: evidence.lengthPerTurnM.value, sd: evidence.lengthPerTurnM.sd },
          { name: 'none', value: 0, sd: 0 },
        ];
  const inputs: UncertainInput[] = [
    ...evidenceInputs,
    { name: "the spool's diameter", value: 1, sd: options.diameterRelativeSd },
    ...line.segments.map((segment, index) => ({
      name: `the bulk of ${segment.name}`,
      value: 1,
      sd: segment.wound ? (options.areaRelativeSds[index] ?? 0) : 0,
    })),
  ];
  const compute = ([first = 0, second = 0, diameterFactor = 1, ...areaFactors]: readonly number[]) => {
    const shaped = reshaped(line, diameterFactor, areaFactors);
    const constantM =
      evidence.kind === 'constant'
        ? first
        : constantOnly(shaped, options.unitM, { ...evidence.trial, trueLengthM: first, reading: second });
    return paidOutsM.map((paidOutM) => (spoolStateAt(shaped, paidOutM).turns * constantM) / options.unitM);
  };
  const spread = propagate(inputs, compute, correlationOfInputs(options, inputs.length));
  return spread.values.map((value, index) => ({
    value,
    plusMinus: PLUS_MINUS_SDS * Math.hypot(spread.sds[index] ?? NaN, value * LAYER_STEP_RELATIVE_SD, WHOLE_COUNT_SD),
    mainlyFrom: spread.largestContributors[index] ?? null,
  }));
}

/** Evidence and diameter stand alone; the segments' bulk goes together as stated. */
function correlationOfInputs(options: CorrectionOptions, inputs: number): readonly (readonly number[])[] | undefined {
  const { areaCorrelation } = options;
  if (!areaCorrelation) return undefined;
  const before = inputs - areaCorrelation.length;
  return Array.from({ length: inputs }, (_, row) =>
    Array.from({ length: inputs }, (_, column) =>
      row === column ? 1 : (areaCorrelation[row - before]?.[column - before] ?? 0),
    ),
  );
}

function constantOnly(line: LoadedLine, unitM: number, trial: TapeTrial): number {
  return (trial.reading * unitM) / spoolStateAt(line, trial.trueLengthM).turns;
}
