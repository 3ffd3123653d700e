import { z } from 'zod';
import { THINGS } from '../../core/record/things';
import { idSchema, nameSchema } from '../inputs';
import { plannedStackInput } from '../load/stackInput';

const thing = { thing: z.enum(THINGS), id: idSchema };

export const renameInput = z.strictObject({ ...thing, name: nameSchema });

/** Put away, or brought back. */
export const archiveInput = z.strictObject({ ...thing, isAway: z.boolean() });

/** A boat is put away, never taken out: its whole record rests on it. */
export const removeInput = z.strictObject({ ...thing, thing: z.enum(THINGS).exclude(['boat']) });

export const keepPlanInput = z.strictObject({ name: nameSchema, stack: plannedStackInput });

export type RenameInput = z.output<typeof renameInput>;
export type ArchiveInput = z.output<typeof archiveInput>;
export type RemoveInput = z.output<typeof removeInput>;
export type KeepPlanInput = z.output<typeof keepPlanInput>;
