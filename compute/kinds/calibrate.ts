import { z } from 'zod';
import { correctionTable } from '../../core/calibration/correctionTable';
import { explainResidual, type Explanation } from '../../core/calibration/explainResidual';
import type { FusedCounter } from '../../core/calibration/fuseCounter';
import { topAdjustment } from '../../core/calibration/topAdjustment';
import { levelOfTarget } from '../../core/load/fillTarget';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import { solveSegment } from '../../core/spool/solveSegment';
import {
  COUNTED_EXAMPLE,
  countedShape,
  fuseRequest,
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
    const fused = fuseRequest(request);
    const { unitM } = fused.counter;
    const lengthsM = tableLengths(fused);
    const strip = topAdjustment(
      fused,
      Math.min(request.makeTrueAtM, 0.9 * fused.best.line.woundLengthM),
      request.reel.fullDiameterM,
    );
    return {
      ok: true,
      value: {
        constantM: { value: fused.constantM.value, plusMinus: PLUS_MINUS_SDS * fused.constantM.sd },
        errorAt: correctionTable(fused, lengthsM).map((figure, index) => {
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
              }
            : null,
          ...(strip.ok ? {} : { stripClosed: { reason: strip.reason, message: inSi(strip), ...strip.figures } }),
          reload: reload(request, fused, request.workingRangeM),
          card: true,
        },
        residuals: fused.residuals.map((residual) => ({
          name: residual.observation.name,
          expected: residual.expected,
          off: residual.off,
          offBySds: residual.offSds,
          explanation: explained(explainResidual(fused, residual)),
        })),
      },
    };
  },
});

const explained = (explanation: Explanation | null): string | null => (explanation ? inSi(explanation.why) : null);

/** The innermost length at which the counter is true on average over the working range; or why there is none. */
function reload(request: CountedRequest, fused: FusedCounter, [fromM, toM]: readonly [number, number]) {
  const { reel, counter } = request;
  const segments = request.segments.map((segment, index) => ({
    ...segment,
    id: String(index),
    lengthM: index === 0 ? null : segment.lengthM,
  }));
  const known = { ...counter, lengthPerTurnM: fused.constantM.value };
  const level = levelOfTarget(reel, segments, known, { kind: 'counter-true', fromM, toM });
  if (!level.ok) return { closed: { reason: level.reason as string, message: inSi(level) } };
  if (level.value < 0) return { closed: { reason: 'past-the-rim', message: 'It would be true only past the rim.' } };
  const solved = solveSegment(reel, segments, reel.fullDiameterM - 2 * level.value);
  if (!solved.ok) return { closed: { reason: solved.reason as string, message: inSi(solved) } };
  return {
    segment: request.segments[0]?.name,
    lengthM: solved.value.line.segments[0]?.lengthM,
    levelBelowRimM: level.value,
  };
}
