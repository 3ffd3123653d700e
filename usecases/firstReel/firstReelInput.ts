import { z } from 'zod';
import { MATERIALS } from '../../core/materials/materials';
import { COUNTS_IN } from '../../core/record/gear';
import { nameSchema, within } from '../inputs';
import { LIMITS } from '../limits';

const thicknessM = within(LIMITS.lineDiameterM, 'The thickness of a line');

/** A first reel in five answers: all else is a default until somebody says otherwise. */
export const firstReelInput = z.strictObject({
  name: nameSchema,
  /** What the box says that it holds: so much of a line so thick. */
  holdsM: within(LIMITS.segmentLengthM, 'The length on the box'),
  ofThicknessM: thicknessM,
  countsIn: z.enum(COUNTS_IN),
  /** The line that is fished with. */
  material: z.enum(MATERIALS),
  thicknessM,
  lengthM: within(LIMITS.segmentLengthM, 'The length of the line'),
  /** What fills the spool under it; null: as thick as the line on top. */
  backingThicknessM: thicknessM.nullable(),
});

export type FirstReelInput = z.output<typeof firstReelInput>;
