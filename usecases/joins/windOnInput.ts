import { z } from 'zod';
import { idSchema, nameSchema, within } from '../inputs';
import { LIMITS } from '../limits';

export const windOnInput = z.strictObject({
  name: nameSchema,
  productId: idSchema,
  lengthM: within(LIMITS.segmentLengthM, 'The length of the leader'),
  personId: idSchema.nullable(),
});

export const swapInput = z.strictObject({ windOnId: idSchema });

export const retireInput = z.strictObject({ outOfUse: z.literal(true) });

export type WindOnInput = z.output<typeof windOnInput>;
export type SwapInput = z.output<typeof swapInput>;
