import type { RigView } from '@/core/rig/view/rigView';

/** Rods on one card for the helm: more would be too small to read at the wheel. */
export const RODS_A_CARD = 6;

/** Rods that a card for the helm can speak of, as many as one card has room for on each. */
export function cardsOfRods(views: readonly RigView[]): readonly (readonly RigView[])[] {
  const rods = views.filter((view) => view.counter && view.current.state === 'wound');
  return Array.from({ length: Math.ceil(rods.length / RODS_A_CARD) }, (_, index) =>
    rods.slice(index * RODS_A_CARD, (index + 1) * RODS_A_CARD),
  );
}

/**
 * What stands over a rod's column: the end of its name, where its place on the boat is told, in at most two lines.
 *
 * @param letters that a line has room for
 */
export function helmHead(name: string, letters: number): readonly string[] {
  const lines = name
    .slice(name.lastIndexOf(',') + 1)
    .trim()
    .split(' ')
    .reduce<readonly string[]>((before, word) => {
      const last = before.at(-1);
      return last !== undefined && last.length + 1 + word.length <= letters
        ? [...before.slice(0, -1), `${last} ${word}`]
        : [...before, word];
    }, []);
  return lines.slice(0, 2).map((line) => line.slice(0, letters));
}
