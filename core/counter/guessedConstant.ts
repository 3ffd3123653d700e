import { ERRORS } from '../measurement/errors';
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

/**
 * How far a stated constant lies from what the size of its spool suggests, in SDs of both together (Box 1980: what is believed, held
 * against what else is); beyond 3 one of the two is not as stated, such as a constant in another unit.
 *
 * @param stated length of a turn with its SD (m)
 */
export function constantOffSpoolBySds(
  drive: 'spool' | 'roller',
  fullDiameterM: number,
  stated: { readonly value: number; readonly sd: number },
): number {
  requirePositive('constantOffSpoolBySds', { statedValue: stated.value });
  const guessedM = guessedLengthPerTurnM(drive, fullDiameterM);
  return Math.log(stated.value / guessedM) / Math.hypot(ERRORS.guessedConstantShare.sd, stated.sd / stated.value);
}
