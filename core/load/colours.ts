import { requirePositive } from '../result';

/** A colour of a lead core segment by its true distance from the segment's inner end. */
export interface ColourLengths {
  readonly colour: string;
  readonly fromM: number;
  readonly toM: number;
}

/**
 * Where the colours of a segment lie: the sheath changes colour at equal lengths, so a segment of n colours has a change at
 * each nth of its length, or, where the length of a colour is known, at each such length from its inner end.
 *
 * @param colours from the arbor outwards, as they go on
 * @param lengthM length of the whole segment (m)
 * @param colourLengthM length of one colour (m), the outermost one may be a part of one; null: equal parts
 */
export function colouredLengthsM(
  colours: readonly string[],
  lengthM: number,
  colourLengthM: number | null = null,
): readonly ColourLengths[] {
  if (colours.length === 0) return [];
  requirePositive('colouredLengthsM', { lengthM, colourLengthM: colourLengthM ?? 1 });
  const eachM = colourLengthM ?? lengthM / colours.length;
  const last = colours.length - 1;
  return colours
    .map((colour, index) => ({
      colour,
      fromM: index * eachM,
      toM: index === last ? lengthM : Math.min((index + 1) * eachM, lengthM),
    }))
    .filter(({ fromM, toM }) => toM > fromM);
}

/**
 * Names for the colours of a length of line: as the spool has them, from the arbor outwards, or by their numbers.
 *
 * @param colours how many there are; the last one may be a part
 * @param named in the order in which they come off the supply spool, and so go on; empty where nobody has said
 */
export function colourNames(colours: number, named: readonly string[]): readonly string[] {
  return Array.from({ length: Math.max(1, Math.ceil(colours - 0.01)) }, (_, index) =>
    named.length > 0 ? (named[index % named.length] ?? '') : `colour ${index + 1}`,
  );
}
