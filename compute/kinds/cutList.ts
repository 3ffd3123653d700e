import { z } from 'zod';
import { cutList as cutListOf } from '../../core/supplies/cutList';
import { defineKind, inSi } from '../kind';
import { positive } from '../requestSchemas';

const distinct = (rows: readonly { readonly id: string }[]): boolean =>
  new Set(rows.map((row) => row.id)).size === rows.length;

/** Which piece to cut from which spool of one line. */
export const cutList = defineKind({
  name: 'cut-list',
  summary: 'Which piece to cut from which spool: fewest bought, fewest joins, least waste.',
  schema: z.strictObject({
    spools: z
      .array(
        z.strictObject({
          id: z.string().min(1).max(80),
          lengthM: positive(20_000, 'the length in metres'),
          unopened: z.boolean().default(false),
        }),
      )
      .max(40)
      .refine(distinct, 'each spool needs its own id'),
    pieces: z
      .array(z.strictObject({ id: z.string().min(1).max(80), lengthM: positive(5000, 'the length in metres') }))
      .min(1, 'at least one piece')
      .max(100)
      .refine(distinct, 'each piece needs its own id'),
    usefulM: z.number().min(0).max(1000).default(20).describe('leftovers shorter than this are waste (m)'),
    newSpoolM: positive(20_000, 'the length of a new spool in metres').nullable().default(null),
  }),
  example: {
    spools: [
      { id: 'shelf', lengthM: 180 },
      { id: 'bulk', lengthM: 1000, unopened: true },
    ],
    pieces: [
      { id: 'port', lengthM: 150 },
      { id: 'starboard', lengthM: 150 },
    ],
  },
  compute: (request) => {
    const list = cutListOf(request.spools, request.pieces, request);
    if (!list.ok) return { ok: false, fields: [{ path: 'spools', message: inSi(list) }] };
    return { ok: true, value: list.value };
  },
});
