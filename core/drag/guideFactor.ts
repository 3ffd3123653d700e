import type { Material } from '../materials/materials';
import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { failure, requireNotNegative, requirePositive, success, type Outcome } from '../result';

/** What line runs over on a rod. */
export const GUIDE_KINDS = ['rings', 'roller tip', 'rollers'] as const;
export type GuideKind = (typeof GUIDE_KINDS)[number];

/** The guides of a rod: their kind, and how many. */
export interface Guides {
  readonly kind: GuideKind;
  readonly count: number;
}

/**
 * Coefficient of friction of line in guides of which nothing is known, with its spread (from memory): nylon in smooth
 * rings about 0.1, braid up to about 0.25; rollers less.
 */
export const DEFAULT_GUIDE_FRICTION: Known = { value: 0.15, sd: 0.05, source: 'default' };

/** The same by what runs over what (from memory): smooth lines, and those with a braided or rough skin. */
const FRICTION: Readonly<Record<GuideKind, Readonly<Record<'smooth' | 'rough', Known>>>> = {
  rings: { smooth: guess(0.1, 0.03), rough: guess(0.2, 0.05) },
  'roller tip': { smooth: guess(0.07, 0.025), rough: guess(0.13, 0.04) },
  rollers: { smooth: guess(0.03, 0.015), rough: guess(0.04, 0.02) },
};

function guess(value: number, sd: number): Known {
  return { value, sd, source: 'default' };
}

const SMOOTH: readonly Material[] = ['nylon', 'fluorocarbon', 'fly line'];

/** Each guide adds so much bend of its own where the rod is bent to a right angle (rad), from memory. */
const BEND_OF_A_GUIDE_RAD = 0.02;

/** Friction of a line over guides (from memory); of unknown guides that of any. */
export function guideFriction(guides: Guides | null, material: Material | null): Known {
  if (!guides) return DEFAULT_GUIDE_FRICTION;
  const { smooth, rough } = FRICTION[guides.kind];
  if (material === null) return guess((smooth.value + rough.value) / 2, Math.max(smooth.sd, rough.sd));
  return SMOOTH.includes(material) ? smooth : rough;
}

/**
 * Factor by which guides raise the pull at the tip over the pull at the spool: the capstan law
 * G = e^{μΘ}, with Θ the whole bend of the line through the guides, taken as the angle between the
 * reel's line and the pull, and a little more for every guide.
 *
 * @param rodAngleRad bend of the line from reel to pull (rad); 0 when the rod points at the pull
 * @param friction coefficient of friction
 * @param guides how many guides the line runs over; 0: not known, and none counted
 * @returns factor ≥ 1
 * @see any mechanics handbook, belt friction: T₁/T₂ = e^{μβ}
 */
export function estimatedGuideFactor(rodAngleRad: number, friction: Known = DEFAULT_GUIDE_FRICTION, guides = 0): Known {
  requireNotNegative('estimatedGuideFactor', { rodAngleRad, frictionValue: friction.value, guides });
  const bendRad = rodAngleRad * (1 + (guides * BEND_OF_A_GUIDE_RAD) / (Math.PI / 2));
  const value = Math.exp(friction.value * bendRad);
  return { value, sd: value * bendRad * friction.sd, source: friction.source };
}

/**
 * Measured guide factor: the pull through the bent rod ÷ the pull straight off the reel, at one drag
 * setting and fill. The pulls' own scatter counts where it is more than a scale's.
 *
 * @param bentN moving pulls through the guides (N), at least one
 * @param straightN moving pulls straight off the reel (N), at least one
 * @param scaleRelativeSd relative SD of one pull
 * @returns the factor, never below 1; 'guide-below-one' where the straight pull is the higher one by more than the scatter: guides
 *   only ever hold back
 */
export function measuredGuideFactor(
  bentN: readonly number[],
  straightN: readonly number[],
  scaleRelativeSd: number = ERRORS.pullShare.sd,
): Outcome<Known, 'guide-below-one'> {
  const [bent, straight] = [meanOf(bentN, scaleRelativeSd), meanOf(straightN, scaleRelativeSd)];
  requirePositive('measuredGuideFactor', { bent: bent.mean, straight: straight.mean });
  const ratio = bent.mean / straight.mean;
  const relative = Math.hypot(bent.relativeSd, straight.relativeSd);
  if (ratio * (1 + PLUS_MINUS_SDS * relative) < 1) return failure('guide-below-one', { ratio });
  const value = Math.max(ratio, 1);
  return success({ value, sd: value * relative, source: 'measured' });
}

function meanOf(
  pulls: readonly number[],
  scaleRelativeSd: number,
): { readonly mean: number; readonly relativeSd: number } {
  const n = pulls.length;
  const mean = pulls.reduce((sum, pull) => sum + pull, 0) / n;
  const variance = n > 1 ? pulls.reduce((sum, pull) => sum + (pull - mean) ** 2, 0) / (n - 1) : 0;
  return { mean, relativeSd: Math.max(scaleRelativeSd, Math.sqrt(variance) / mean) / Math.sqrt(n) };
}
