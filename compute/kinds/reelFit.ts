import { z } from 'zod';
import type { LoadToFit } from '../../core/gear/gearEvidence';
import type { Fitted } from '../../core/gear/fittedGear';
import { gearFit } from '../../core/gear/gearFit';
import { learnedReel } from '../../core/gear/learned';
import { reelShape } from '../../core/gear/reelShape';
import { ERRORS } from '../../core/measurement/errors';
import { labelOf } from '../../core/load/planLoad';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import { REEL_KINDS } from '../../core/record/record';
import { defineKind } from '../kind';
import { lineDiameterSdM, lineShape, positive, windingStrainOf } from '../requestSchemas';

const loadSchema = z.strictObject({
  evenTension: z.boolean().default(true).describe('false for two passes of unlike tension'),
  segments: z
    .array(
      z.strictObject({
        line: z.string().describe('name of one of the lines'),
        lengthM: positive(5000, 'the length in metres').nullable().default(null),
        counts: z.number().positive().nullable().default(null).describe('unwrapped counts from zero'),
        turns: z.number().positive().nullable().default(null).describe('spool turns that were counted'),
      }),
    )
    .min(1)
    .max(20),
  levels: z
    .array(z.strictObject({ afterSegment: z.int().min(0).max(19), levelBelowRimM: z.number().min(-0.02).max(0.2) }))
    .max(20)
    .default([]),
  levelSdM: z.number().positive().max(0.01).default(ERRORS.levelM.sd),
});

const dimension = (what: string) => positive(0.6, what).min(0.002, `${what} is in metres`).nullable().default(null);

