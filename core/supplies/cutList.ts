import { failure, success, type Outcome } from '../result';

/** A spool of one line on the shelf. */
export interface ShelfSpool {
  readonly id: string;
  readonly lengthM: number;
  /** True for a spool that is still whole. */
  readonly unopened: boolean;
}

/** A piece of that line that a rig asks for. */
export interface WantedPiece {
  readonly id: string;
  readonly lengthM: number;
}

export interface CutListOptions {
  /** Leftovers shorter than this are waste (m). */
  readonly usefulM: number;
  /** Length of a spool that can be bought (m), or null. */
  readonly newSpoolM: number | null;
}

/** One cut: so much of a piece from a spool; a piece with two cuts has a join in it. */
export interface Cut {
  readonly spoolId: string;
  readonly pieceId: string;
  readonly lengthM: number;
}

export interface CutList {
  readonly cuts: readonly Cut[];
  /** Joins inside pieces, beside the rigs' own. */
  readonly joins: number;
  readonly wasteM: number;
  readonly leftovers: readonly { readonly spoolId: string; readonly lengthM: number }[];
  /** Spools to buy; their ids are 'new 1', 'new 2' … */
  readonly spoolsToBuy: number;
  /** False when there were too many pieces to try everything. */
  readonly proven: boolean;
}

/** Up to here every way is tried. */
const MOST_PIECES = 12;
const MOST_SPOOLS = 9;
/** Opening a whole spool without need counts as this much waste (m): a tie-breaker only. */
const OPENING_M = 0.01;
const SLACK_M = 1e-9;

/**
 * Which piece to cut from which spool: fewest spools bought, then fewest joins inside pieces, then least waste.
 * Spools that are joined make one longer spool at the price of a join, so every grouping of spools is tried, and for
 * each the best filling by dynamic programming over subsets of pieces. Exact up to twelve pieces and nine spools of a
 * line; beyond, longest first, and `proven` is false.
 *
 * @returns the list; or 'not-enough' with the length that is missing (m) when nothing can be bought
 */
export function cutList(
  spools: readonly ShelfSpool[],
  pieces: readonly WantedPiece[],
  options: CutListOptions,
): Outcome<CutList, 'not-enough'> {
  const wantedM = pieces.reduce((sum, piece) => sum + piece.lengthM, 0);
  const onShelfM = spools.reduce((sum, spool) => sum + spool.lengthM, 0);
  const missingM = wantedM - onShelfM;
  if (missingM > SLACK_M && options.newSpoolM === null) {
    return failure('not-enough', { missingM });
  }
  const toBuy = missingM > SLACK_M ? Math.ceil(missingM / (options.newSpoolM ?? NaN) - SLACK_M) : 0;
  const bought = Array.from({ length: toBuy }, (_, index) => ({
    id: `new ${index + 1}`,
    lengthM: options.newSpoolM ?? NaN,
    unopened: true,
  }));
  const all = [...spools.filter((spool) => spool.lengthM > 0), ...bought];
  const exact = pieces.length <= MOST_PIECES && all.length <= MOST_SPOOLS;
  const groups = exact ? bestGroups(all, pieces, options) : longestFirst(all, pieces);
  const cuts = groups.flatMap((group) => cutGroup(group));
  const usedM = (spoolId: string): number =>
    cuts.reduce((sum, cut) => sum + (cut.spoolId === spoolId ? cut.lengthM : 0), 0);
  const leftovers = all
    .filter((spool) => usedM(spool.id) > 0)
    .map((spool) => ({ spoolId: spool.id, lengthM: Math.max(0, spool.lengthM - usedM(spool.id)) }));
  return success({
    cuts,
    joins: cuts.length - pieces.length,
    wasteM: leftovers.reduce((sum, left) => sum + (left.lengthM < options.usefulM ? left.lengthM : 0), 0),
    leftovers,
    spoolsToBuy: toBuy,
    proven: exact,
  });
}

interface Group {
  readonly spools: readonly ShelfSpool[];
  readonly pieces: readonly WantedPiece[];
}

/** Fills a group's spools one after the other; a piece that outlasts its spool goes on with the next. */
function cutGroup({ spools, pieces }: Group): readonly Cut[] {
  const cuts: Cut[] = [];
  let at = 0;
  let leftM = spools[0]?.lengthM ?? 0;
  for (const piece of pieces) {
    let needM = piece.lengthM;
    while (needM > SLACK_M) {
      const spool = spools[at];
      if (!spool) throw new RangeError('cutGroup: the group holds less than is asked of it');
      const lengthM = Math.min(needM, leftM);
      if (lengthM > SLACK_M) cuts.push({ spoolId: spool.id, pieceId: piece.id, lengthM });
      needM -= lengthM;
      leftM -= lengthM;
      if (needM > SLACK_M) {
        at += 1;
        leftM = spools[at]?.lengthM ?? 0;
      }
    }
  }
  return cuts;
}

