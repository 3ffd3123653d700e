import { z } from 'zod';
import { correctionTable as tableOf } from '../../core/calibration/correctionTable';
import { lengthAtCounts } from '../../core/calibration/observations';
import { COUNTED_EXAMPLE, countedShape, estimateRequest, refineCounted, tableLengths } from '../counterRequest';
import { defineKind } from '../kind';

/** A tested counter in; true length against reading and back out. */
export const correctionTable = defineKind({
  name: 'correction-table',
  summary: 'What a tested counter shows at true lengths, with its ±, and the true length behind given readings.',
  schema: z
    .strictObject({
      ...countedShape,
      lengthsM: z
        .array(z.number().positive().max(5000))
        .max(500)
        .default([])
        .describe('true lengths; 20 when left out'),
      readings: z.array(z.number().positive().max(999_999)).max(500).default([]).describe('readings to turn back'),
    })
    .superRefine(refineCounted),
  example: { ...COUNTED_EXAMPLE, lengthsM: [36.576], readings: [100] },
  compute: (request) => {
    const estimate = estimateRequest(request);
    const lengthsM = request.lengthsM.length > 0 ? request.lengthsM : tableLengths(estimate);
    const figures = tableOf(estimate, lengthsM);
    return {
      ok: true,
      value: {
        table: lengthsM.map((lengthM, index) => ({ lengthM, ...figures[index] })),
        lengthAt: request.readings.map((reading) => ({
          reading,
          lengthM: lengthAtCounts(estimate.best, reading, estimate.counter.unitM),
        })),
      },
    };
  },
});
