import { z } from 'zod';
import { ROD_POSITIONS } from '../../core/record/rodPosition';
import { idSchema, nameSchema, noteSchema } from '../inputs';

export const rigInput = z.strictObject({
  name: nameSchema,
  note: noteSchema,
  reelId: idSchema,
  /** What its plan begins with: another rig's plan, joins and aims, or a plan that is kept under a name; null: nothing. */
  like: z
    .discriminatedUnion('from', [
      z.strictObject({ from: z.literal('rig'), id: idSchema }),
      z.strictObject({ from: z.literal('plan'), id: idSchema }),
    ])
    .nullable()
    .default(null),
});

/** To another reel: the plan goes along, the line stays where it is. To another rod: reel and line go along. */
export const moveRigInput = z.discriminatedUnion('to', [
  z.strictObject({ to: z.literal('reel'), reelId: idSchema }),
  z.strictObject({ to: z.literal('rod'), name: nameSchema }),
]);

/** Where the rod stands on the boat; null takes it back. */
export const rodPositionInput = z.strictObject({ position: z.enum(ROD_POSITIONS).nullable() });

export type RigFormInput = z.input<typeof rigInput>;
export type MoveRigInput = z.output<typeof moveRigInput>;
