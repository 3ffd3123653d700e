import { z } from 'zod';
import { chooseJoin as choiceOf } from '../../core/joins/chooseJoin';
import { LEADER_PURPOSES } from '../../core/joins/leaderPurpose';
import { putBetween } from '../../core/joins/putBetween';
import { CONSTRUCTIONS, CONSTRUCTIONS_OF, END_KINDS, whyNoSuchEnd, type LineToJoin } from '../../core/joins/ends';
import { MATERIALS } from '../../core/measurement/material';
import { because } from '../../core/reasons';
import { defineKind, inSi, type FieldError } from '../kind';

const lineSchema = z.strictObject({
  name: z.string().trim().min(1).max(80).optional(),
  material: z.enum(MATERIALS),
  construction: z
    .enum([...CONSTRUCTIONS, 'bonded', 'solid', 'hollow'])
    .optional()
    .describe('how it is made, where that decides what its end can be made; hollow or solid of braid'),
  diameterM: z.number().min(0.00002).max(0.01),
  strengthN: z.number().positive().max(20_000).optional(),
  end: z.enum(END_KINDS).optional().describe('what its end is already; plain when left out'),
  loopM: z.number().positive().max(5).optional().describe('of a loop that is there, laid flat'),
});

type LineRequest = z.output<typeof lineSchema>;

function lineOf(line: LineRequest): LineToJoin {
  const { material, construction, strengthN } = line;
  const made = construction === 'bonded' ? 'bonded sheath' : construction;
  const isBraid = made === 'hollow' || made === 'solid';
  return {
    name: line.name ?? material,
    material: isBraid ? (made === 'hollow' ? 'hollow braid' : 'braid') : material,
    diameterM: line.diameterM,
    strengthN: strengthN === undefined ? null : { value: strengthN, sd: 0.1 * strengthN, source: 'label' },
    construction: isBraid || made === undefined ? null : made,
    end: line.end ?? null,
    loopM: line.loopM ?? null,
  };
}

/** What of a line cannot be: a construction of another material, an end that it cannot be given. */
function faultsOf(path: 'inner' | 'outer', request: LineRequest, line: LineToJoin): readonly FieldError[] {
  const { construction } = request;
  const isOfBraid = construction === 'hollow' || construction === 'solid';
  const fits =
    construction === undefined ||
    (isOfBraid
      ? request.material === 'braid' || (request.material === 'hollow braid' && construction === 'hollow')
      : line.construction !== null && (CONSTRUCTIONS_OF[line.material] ?? []).includes(line.construction));
  if (!fits) return [{ path: `${path}.construction`, message: `${request.material} is not made ${construction}` }];
  const why = line.end && whyNoSuchEnd(line.end, line);
  return why ? [{ path: `${path}.end`, message: `${why.reason}: ${inSi(why)}` }] : [];
}

export const chooseJoin = defineKind({
  name: 'choose-join',
  summary: 'Joins for two lines by what can be made of their ends: ranked with reasons, and why the others cannot.',
  schema: z.strictObject({
    inner: lineSchema.nullable().describe('the line below; null: the arbor'),
    outer: lineSchema,
    smallestOpeningM: z.number().positive().max(0.2).optional().describe('ring or level wind that it has to pass'),
    onSpool: z.boolean().optional().describe('true where line is wound over it; not known when left out'),
    purpose: z.enum(LEADER_PURPOSES).optional().describe('what a leader is for'),
    passesM: z.number().positive().max(1).optional().describe('what has to go through a loop, largest across'),
  }),
  example: {
    inner: { material: 'lead core', diameterM: 0.0008, strengthN: 118 },
    outer: { material: 'fluorocarbon', diameterM: 0.0004, strengthN: 98 },
    smallestOpeningM: 0.004,
    onSpool: true,
  },
  compute: (request) => {
    const inner = request.inner && lineOf(request.inner);
    const outer = lineOf(request.outer);
    const fields = [
      ...(request.inner && inner ? faultsOf('inner', request.inner, inner) : []),
      ...faultsOf('outer', request.outer, outer),
    ];
    if (fields.length > 0) return { ok: false, fields };
    const place = {
      smallestOpeningM: request.smallestOpeningM ?? null,
      isOnSpool: request.onSpool ?? null,
      isOutside: false,
      purpose: request.purpose ?? null,
      passesM: request.passesM ?? null,
    };
    const { ranked, impossible } = choiceOf(inner, outer, place, { tested: {}, tied: {} });
    if (ranked.length === 0) {
      const lines = putBetween(inner, outer, place);
      const why = lines.length > 0 ? because('put-between', { lines }) : because('nothing-joins');
      return { ok: false, fields: [{ path: 'outer', message: `${why.reason}: ${inSi(why)}` }] };
    }
    return {
      ok: true,
      value: {
        ranked: ranked.map(({ kind, parts, ends, efficiency, plusMinus, fits, bulkM, minutes, reasons }) => ({
          ...{ kind, parts, ends, efficiency, plusMinus, fits, bulkM, minutes },
          reasons: reasons.map(inSi),
        })),
        impossible: impossible.map(({ kind, why }) => ({ kind, reason: `${why.reason}: ${inSi(why)}` })),
      },
    };
  },
});
