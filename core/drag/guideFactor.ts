import { ERRORS } from '../measurement/errors';
import type { Known } from '../provenance/source';
import { requireNotNegative, requirePositive } from '../result';

/**
 * Coefficient of friction of line in guide rings, with its spread (from memory): nylon in smooth
 * rings about 0.1, braid up to about 0.25; rollers less.
 */
export const DEFAULT_GUIDE_FRICTION: Known = { value: 0.15, sd: 0.05, source: 'default' };

/**
 * Factor by which guides raise the pull at the tip over the pull at the spool: the capstan law
 * G = e^{μΘ}, with Θ the whole bend of the line through the guides, taken as the angle between the
 * reel's line and the pull.
 *
 * @param rodAngleRad bend of the line from reel to pull (rad); 0 when the rod points at the pull
 * @param friction coefficient of friction
 * @returns factor ≥ 1
 * @see any mechanics handbook, belt friction: T₁/T₂ = e^{μβ}
 */
export function estimatedGuideFactor(rodAngleRad: number, friction: Known = DEFAULT_GUIDE_FRICTION): Known {
  requireNotNegative('estimatedGuideFactor', { rodAngleRad, frictionValue: friction.value });
  const value = Math.exp(friction.value * rodAngleRad);
  return { value, sd: value * rodAngleRad * friction.sd, source: friction.source };
}

/**
 * Measured guide factor: the pull through the bent rod ÷ the pull straight off the reel, at one drag
 * setting and fill.
 *
 * @param bentN moving pulls through the guides (N), at least one
 * @param straightN moving pulls straight off the reel (N), at least one
 * @param scaleRelativeSd relative SD of one pull
 */
export function measuredGuideFactor(
  bentN: readonly number[],
  straightN: readonly number[],
  scaleRelativeSd = ERRORS.pullShare.sd,
): Known {
  const mean = (pulls: readonly number[]): number => pulls.reduce((sum, pull) => sum + pull, 0) / pulls.length;
  const [bent, straight] = [mean(bentN), mean(straightN)];
  requirePositive('measuredGuideFactor', { bent, straight });
  const relative = scaleRelativeSd * Math.sqrt(1 / bentN.length + 1 / straightN.length);
  return { value: bent / straight, sd: (bent / straight) * relative, source: 'measured' };
}
