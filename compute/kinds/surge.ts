import { z } from 'zod';
import { inertiaOf, spoolMassKg } from '../../core/drag/spoolInertia';
import {
  JERK_S,
  piecesOut,
  ROD_STIFFNESS_N_PER_M,
  surge as surgeOf,
  surgeFigures,
  USUAL_BREAKAWAY,
  type SurgeSetup,
} from '../../core/drag/surge';
import { ERRORS } from '../../core/measurement/errors';
import { MATERIALS } from '../../core/materials/materials';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import { defineKind } from '../kind';
import { forceN } from './strengthSummary';

/** Line and spool in, a jerk of the fish in; the highest tension with the spool's inertia out. */
export const surge = defineKind({
  name: 'surge',
  summary:
    'The highest tension when a fish jerks: line and rod as springs, the drag at its breakaway, the spool by its inertia.',
  schema: z
    .strictObject({
      pieces: z
        .array(
          z.strictObject({
            lengthM: z.number().positive().max(20_000),
            material: z.enum(MATERIALS),
            strengthN: forceN,
          }),
        )
        .min(1, 'at least one piece of line is needed')
        .max(40)
        .describe('in order from the arbor'),
      lengthsOutM: z
        .array(z.number().positive('some line is out').max(20_000))
        .max(200)
        .default([])
        .describe('lengths out that are wanted; left out: all of it'),
      tensionN: z
        .number({ error: 'a pull must be a number of newtons' })
        .min(0)
        .max(5000)
        .describe('what the drag holds while it slips'),
      breakawayN: z
        .number()
        .min(0)
        .max(20_000)
        .nullable()
        .default(null)
        .describe('null: nobody read it, 1.15 times the tension'),
      radiusM: z.number().min(0.002).max(1).describe('radius that the line leaves the spool at'),
      inertiaKgM2: z
        .number()
        .min(0, 'an inertia is not negative')
        .max(10)
        .nullable()
        .default(null)
        .describe('of spool and line; null: not known, taken from the size of the spool, with its range'),
      rodStiffnessNPerM: z.number().min(1).max(100_000).default(ROD_STIFFNESS_N_PER_M),
      surgeM: z.number().positive('the fish jerks by a length').max(50),
      overS: z.number().min(0.02).max(10).default(JERK_S),
      holdsN: forceN.nullable().default(null).describe('what the weakest place out holds'),
    })
    .superRefine(({ pieces, lengthsOutM }, context) => {
      const totalM = pieces.reduce((sum, each) => sum + each.lengthM, 0);
      lengthsOutM.forEach((lengthM, index) => {
        if (lengthM > totalM * (1 + 1e-9))
          context.addIssue({
            code: 'custom',
            path: ['lengthsOutM', index],
            message: `there are only ${totalM} m of line`,
          });
      });
    }),
  example: {
    pieces: [
      { lengthM: 300, material: 'braid', strengthN: 380 },
      { lengthM: 60, material: 'nylon', strengthN: 290 },
    ],
    lengthsOutM: [20, 60, 200],
    tensionN: 70,
    radiusM: 0.05,
    surgeM: 1.5,
    holdsN: 290,
  },
  compute: (request) => {
    const { pieces, tensionN, radiusM, surgeM, overS, holdsN } = request;
    const totalM = pieces.reduce((sum, each) => sum + each.lengthM, 0);
    const lengths = request.lengthsOutM.length > 0 ? request.lengthsOutM : [totalM];
    const ofSize = inertiaOf(radiusM / 2, radiusM, 0);
    const isBreakawayRead = request.breakawayN !== null;
    return {
      ok: true,
      value: {
        spoolMassKg: request.inertiaKgM2 === null ? spoolMassKg(radiusM) : null,
        rows: lengths.map((lengthOutM) => {
          const setup: SurgeSetup = {
            pieces: piecesOut(pieces, lengthOutM),
            rodStiffnessNPerM: request.rodStiffnessNPerM,
            tensionN,
            breakawayN: request.breakawayN ?? USUAL_BREAKAWAY * tensionN,
            radiusM,
            inertiaKgM2: request.inertiaKgM2 ?? ofSize,
          };
          const found = surgeOf(setup, surgeM, overS);
          const known = { tensionRelativeSd: ERRORS.dragSetShare.sd, isBreakawayRead };
          const { peakN, lockedN } = surgeFigures(setup, surgeM, overS, known);
          const open = PLUS_MINUS_SDS * ERRORS.spoolMassShare.sd;
          const withInertia = (times: number): number =>
            surgeOf({ ...setup, inertiaKgM2: times * setup.inertiaKgM2 }, surgeM, overS).peakN;
          return {
            lengthOutM,
            peakN: found.peakN,
            peakPlusMinusN: peakN.plusMinus,
            lockedN: found.lockedN,
            lockedPlusMinusN: lockedN.plusMinus,
            dragGives: found.dragGives,
            inertiaN: found.inertiaN,
            /** Where the inertia is not known: with a light spool of that size, and with a heavy one. */
            peakBetweenN: request.inertiaKgM2 === null ? [withInertia(1 - open), withInertia(1 + open)] : null,
            share: holdsN === null ? null : found.peakN / holdsN,
          };
        }),
      },
    };
  },
});
