import { z } from 'zod';
import { MATERIALS } from '@/core/materials/materials';

/** What an address asks for beyond its path: a name to find, a page. Anything that cannot be meant is left out. */
const searchSchema = z.object({
  find: z.string().trim().max(80).catch(''),
  /** The rig that a new one is to be like. */
  likeRigId: z.string().trim().max(40).nullable().catch(null).default(null),
  /** A line that somebody began to tell of: what it is, and its label (N). */
  material: z.enum(MATERIALS).nullable().catch(null).default(null),
  labelN: z.coerce.number().positive().max(20_000).nullable().catch(null).default(null),
  /** Time at the bench. */
  minutes: z.coerce.number().min(1).max(1440).catch(30),
  page: z.coerce.number().int().min(1).max(10_000).catch(1),
});

export type Search = Promise<Record<string, string | string[] | undefined>>;

export async function readSearch(search: Search): Promise<z.output<typeof searchSchema>> {
  return searchSchema.parse(await search);
}
