/** One of the crew, as the joins bench needs them. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly hand: 'left' | 'right';
}

/** One drill of a plaited knot's cadence. */
export interface Drill {
  readonly person: string | null;
  readonly school: string;
  readonly strokes: number;
  readonly mistakes: number;
  readonly seconds: number;
  readonly at: string;
}

/** A ready leader of the boat's library, and where it is. */
export interface WindOn {
  readonly id: string;
  readonly name: string;
  readonly productId: string;
  readonly lengthM: number;
  readonly madeBy: string | null;
  readonly madeAt: string;
  readonly onRig: { readonly id: string; readonly name: string } | null;
}

/** The choice of nobody in particular. */
export const NOBODY = 'nobody';

export function peopleOptions(people: readonly Person[]) {
  return [
    { value: NOBODY, text: 'nobody in particular' },
    ...people.map((person) => ({ value: person.id, text: `${person.name} (${person.hand} hand)` })),
  ];
}
