import { requirePositive } from '../result';

/** A colour of a lead core segment by its true distance from the segment's inner end. */
export interface ColourLengths {
  readonly colour: string;
  readonly fromM: number;
  readonly toM: number;
}

/**
 * Where the colours of a segment lie: the sheath changes colour at equal lengths, ten yards each as it is sold (common
 * practice), so a segment of n colours has a change at each nth of its length.
 *
 * @param colours from the arbor outwards, as they go on
 * @param lengthM length of the whole segment (m)
 */
export function colouredLengthsM(colours: readonly string[], lengthM: number): readonly ColourLengths[] {
  if (colours.length === 0) return [];
  requirePositive('colouredLengthsM', { lengthM });
  const eachM = lengthM / colours.length;
  return colours.map((colour, index) => ({ colour, fromM: index * eachM, toM: (index + 1) * eachM }));
}