/** The best partition of spools into groups and of pieces over them, by number of joins and then by waste. */
function bestGroups(
  spools: readonly ShelfSpool[],
  pieces: readonly WantedPiece[],
  { usefulM }: CutListOptions,
): readonly Group[] {
  for (let joins = 0; joins < spools.length; joins += 1) {
    let best: { readonly cost: number; readonly groups: readonly Group[] } | null = null;
    for (const groups of partitions(spools, joins)) {
      const filled = fill(groups, pieces, usefulM);
      if (filled && (!best || filled.cost < best.cost)) best = filled;
    }
    if (best) return best.groups;
  }
  return [];
}

/** All ways to put spools into groups with so many joins in all: a group of n spools costs n − 1. */
function partitions(spools: readonly ShelfSpool[], joins: number): readonly (readonly (readonly ShelfSpool[])[])[] {
  const [first, ...rest] = spools;
  if (!first) return joins === 0 ? [[]] : [];
  const alone = partitions(rest, joins).map((groups) => [[first], ...groups]);
  if (joins === 0) return alone;
  const joined = partitions(rest, joins - 1).flatMap((groups) =>
    groups.map((group, index) => groups.with(index, [first, ...group])),
  );
  return [...alone, ...joined];
}

/** Best filling of groups with all pieces: dynamic programming over which pieces are served so far. */
function fill(
  groups: readonly (readonly ShelfSpool[])[],
  pieces: readonly WantedPiece[],
  usefulM: number,
): { readonly cost: number; readonly groups: readonly Group[] } | null {
  const all = (1 << pieces.length) - 1;
  const sums = new Float64Array(all + 1);
  for (let mask = 1; mask <= all; mask += 1) {
    const lowest = 31 - Math.clz32(mask & -mask);
    sums[mask] = (sums[mask & (mask - 1)] ?? 0) + (pieces[lowest]?.lengthM ?? NaN);
  }
  let costs = new Float64Array(all + 1).fill(Infinity);
  costs[0] = 0;
  const choices: Int32Array[] = [];
  for (const group of groups) {
    const lengthM = group.reduce((sum, spool) => sum + spool.lengthM, 0);
    const opening = group.reduce((sum, spool) => sum + (spool.unopened ? OPENING_M : 0), 0);
    const next = Float64Array.from(costs);
    const choice = new Int32Array(all + 1);
    for (let taken = 1; taken <= all; taken += 1) {
      const leftM = lengthM - (sums[taken] ?? NaN);
      if (leftM < -SLACK_M) continue;
      const cost = opening + (leftM < usefulM ? Math.max(0, leftM) : 0);
      const others = all & ~taken;
      // Every set of pieces that the groups before may have served.
      for (let before = others; ; before = (before - 1) & others) {
        const total = (costs[before] ?? Infinity) + cost;
        if (total < (next[before | taken] ?? Infinity)) {
          next[before | taken] = total;
          choice[before | taken] = taken;
        }
        if (before === 0) break;
      }
    }
    costs = next;
    choices.push(choice);
  }
  const cost = costs[all] ?? Infinity;
  if (!Number.isFinite(cost)) return null;
  const filled: Group[] = [];
  let mask = all;
  for (let index = groups.length - 1; index >= 0; index -= 1) {
    const taken = choices[index]?.[mask] ?? 0;
    filled.push({ spools: groups[index] ?? [], pieces: pieces.filter((_, place) => taken & (1 << place)) });
    mask &= ~taken;
  }
  return { cost, groups: filled.filter((group) => group.pieces.length > 0) };
}

/** Longest piece first onto the spool that it leaves the least of; what fits nowhere is joined from what is left. */
function longestFirst(spools: readonly ShelfSpool[], pieces: readonly WantedPiece[]): readonly Group[] {
  const open = spools.map((spool) => ({ spool, leftM: spool.lengthM, pieces: [] as WantedPiece[] }));
  const homeless: WantedPiece[] = [];
  for (const piece of pieces.toSorted((a, b) => b.lengthM - a.lengthM)) {
    const fitting = open
      .filter((each) => each.leftM >= piece.lengthM - SLACK_M)
      .toSorted((a, b) => a.leftM - b.leftM)[0];
    if (!fitting) homeless.push(piece);
    else {
      fitting.pieces.push(piece);
      fitting.leftM -= piece.lengthM;
    }
  }
  const whole = open.map((each) => ({ spools: [each.spool], pieces: each.pieces }));
  if (homeless.length === 0) return whole.filter((group) => group.pieces.length > 0);
  // One chain of every spool: pieces that had a home stay on it, the others take what is left along the chain.
  return [{ spools, pieces: [...whole.flatMap((group) => group.pieces), ...homeless] }];
}
