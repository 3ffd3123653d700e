import { z } from 'zod';
import { riskAlong } from '../../core/drag/riskAlong';
import { inAHundred, lastSafeLength, TAKEN, type PlaceAtRisk } from '../../core/drag/risk';
import { ERRORS } from '../../core/measurement/errors';
import type { StrengthKnown } from '../../core/strength/strengthDraws';
import { defineKind } from '../kind';
import { seeded } from '../seeded';
import { forceN } from './strengthSummary';

const scatter = {
  pulls: z.int().min(0).max(10_000).default(0).describe('pulls behind the mean; 0: a label or a default'),
  cv: z.number().min(0.001).max(1).nullable().default(null).describe('SD of single pulls over their mean'),
  degrees: z.int().min(0).max(10_000).optional().describe('degrees of freedom of that scatter; pulls less one'),
};

const joinSchema = z.strictObject({
  kind: z.string().trim().min(1).max(80).describe('joins of one kind keep the same share in each draw'),
  share: z.number().positive('a join keeps something').max(1.2),
  shareRelativeSd: z.number().min(0).max(1).default(0.1).describe('where nothing was pulled'),
  ...scatter,
});

const segmentSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  spool: z
    .string()
    .trim()
    .min(1)
    .max(80)
    .optional()
    .describe('segments of one spool share its mean; its own when left out'),
  lengthM: z.number().positive().max(20_000),
  meanN: forceN.describe('mean strength of single pieces, or the label'),
  meanRelativeSd: z.number().min(0).max(1).default(0.2).describe('where nothing was pulled'),
  lotRelativeSd: z.number().min(0).max(0.5).default(ERRORS.lotShare.sd).describe('between spools'),
  gaugeLengthM: z.number().positive().max(100).default(0.5).describe('length of the pieces that were pulled'),
  ...scatter,
  /** At its inner end; a place may hold several structures, each of its own. */
  joins: z.array(joinSchema).max(5).default([]).describe('structures at its inner end'),
});

type SegmentAtRisk = z.output<typeof segmentSchema>;

const scatterOf = ({ pulls, cv, degrees }: { pulls: number; cv: number | null; degrees?: number | undefined }) => ({
  ...{ pulls, cv },
  degrees: degrees ?? Math.max(pulls - 1, 0),
});

function lineOf(segment: SegmentAtRisk): StrengthKnown {
  return {
    ...{ key: `spool ${segment.spool ?? segment.name}`, mean: segment.meanN },
    ...{ beliefRelativeSd: segment.meanRelativeSd, lotRelativeSd: segment.lotRelativeSd },
    ...{ gaugeLengthM: segment.gaugeLengthM, ...scatterOf(segment) },
  };
}

/** From the hook inwards, with the joins at the inner end of each segment. */
function placesOf(segments: readonly SegmentAtRisk[]): readonly PlaceAtRisk[] {
  const places: PlaceAtRisk[] = [];
  let fromHookM = 0;
  for (const [index, segment] of segments.toReversed().entries()) {
    const inner = segments[segments.length - 2 - index];
    const toHookM = fromHookM + segment.lengthM;
    places.push({
      ...{ id: segment.name, name: segment.name, fromHookM, toHookM, waterN: 0 },
      ...{ lines: [lineOf(segment)], keeps: null },
    });
    segment.joins.forEach((join, at) =>
      places.push({
        ...{ id: `${segment.name} join ${at + 1}`, name: `${join.kind} under ${segment.name}` },
        ...{ fromHookM: toHookM, toHookM, waterN: 0 },
        lines: [lineOf(segment), ...(inner ? [lineOf(inner)] : [])],
        keeps: {
          ...{ key: `join ${join.kind}`, mean: join.share, beliefRelativeSd: join.shareRelativeSd },
          ...{ lotRelativeSd: 0, gaugeLengthM: null, ...scatterOf(join) },
        },
      }),
    );
    fromHookM = toHookM;
  }
  return places;
}

const stationSchema = z.strictObject({
  lengthOutM: z.number().min(0).max(20_000),
  tipN: z.number().min(0).max(20_000).describe('pull at the tip, growth as line leaves in it'),
  growthRelativeSd: z.number().min(0).max(1).default(0),
  waterN: z.number().min(0).max(20_000).default(0).describe('what the water holds back of all that is out'),
  surgeN: z.number().min(0).max(20_000).default(0).describe('added for a moment; 0 for a steady pull'),
});

/** Strengths along a rig and a pull in; the chance that anything breaks, with its range and what a hundred such pulls make of it. */
export const breakChance = defineKind({
  name: 'break-chance',
  summary:
    'The chance that anything between hook and spool breaks with one pull to each length out, and the last safe length.',
  schema: z
    .strictObject({
      segments: z
        .array(segmentSchema)
        .min(1, 'at least one segment is needed')
        .max(40)
        .describe('in order from the arbor'),
      stations: z.array(stationSchema).min(1, 'at least one pull is needed').max(500),
      setRelativeSd: z.number().min(0).max(1).default(ERRORS.dragSetShare.sd),
      waterRelativeSd: z.number().min(0).max(1).default(0.17),
      surgeRelativeSd: z.number().min(0).max(1).default(0.2),
      taken: z.number().min(1e-5).max(0.5).default(TAKEN.pull).describe('chance that is taken for one pull'),
      draws: z.int().min(50).max(5000).default(400),
      seed: z.int().min(0).max(2_147_483_647).default(1),
    })
    .superRefine(({ segments, stations }, context) => {
      const totalM = segments.reduce((sum, each) => sum + each.lengthM, 0);
      stations.forEach(({ lengthOutM }, index) => {
        const path = ['stations', index, 'lengthOutM'];
        if (lengthOutM > totalM * (1 + 1e-9))
          context.addIssue({ code: 'custom', path, message: `there are only ${totalM} m of line` });
        if (index > 0 && lengthOutM <= (stations[index - 1]?.lengthOutM ?? 0))
          context.addIssue({ code: 'custom', path, message: 'lengths out must grow' });
      });
      if (segments[0] && segments[0].joins.length > 0)
        context.addIssue({
          code: 'custom',
          path: ['segments', 0, 'joins'],
          message: 'the innermost segment is tied to the arbor, which bears only when the spool is empty',
        });
    }),
  example: {
    segments: [
      { name: 'nylon backing', lengthM: 150, meanN: 115, pulls: 5, cv: 0.04 },
      { name: 'copper wire', lengthM: 45, meanN: 155, joins: [{ kind: 'small swivel', share: 0.82 }] },
      {
        name: 'nylon top shot',
        lengthM: 20,
        meanN: 91,
        pulls: 5,
        cv: 0.05,
        joins: [{ kind: 'small swivel', share: 0.82 }],
      },
    ],
    stations: [
      { lengthOutM: 20, tipN: 20 },
      { lengthOutM: 60, tipN: 22 },
      { lengthOutM: 200, tipN: 31 },
    ],
  },
  compute: (request) => {
    const places = placesOf(request.segments);
    const risks = riskAlong(places, request, seeded(request.seed), request.draws);
    return {
      ok: true,
      value: {
        rows: risks.map((risk) => ({ ...risk, inAHundred: inAHundred(risk.chance) })),
        safeLengthM: lastSafeLength(risks, request.taken),
        /** What nobody has pulled: there the chance rests on labels and defaults. */
        untested: [
          ...new Set(
            request.segments.flatMap((segment) => [
              ...(segment.pulls === 0 ? [segment.name] : []),
              ...segment.joins.filter(({ pulls }) => pulls === 0).map(({ kind }) => kind),
            ]),
          ),
        ],
      },
    };
  },
});
