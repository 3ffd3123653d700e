import 'server-only';
import { because, type RefusalReason } from '../../core/reasons';
import { codeOf } from '../../db/withBoat';

/** PostgreSQL's codes for a constraint that a request has run into, each as a status and a reason. */
const CONSTRAINTS: Readonly<Record<string, readonly [409 | 422, RefusalReason]>> = {
  '23505': [409, because('stands-already')],
  '23503': [409, because('not-there-any-more')],
  '23514': [422, because('outside-what-is-kept')],
  '22003': [422, because('outside-what-is-kept')],
  '22021': [422, because('character-not-kept')],
  '22P05': [422, because('character-not-kept')],
};

/** Constraints that say more by their name than by their code. */
const NAMED: Readonly<Record<string, readonly [409 | 422, RefusalReason]>> = {
  rigs_one_a_reel: [409, because('reel-carries-another-rig')],
};

/** What a constraint that an error tells of means for the sender, or null. */
export function constraintOf(error: unknown): readonly [409 | 422, RefusalReason] | null {
  const name = typeof error === 'object' && error !== null && 'constraint' in error ? String(error.constraint) : '';
  const named = Object.hasOwn(NAMED, name) ? NAMED[name] : undefined;
  if (named) return named;
  const code = codeOf(error);
  return Object.hasOwn(CONSTRAINTS, code) ? (CONSTRAINTS[code] ?? null) : null;
}

/**
 * True when the database cannot take work just now: it is gone or starting (class 08, 57P0x, the network's own words), full
 * (53), all its connections are in use, or another act holds what this one needs for too long.
 */
export function isBusyOrGone(error: unknown): boolean {
  const code = codeOf(error);
  if (/^(08|53|57P0)/.test(code) || ['55P03', '57014', '40001', '40P01'].includes(code)) return true;
  if (['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOTFOUND', 'ETIMEDOUT'].includes(code)) return true;
  const message = error instanceof Error ? error.message : '';
  return /timeout exceeded when trying to connect|Connection terminated|Query read timeout|not queryable/.test(message);
}