/** What was seen of a reel in; geometry and packing with their ± out. */
export const reelFit = defineKind({
  name: 'reel-fit',
  summary: 'Spool dimensions and packing of lines learned from ratings, caliper readings and loads.',
  schema: z
    .strictObject({
      kind: z.enum(REEL_KINDS).default('conventional'),
      arborDiameterM: dimension('the arbor diameter'),
      widthM: dimension('the spool width'),
      fullDiameterM: dimension('the full diameter'),
      diameterSdM: z.number().min(0).max(0.02).default(ERRORS.caliperM.sd),
      ratings: z
        .array(
          z.strictObject({
            label: z.string().max(80),
            lineDiameterM: positive(0.006, 'the line diameter in metres'),
            lengthM: positive(5000, 'the length in metres'),
          }),
        )
        .max(20)
        .default([]),
      counter: z
        .strictObject({
          unitM: positive(10, 'the length of one count in metres'),
          lengthPerTurnM: positive(2, 'the length per turn in metres'),
          lengthPerTurnSdM: z.number().positive().max(0.5),
        })
        .nullable()
        .default(null),
      lines: z.array(z.strictObject(lineShape)).max(20).default([]),
      loads: z.array(loadSchema).max(50).default([]),
    })
    .superRefine((request, context) => {
      const issue = (path: (string | number)[], message: string): void =>
        context.addIssue({ code: 'custom', path, message });
      if (request.ratings.length === 0 && request.fullDiameterM === null) {
        issue(['ratings'], 'a rating or the full diameter is needed');
      }
      const { arborDiameterM, fullDiameterM } = request;
      if (arborDiameterM !== null && fullDiameterM !== null && fullDiameterM <= arborDiameterM) {
        issue(['fullDiameterM'], 'the full diameter must be above the arbor diameter');
      }
      request.loads.forEach((load, index) => {
        load.segments.forEach((segment, place) => {
          if (!request.lines.some((line) => line.name === segment.line)) {
            issue(['loads', index, 'segments', place, 'line'], 'there is no line of that name');
          }
        });
        const depthM = ((fullDiameterM ?? Infinity) - (arborDiameterM ?? 0)) / 2;
        load.levels.forEach((level, place) => {
          if (level.levelBelowRimM >= depthM) {
            issue(['loads', index, 'levels', place, 'levelBelowRimM'], 'that is deeper than the spool');
          }
          if (level.afterSegment >= load.segments.length) {
            issue(['loads', index, 'levels', place, 'afterSegment'], 'the load has no such segment');
          }
        });
      });
    }),
  example: {
    arborDiameterM: 0.0314,
    widthM: 0.0286,
    fullDiameterM: 0.0618,
    ratings: [{ label: '0.40 mm, 300 m', lineDiameterM: 0.0004, lengthM: 300 }],
    counter: { unitM: 1, lengthPerTurnM: 0.174, lengthPerTurnSdM: 0.007 },
    lines: [{ name: 'nylon', lineDiameterM: 0.0004, packing: 0.68 }],
    loads: [
      {
        segments: [{ line: 'nylon', lengthM: 240, counts: 290 }],
        levels: [{ afterSegment: 0, levelBelowRimM: 0.0042 }],
      },
    ],
  },
  compute: (request) => {
    const shape = reelShape(
      request.kind,
      {
        arborDiameterM: request.arborDiameterM,
        widthM: request.widthM,
        fullDiameterM: request.fullDiameterM,
        sdM: request.diameterSdM,
      },
      request.ratings,
    );
    const { counter } = request;
    const fit = gearFit(
      [
        {
          id: 'reel',
          ...shape,
          ratings: request.ratings,
          counter: counter && {
            unitM: counter.unitM,
            lengthPerTurnM: { value: counter.lengthPerTurnM, sd: counter.lengthPerTurnSdM, source: 'maker' },
          },
        },
      ],
      request.lines.map((line) => ({
        id: line.name,
        name: line.name,
        areaM2: ((Math.PI / 4) * line.lineDiameterM ** 2) / line.packing,
        windingStrain: windingStrainOf(line),
        label: labelOf({
          lineDiameterM: { value: line.lineDiameterM, sd: lineDiameterSdM(line), source: 'label' },
          labelOf: line.lineDiameterSdM === undefined ? (line.material ?? 'any') : undefined,
        }),
        relativeSd: Math.hypot((2 * lineDiameterSdM(line)) / line.lineDiameterM, line.packingSd / line.packing),
      })),
      request.loads.map((load, index): LoadToFit => ({
        reelId: 'reel',
        name: `load ${index + 1}`,
        evenTension: load.evenTension,
        levelSdM: load.levelSdM,
        levels: load.levels,
        segments: load.segments.map((segment) => ({ ...segment, name: segment.line, lineId: segment.line })),
      })),
    );
    const withPlusMinus = ({ value, relativeSd }: Fitted) => ({
      value,
      plusMinus: PLUS_MINUS_SDS * value * relativeSd,
    });
    const { keys, correlation } = learnedReel(fit, 'reel', 'learned').joint;
    return {
      ok: true,
      value: {
        reel: Object.fromEntries((fit.reels[0]?.dimensions ?? []).map((each) => [each.dimension, withPlusMinus(each)])),
        lines: fit.lines.map((line) => {
          const bulk = withPlusMinus(line);
          const believed = request.lines.find((each) => each.name === line.lineId)?.packing ?? NaN;
          return {
            name: line.lineId,
            bulkFactor: bulk.value,
            bulkFactorPlusMinus: bulk.plusMinus,
            packing: believed / bulk.value,
            packingPlusMinus: (believed / bulk.value) * (bulk.plusMinus / bulk.value),
          };
        }),
        /** Of the errors of the next load's plan, by the names in `of`. */
        correlation: { of: keys, matrix: correlation },
        conflicts: conflictsAmong(fit.evidence),
        evidence: fit.evidence.map(({ kind, name, off, offBySds, heldOut, tells }) => ({
          kind,
          name,
          off,
          offBySds,
          heldOut,
          /** The figure that it tells most of, and how many times as wide its ± would be without it. */
          tells: tells && {
            what: typeof tells.what === 'string' ? tells.what : tells.what.lineId,
            widensTo: tells.widensTo,
          },
        })),
      },
    };
  },
});

/** Off by more than this a piece conflicts with the rest. */
const CONFLICT_SDS = 3;

/** The pieces that do not fit, the worst first. */
function conflictsAmong(
  evidence: readonly { readonly name: string; readonly offBySds: number; readonly heldOut: boolean }[],
) {
  return evidence
    .filter(({ offBySds, heldOut }) => heldOut || Math.abs(offBySds) > CONFLICT_SDS)
    .toSorted((a, b) => Math.abs(b.offBySds) - Math.abs(a.offBySds))
    .map(({ name, offBySds }, place) => ({ what: name, offBySds, worst: place === 0 }));
}
