import { z } from 'zod';
import { idSchema } from '../inputs';

/** Undo every act from this one on; `newestId` is the newest one that the person saw, so that nothing unseen is undone. */
export const undoInput = z.strictObject({ fromId: idSchema, newestId: idSchema });

export type UndoInput = z.output<typeof undoInput>;
