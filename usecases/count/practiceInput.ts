import { z } from 'zod';

export const MOST_WALKS = 12;

/** A game with a reel of which nobody knows the truth: its seed, and what was taken off (or put on) between walks. */
export const practiceInput = z.strictObject({
  seed: z.int().min(1).max(2_000_000_000),
  strippedM: z
    .array(z.number().min(-500, 'That is more line than anybody puts on.').max(500, 'That is more line than there is.'))
    .max(MOST_WALKS - 1, 'Twelve walks are enough for anybody.'),
  /** True once the person calls the counter true: only then is the truth told. */
  ended: z.boolean().default(false),
});

export type PracticeInput = z.output<typeof practiceInput>;
