import { z } from 'zod';
import { correctionTable } from '../../core/calibration/correctionTable';
import { explainResidual, type Explanation } from '../../core/calibration/explainResidual';
import type { CounterEstimate } from '../../core/calibration/estimateCounter';
import { evidenceWorth, restsOn } from '../../core/calibration/evidenceWorth';
import { reloadAtFit } from '../../core/calibration/reloadAtFit';
import { topAdjustment } from '../../core/calibration/topAdjustment';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import {
  COUNTED_EXAMPLE,
  countedShape,
  estimateRequest,
  refineCounted,
  tableLengths,
  type CountedRequest,
} from '../counterRequest';
import { defineKind, inSi } from '../kind';
import { positive } from '../requestSchemas';

/** Tests of a counter in; its constant, its error along the line, and what to do about it out. */
export const calibrate = defineKind({
  name: 'calibrate',
  summary: 'A counter calibrated from walks, turns, colours and winding marks: constant, errors, advice, residuals.',
  schema: z
    .strictObject({
      ...countedShape,
      makeTrueAtM: positive(2000, 'the length at which it is to be true, in metres').default(30.48),
      workingRangeM: z.tuple([z.number().positive(), z.number().positive()]).default([18.288, 76.2]),
    })
    .superRefine(refineCounted),
  example: COUNTED_EXAMPLE,
  compute: (request) => {
    const estimate = estimateRequest(request);
    const { unitM } = estimate.counter;
    const worth = evidenceWorth(estimate, (load) => load.constantM);
    const alone = restsOn(worth);
    const lengthsM = tableLengths(estimate);
    const strip = topAdjustment(
      estimate,
      Math.min(request.makeTrueAtM, 0.9 * estimate.best.line.woundLengthM),
      request.reel.fullDiameterM,
    );
    return {
      ok: true,
      value: {
        constantM: { value: estimate.constantM.value, plusMinus: PLUS_MINUS_SDS * estimate.constantM.sd },
        errorAt: correctionTable(estimate, lengthsM).map((figure, index) => {
          const lengthM = lengthsM[index] ?? NaN;
          return {
            lengthM,
            reading: figure.value,
            plusMinus: figure.plusMinus,
            error: (figure.value * unitM) / lengthM - 1,
            mainlyFrom: figure.mainlyFrom && inSi(figure.mainlyFrom),
          };
        }),
        advice: {
          strip: strip.ok
            ? {
                lengthM: strip.value.stripM.value,
                plusMinusM: strip.value.stripM.plusMinus,
                expectedReading: strip.value.expectedReading,
                chanceWithinOnePercent: strip.value.chanceWithinOnePercent,
              }
            : null,
          ...(strip.ok ? {} : { stripClosed: { reason: strip.reason, message: inSi(strip), ...strip.figures } }),
          reload: reload(request, estimate, request.workingRangeM),
          card: true,
        },
        conflicts: estimate.conflicts.map(({ observation, offBySds, worst, orElse }) => ({
          ...{ what: observation.name, offBySds, worst },
          /** Pieces that may just as well be the odd one. */
          orElse: orElse.map(({ name }) => name),
        })),
        /** Factor by which every ± is wider because pieces disagree. */
        widened: estimate.widened,
        beyondBelief: estimate.beyondBelief.map(({ from, bySds }) => ({ what: inSi(from), bySds })),
        /** The one piece without which the constant's ± would be twice as wide or more, if there is one. */
        restsOn: alone && { what: alone.observation.name, widensTo: alone.widensTo },
        residuals: estimate.residuals.map((residual, index) => ({
          name: residual.observation.name,
          /** The constant's ± without this piece, over its ± with it. */
          widensTo: worth[index]?.widensTo ?? null,
          expected: residual.expected,
          off: residual.off,
          offBySds: residual.offSds,
          explanation: explained(explainResidual(estimate, residual)),
        })),
      },
    };
  },
});

const explained = (explanation: Explanation | null): string | null => (explanation ? inSi(explanation.why) : null);

/** The innermost length at which the counter is true on average over the working range, on the load as fitted; or why there is none. */
function reload(request: CountedRequest, estimate: CounterEstimate, [fromM, toM]: readonly [number, number]) {
  if (!request.segments[0]?.wound) return { closed: { reason: 'no-free-segment', message: 'Nothing is wound.' } };
  const solved = reloadAtFit(estimate, '0', { fromM, toM });
  if (!solved.ok) return { closed: { reason: solved.reason as string, message: inSi(solved) } };
  const { lengthM, levelBelowRimM } = solved.value;
  return {
    segment: request.segments[0].name,
    lengthM: lengthM.value,
    plusMinusM: lengthM.plusMinus,
    levelBelowRimM: levelBelowRimM.value,
    levelBelowRimPlusMinusM: levelBelowRimM.plusMinus,
  };
}
