import { z } from 'zod';
import { leverCurve as curveOf, leverPlace, presetGain } from '../../core/drag/leverCurve';
import { defineKind, inSi } from '../kind';

const position = z.number().min(0, 'the lever goes from 0').max(1, 'the lever goes to 1');

/** Pulls with the lever at places of its sweep in; the monotone curve, and where it stands for given pulls, out. */
export const leverCurve = defineKind({
  name: 'lever-curve',
  summary:
    'A lever drag over its sweep: monotone curve, lever positions for given pulls, newtons a turn of the preset.',
  schema: z.strictObject({
    points: z
      .array(
        z.strictObject({
          position: position.describe('0 back to 1 forward'),
          forceN: z.number({ error: 'a pull must be a number of newtons' }).min(0, 'a pull is not negative').max(5000),
          presetTurns: z.number().min(-50).max(50).default(0).describe('turns from where it was first measured'),
        }),
      )
      .min(1, 'at least one pull is needed')
      .max(500),
    presetTurns: z.number().min(-50).max(50).default(0).describe('the preset whose curve is wanted'),
    positions: z.array(position).max(500).default([0, 0.25, 0.5, 0.75, 1]),
    forcesN: z.array(z.number().min(0).max(5000)).max(100).default([]).describe('pulls whose lever position is wanted'),
  }),
  example: {
    points: [
      { position: 0, forceN: 0.4 },
      { position: 0.25, forceN: 41 },
      { position: 0.5, forceN: 66 },
      { position: 1, forceN: 88 },
      { position: 0.5, forceN: 75, presetTurns: 0.5 },
    ],
    forcesN: [60],
  },
  compute: ({ points, presetTurns, positions, forcesN }) => {
    const outcome = curveOf(points.filter((point) => point.presetTurns === presetTurns));
    if (!outcome.ok) return { ok: false, fields: [{ path: 'points', message: `${outcome.reason}: ${inSi(outcome)}` }] };
    const curve = outcome.value;
    const places = [...new Set(points.map((point) => point.position))];
    return {
      ok: true,
      value: {
        curve: positions.map((at) => ({ position: at, forceN: curve.forceAt(at) })),
        positionsFor: forcesN.map((forceN) => {
          const place = leverPlace(curve, forceN);
          return { forceN, position: place?.position ?? null, plusMinus: place?.plusMinus ?? null };
        }),
        presetGains: places.flatMap((at) => {
          const gain = presetGain(points.filter((point) => point.position === at));
          return gain ? [{ position: at, ...gain }] : [];
        }),
      },
    };
  },
});
