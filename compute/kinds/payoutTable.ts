import { z } from 'zod';
import { estimateCounter } from '../../core/calibration/estimateCounter';
import { payoutPlusMinus } from '../../core/calibration/payoutPlusMinus';
import { payoutTable as payoutRows } from '../../core/counter/payoutTable';
import { believedRequest } from '../counterRequest';
import { defineKind, inSi } from '../kind';
import { planRequest } from '../planRequest';
import { loadedReelShape, refineUnknowns } from '../requestSchemas';

const schema = z
  .strictObject({
    ...loadedReelShape,
    trueLengthsM: z
      .array(z.number({ error: 'a length must be a number' }).min(0, 'a length cannot be negative'))
      .min(1, 'at least one length is needed')
      .max(10_000, 'no more than 10 000 lengths'),
  })
  .superRefine((request, context) => refineUnknowns(request.segments, context, [0, 1]));

export const payoutTable = defineKind({
  name: 'payout-table',
  summary:
    'Turns, counter reading (unwrapped, unrounded), wound diameter and drag factor at true lengths off a loaded spool, each with ±.',
  schema,
  example: {
    reel: { arborDiameterM: 0.032, widthM: 0.029, fullDiameterM: 0.062 },
    counter: { lengthPerTurnM: 0.176, unitM: 1, digits: 3 },
    segments: [
      { name: 'nylon backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: 150 },
      { name: 'copper wire', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45 },
      { name: 'nylon top shot', lineDiameterM: 0.00035, packing: 0.68, lengthM: 20 },
    ],
    trueLengthsM: [0, 10, 20, 40, 65, 100, 200],
  },
  compute: (request) => {
    const outcome = planRequest(request, 0);
    if (!outcome.ok) return { ok: false, fields: [{ path: 'segments', message: inSi(outcome) }] };
    const { line } = outcome.value;
    const beyond = request.trueLengthsM.flatMap((lengthM, index) =>
      lengthM > line.woundLengthM + 1e-6
        ? [
            {
              path: `trueLengthsM[${index}]`,
              message: `${lengthM} m is more than the ${line.woundLengthM.toFixed(2)} m on the spool`,
            },
          ]
        : [],
    );
    if (beyond.length > 0) return { ok: false, fields: beyond };
    const lengthsM = line.segments.map(({ lengthM }) => lengthM);
    const believed = estimateCounter(believedRequest(request, lengthsM), []);
    const plusMinuses = payoutPlusMinus(believed, request.trueLengthsM);
    const overfull = line.fullDiameterM > request.reel.fullDiameterM * (1 + 1e-9);
    return {
      ok: true,
      value: {
        fullDiameterM: line.fullDiameterM,
        overfull,
        rows: payoutRows(line, request.counter, request.trueLengthsM).map((row, index) => {
          const { reading = NaN, ...plusMinus } = plusMinuses[index] ?? {};
          return { ...row, plusMinus: { ...plusMinus, reading: row.reading === null ? null : reading } };
        }),
      },
    };
  },
});
