import { z } from 'zod';
import { constantOffSpoolBySds } from '../../core/counter/guessedConstant';
import { levelOfTarget } from '../../core/load/fillTarget';
import { defineKind, inSi } from '../kind';
import { planRequest, sdsUsed } from '../planRequest';
import { constantSdM, loadedReelShape, LONGEST_SEGMENT_M, refineUnknowns } from '../requestSchemas';

const lengthM = (max: number) => z.number({ error: 'a length must be a number' }).max(max);

/** Where the fill is to end; full to the rim when left out. */
const fillSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('below-rim'), levelBelowRimM: lengthM(0.1).min(-0.02) }),
    z.strictObject({ kind: z.literal('depth-share'), share: z.number().min(0.05).max(1.1) }),
    z.strictObject({ kind: z.literal('mark'), diameterM: lengthM(0.6).positive() }),
    z.strictObject({ kind: z.literal('counter-true'), fromM: lengthM(2000).positive(), toM: lengthM(2000).positive() }),
  ])
  .refine((fill) => fill.kind !== 'counter-true' || fill.toM > fill.fromM, {
    path: ['toM'],
    message: 'the working range must end beyond its start',
  })
  .default({ kind: 'below-rim', levelBelowRimM: 0 });

const schema = z
  .strictObject({
    ...loadedReelShape,
    fill: fillSchema,
  })
  .superRefine((request, context) => refineUnknowns(request.segments, context, [1]));

/** Beyond this a stated figure conflicts with what else is stated. */
const CONFLICT_SDS = 3;

/** The one thing of a plan's request that says something of another: how long a turn may be on a spool of that size. */
function conflictsOf({ reel, counter }: z.output<typeof schema>) {
  if (!counter) return [];
  const stated = { value: counter.lengthPerTurnM, sd: constantSdM(counter) };
  const offBySds = constantOffSpoolBySds(counter.drive, reel.fullDiameterM, stated);
  return Math.abs(offBySds) > CONFLICT_SDS ? [{ what: 'lengthPerTurnM', offBySds, worst: true }] : [];
}

export const loadPlan = defineKind({
  name: 'load-plan',
  summary:
    'Solves the one unknown length of a segmented spool and gives the reading at which to stop for each segment.',
  schema,
  example: {
    reel: { arborDiameterM: 0.032, widthM: 0.029, fullDiameterM: 0.062 },
    counter: { lengthPerTurnM: 0.176, unitM: 1, digits: 3 },
    segments: [
      { name: 'nylon backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: null },
      { name: 'copper wire', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45 },
      { name: 'nylon top shot', lineDiameterM: 0.00035, packing: 0.68, lengthM: 20 },
    ],
  },
  compute: (request) => {
    const rows = request.segments.map((segment, row) => ({ ...segment, id: String(row) }));
    const level = levelOfTarget(request.reel, rows, request.counter, request.fill);
    if (!level.ok) return { ok: false, fields: [{ path: 'fill', message: inSi(level) }] };
    const outcome = planRequest(request, level.value);
    if (!outcome.ok) return { ok: false, fields: [{ path: 'segments', message: inSi(outcome) }] };
    const plan = outcome.value;
    const index = request.segments.findIndex((segment) => segment.lengthM === null);
    const solved = plan.segments[index];
    if (!solved) throw new RangeError('load-plan: the plan has no solved segment');
    if (solved.lengthM.value > LONGEST_SEGMENT_M) {
      const message = `it would take ${solved.lengthM.value.toFixed(0)} m: more than ${LONGEST_SEGMENT_M} m on one reel is not plausible`;
      return { ok: false, fields: [{ path: `segments[${index}].lengthM`, message }] };
    }
    return {
      ok: true,
      value: {
        solvedLengthM: solved.lengthM.value,
        solvedLengthPlusMinusM: solved.lengthM.plusMinus,
        mainlyFrom: solved.lengthM.mainlyFrom && inSi(solved.lengthM.mainlyFrom),
        finalDiameterM: plan.finalDiameterM.value,
        finalDiameterPlusMinusM: plan.finalDiameterM.plusMinus,
        levelBelowRimM: level.value,
        levelBelowRimPlusMinusM: plan.levelBelowRimM.plusMinus,
        sdsUsed: sdsUsed(request),
        conflicts: conflictsOf(request),
        segments: plan.segments.map((segment) => ({
          name: segment.name,
          lengthM: segment.lengthM.value,
          lengthPlusMinusM: segment.lengthM.plusMinus,
          diameterAfterM: segment.diameterAfterM.value,
          diameterAfterPlusMinusM: segment.diameterAfterM.plusMinus,
          turns: segment.turns.value,
          turnsPlusMinus: segment.turns.plusMinus,
          counts: segment.counts?.value ?? null,
          countsPlusMinus: segment.counts?.plusMinus ?? null,
          stopReading: segment.stopReading,
          naiveStopReading: segment.naiveStopReading,
        })),
      },
    };
  },
});
