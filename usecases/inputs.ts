import { z } from 'zod';

/** A number within limits, with the same sentence for everything outside them. */
export function within(limits: { readonly min: number; readonly max: number }, what: string) {
  return z
    .number({ error: `${what} must be a number.` })
    .min(limits.min, `${what} is less than anything that can be meant here.`)
    .max(limits.max, `${what} is more than anything that can be meant here.`);
}

/** Characters that steer a terminal or a printer and that nobody types; line ends and tabs are none of them. */
const CONTROLS = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f]/;

/** Half of a character that is written in two parts. */
const LONE_HALF = /\p{Surrogate}/u;

/**
 * Text that a person typed, trimmed. Control characters and halves of characters are refused: no keyboard makes them, and
 * not every part of the way can keep them.
 *
 * @param most letters at the most
 * @param whenEmpty what is said when nothing was typed; left out: nothing may be typed
 */
export function text(most: number, whenEmpty?: string) {
  return z
    .string({ error: whenEmpty ?? 'Type letters here.' })
    .trim()
    .min(whenEmpty === undefined ? 0 : 1, whenEmpty)
    .max(most, `At most ${most} letters.`)
    .refine(
      (typed) => !CONTROLS.test(typed) && !LONE_HALF.test(typed),
      'There is a character in it that cannot be kept.',
    );
}

export const nameSchema = text(80, 'A name is needed.');
/** An identifier, in lower case: two spellings of one are one. */
export const idSchema = z.uuid('That is not an identifier of this product.').toLowerCase();
export const noteSchema = text(500).default('');
export const instrumentSchema = text(80, 'Say what it was read with.').default('read by eye');
/** The version of a row that was read: what a database's integer holds. */
export const versionSchema = z
  .int('A version is a whole number.')
  .min(1)
  .max(2_147_483_647, 'There is no such version.');
export const readingSchema = z
  .int('A counter reading is a whole number.')
  .min(0, 'A counter reading is not negative.')
  .max(999_999, 'That is more than a counter has digits for.');

/** Text as an identifier of one spelling, or null: anything else is simply not found. */
export function asId(typed: string): string | null {
  return idSchema.safeParse(typed).data ?? null;
}
