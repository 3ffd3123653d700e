import { chanceOnAnyDay, lnHoldAt, withSlips, type LookInLogs, type PlanerCell } from './planerPosterior';

/** A look that the others do not lead one to expect. */
export interface PlanerConflict {
  /** Its place among the looks that were given, from 0. */
  readonly look: number;
  /** Chance of seeing what was seen there, by all the others. */
  readonly chance: number;
  /** True for exactly the one that fits worst. */
  readonly worst: boolean;
}

/** A look is named if it had been seen by less than this chance, shared between all looks. */
const LEVEL = 0.05;
const CELLS = 2500;

/**
 * Looks that contradict the others, the worst first: the chance of what was seen by everything but that look itself (each cell weighed
 * anew without it). Slips are in the bracket already, so that one look does not bend it; here they are named.
 *
 * @param origins place of each look among those that were given
 */
export function planerConflicts(
  looks: readonly LookInLogs[],
  cells: readonly PlanerCell[],
  origins: readonly number[],
): readonly PlanerConflict[] {
  if (looks.length < 2) return [];
  const heaviest = cells.toSorted((a, b) => b.weight - a.weight).slice(0, CELLS);
  const found = looks.map((look, index) => {
    let [seen, all] = [0, 0];
    for (const cell of heaviest) {
      const margin =
        lnHoldAt(look.lnPlace, cell) - lnHoldAt(cell.lnStop, cell) - look.speedLog - (look.isHard ? cell.sea : 0);
      const chance = chanceOnAnyDay(look.creep, margin);
      const without = cell.weight / withSlips(chance);
      seen += without * chance;
      all += without;
    }
    return { look: origins[index] ?? index, chance: seen / all };
  });
  return found
    .filter(({ chance }) => chance < LEVEL / looks.length)
    .toSorted((a, b) => a.chance - b.chance)
    .map((each, index) => ({ ...each, worst: index === 0 }));
}
