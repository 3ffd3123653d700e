import { requireNotNegative, requirePositive } from '../result';

/**
 * Turns that pay out a length from a wound diameter D₁. From dD/dN = 2a/w the length is
 * L(N) = π(D₁N − (a/w)N²); its inverse is written as N = 2L/(π(D₁ + D₂)), with
 * D₂² = D₁² − 4aL/(πw), which is the length over the mean circumference and loses no digits for
 * thin lines.
 *
 * @param lengthM length paid out, L (m)
 * @param outerDiameterM wound diameter before, D₁ (m)
 * @param areaM2 area that one turn takes, a (m²)
 * @param widthM inner width, w (m)
 * @throws RangeError when the length would empty more than the spool holds (D₂² < 0)
 */
export function turnsPayingOut(lengthM: number, outerDiameterM: number, areaM2: number, widthM: number): number {
  requireNotNegative('turnsPayingOut', { lengthM });
  requirePositive('turnsPayingOut', { outerDiameterM, areaM2, widthM });
  const innerSquared = outerDiameterM ** 2 - (4 * areaM2 * lengthM) / (Math.PI * widthM);
  if (innerSquared < 0) throw new RangeError(`turnsPayingOut: ${lengthM} m is more than the spool holds`);
  return (2 * lengthM) / (Math.PI * (outerDiameterM + Math.sqrt(innerSquared)));
}

/**
 * Length paid out in N turns from a wound diameter: L = π(D₁N − (a/w)N²). Frame as in
 * {@link turnsPayingOut}, whose inverse it is.
 *
 * @throws RangeError when the turns go past the middle of the spool
 */
export function lengthPaidOutM(turns: number, outerDiameterM: number, areaM2: number, widthM: number): number {
  requireNotNegative('lengthPaidOutM', { turns });
  requirePositive('lengthPaidOutM', { outerDiameterM, areaM2, widthM });
  if (outerDiameterM - (2 * areaM2 * turns) / widthM < 0) {
    throw new RangeError(`lengthPaidOutM: ${turns} turns are more than the spool holds`);
  }
  return Math.PI * (outerDiameterM * turns - (areaM2 / widthM) * turns ** 2);
}

/**
 * Turns that a length takes between two wound diameters: the length over the mean circumference. Where both are known it
 * loses no digits, however thick the line lies over a thin arbor.
 */
export function turnsBetween(lengthM: number, innerDiameterM: number, outerDiameterM: number): number {
  requireNotNegative('turnsBetween', { lengthM });
  requirePositive('turnsBetween', { innerDiameterM, outerDiameterM });
  return (2 * lengthM) / (Math.PI * (innerDiameterM + outerDiameterM));
}

/** Turns that lay a length over a wound diameter D₀: the inverse of {@link lengthWoundOnM}. */
export function turnsWindingOn(lengthM: number, innerDiameterM: number, areaM2: number, widthM: number): number {
  requireNotNegative('turnsWindingOn', { lengthM });
  requirePositive('turnsWindingOn', { innerDiameterM, areaM2, widthM });
  const outerDiameterM = Math.sqrt(innerDiameterM ** 2 + (4 * areaM2 * lengthM) / (Math.PI * widthM));
  return turnsPayingOut(lengthM, outerDiameterM, areaM2, widthM);
}

/**
 * Length laid on by N turns over a wound diameter D₀: L = π(D₀N + (a/w)N²), the same relation run
 * backwards.
 */
export function lengthWoundOnM(turns: number, innerDiameterM: number, areaM2: number, widthM: number): number {
  requireNotNegative('lengthWoundOnM', { turns });
  requirePositive('lengthWoundOnM', { innerDiameterM, areaM2, widthM });
  return Math.PI * (innerDiameterM * turns + (areaM2 / widthM) * turns ** 2);
}
