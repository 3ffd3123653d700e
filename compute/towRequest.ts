import { z } from 'zod';
import { LINE_DRAG_LAWS, USUAL_DRAG } from '../core/tow/lineDrag';
import { AIR } from '../core/tow/medium';
import type { Tow } from '../core/tow/towStack';
import { toSi } from '../core/units/units';
import { positive } from './requestSchemas';

const force = (what: string) =>
  z
    .number({ error: `${what} must be a number of newtons` })
    .min(-20_000)
    .max(20_000);

const shape = {
  diameterM: positive(0.02, 'the line diameter in metres').min(0.00003, 'the line diameter is in metres'),
  submergedWeightNPerM: z
    .number({ error: 'the weight in water must be newtons per metre' })
    .min(-10)
    .max(10)
    .describe('of a metre of it in this water; under 0 where it floats'),
  dryWeightNPerM: z
    .number()
    .min(0)
    .max(20)
    .optional()
    .describe('of a metre in air; left out: the weight in water and the water that it displaces'),
};

/** What both kinds of a towed line ask for. */
export const towShape = {
  speedMS: z.number({ error: 'the speed must be metres a second' }).min(0, 'a speed is not negative').max(15),
  waterDensity: positive(1300, 'the density of water').min(900, 'the density of water is in kg/m³'),
  tipHeightM: z
    .number({ error: 'the height of the tip must be metres' })
    .min(0, 'a tip under water is not towed from')
    .max(30)
    .describe('of the rod tip over the water; 0: all line is wet'),
  airDensity: positive(2, 'the density of air').default(AIR.densityKgM3),
  lure: z.strictObject({
    dragN: positive(20_000, 'what the water holds back of the lure in newtons'),
    downN: force('what the lure pulls down with').describe('at that speed, its weight in it; under 0 where it lifts'),
  }),
  law: z
    .enum(LINE_DRAG_LAWS)
    .default('constant')
    .describe('reynolds: by the Reynolds number; cn and ct are then left aside'),
  cn: z.number().min(0).max(5).default(USUAL_DRAG.cn),
  ct: z.number().min(0).max(1).default(USUAL_DRAG.ct),
  kinematicViscosityM2S: positive(1e-4, 'the viscosity of water').min(1e-8).default(1.1e-6),
  airKinematicViscosityM2S: positive(1e-3, 'the viscosity of air').min(1e-8).default(AIR.kinematicViscosityM2S),
  humFactor: positive(5, 'the factor of a humming line').default(1).describe('on the normal force of wet line'),
  pointLoads: z
    .array(
      z.strictObject({
        sM: z.number().min(0).max(20_000).describe('length from the lure'),
        downN: force('what a load pulls down with'),
        dragN: force('what the water holds back of a load').min(0, 'a drag is not negative'),
      }),
    )
    .max(40)
    .default([]),
  bottomM: positive(12_000, 'the depth of the water')
    .nullable()
    .default(null)
    .describe('null: deep enough for anything'),
};

const lengthM = positive(20_000, 'a length');
const towSegment = z.strictObject({ lengthM, ...shape });
/** The outermost length is what is sought: it is told as null. */
export const towSegmentSought = z.strictObject({ lengthM: lengthM.nullable(), ...shape });

/** A whole line, from the lure up. */
export const towRequest = z.strictObject({
  ...towShape,
  segments: z.array(towSegment).min(1).max(60).describe('from the lure up'),
});

/** The core's tow of a request. */
export function towOf(request: z.output<typeof towRequest>): Tow {
  const { waterDensity, airDensity, law, cn, ct, humFactor } = request;
  const displaced = (diameterM: number): number =>
    (waterDensity * toSi('force', 1, 'kg') * Math.PI * diameterM ** 2) / 4;
  return {
    speedMS: request.speedMS,
    water: { densityKgM3: waterDensity, kinematicViscosityM2S: request.kinematicViscosityM2S },
    air: { densityKgM3: airDensity, kinematicViscosityM2S: request.airKinematicViscosityM2S },
    by: { law, cn, ct, humFactor },
    lure: request.lure,
    pieces: request.segments.map((each) => ({
      ...each,
      dryWeightNPerM: each.dryWeightNPerM ?? Math.max(each.submergedWeightNPerM + displaced(each.diameterM), 0),
    })),
    loads: request.pointLoads,
    tipHeightM: request.tipHeightM,
    bottomM: request.bottomM,
  };
}

/** What is wrong with a request that its fields do not show. */
export function towIssues(
  { speedMS, pointLoads }: Pick<z.output<typeof towRequest>, 'speedMS' | 'pointLoads'>,
  segments: readonly { readonly lengthM: number | null; readonly submergedWeightNPerM: number }[],
  context: z.RefinementCtx,
): void {
  if (speedMS === 0 && segments.some(({ submergedWeightNPerM }) => submergedWeightNPerM < 0))
    context.addIssue({
      code: 'custom',
      path: ['speedMS'],
      message: 'without speed a line that floats goes nowhere: give a speed, or line that sinks',
    });
  const totalM = segments.reduce((sum, each) => sum + (each.lengthM ?? Infinity), 0);
  pointLoads.forEach(({ sM }, index) => {
    if (sM >= totalM)
      context.addIssue({
        code: 'custom',
        path: ['pointLoads', index, 'sM'],
        message: `the line is only ${totalM} m long`,
      });
  });
}
