import { requirePositive } from '../result';

/** A counter is made to be true on a spool that is nearly full: about this share of the rim's circumference a turn (from memory). */
const SHARE_OF_RIM = 0.9;

/**
 * Length that a counter may take one turn to be (m) while nobody has tested it: from the size of its spool; of a roller, the metre
 * that it says. A default, and to be called one.
 *
 * @param drive what drives the counter
 * @param fullDiameterM diameter of the rim that counts as full (m)
 */
export function guessedLengthPerTurnM(drive: 'spool' | 'roller', fullDiameterM: number): number {
  requirePositive('guessedLengthPerTurnM', { fullDiameterM });
  return drive === 'roller' ? 1 : SHARE_OF_RIM * Math.PI * fullDiameterM;
}
