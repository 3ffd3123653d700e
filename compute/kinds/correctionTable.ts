import { z } from 'zod';
import { correctionTable as tableOf } from '../../core/calibration/correctionTable';
import { lengthAtCounts } from '../../core/calibration/observations';
import { countedShape, fuseRequest, refineCounted, tableLengths } from '../counterRequest';
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
  example: {
    reel: { arborDiameterM: 0.0314, widthM: 0.0286, fullDiameterM: 0.0618 },
    counter: { lengthPerTurnM: 0.174, lengthPerTurnSdM: 0.007, unitM: 0.3048, digits: 3 },
    segments: [
      { name: 'backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: 120 },
      { name: 'copper', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45 },
      { name: 'top shot', lineDiameterM: 0.00035, packing: 0.68, lengthM: 40 },
    ],
    trials: [{ kind: 'tape', trueLengthM: 30.48, reading: 96 }],
    lengthsM: [36.576],
    readings: [100],
  },
  compute: (request) => {
    const fused = fuseRequest(request);
    const lengthsM = request.lengthsM.length > 0 ? request.lengthsM : tableLengths(fused);
    const figures = tableOf(fused, lengthsM);
    return {
      ok: true,
      value: {
        table: lengthsM.map((lengthM, index) => ({ lengthM, ...figures[index] })),
        lengthAt: request.readings.map((reading) => ({
          reading,
          lengthM: lengthAtCounts(fused.best, reading, fused.counter.unitM),
        })),
      },
    };
  },
});
