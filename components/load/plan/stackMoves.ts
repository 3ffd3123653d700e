import { colourNames } from '@/core/load/colours';
import type { LineProductRecord } from '@/core/record/record';
import { COLOUR_LENGTH_M } from '@/core/units/parseQuantity';
import type { HowLong } from '@/components/line/lineEditor';
import { LIMITS } from '@/usecases/limits';
import { coloursIn, rowLengthM, type StackDraft, type StackRow } from './stackDraft';

export function withRow(draft: StackDraft, id: string, change: Partial<StackRow>): StackDraft {
  return { ...draft, rows: draft.rows.map((row) => (row.id === id ? { ...row, ...change } : row)) };
}

/** Says whose word the length of one segment is; one at the most is worked out. */
export function withHowLong(draft: StackDraft, id: string, how: HowLong): StackDraft {
  const rows = draft.rows.map((row): StackRow => {
    if (row.id === id) return { ...row, solved: how === 'solved', lengthKnown: how === 'piece' };
    return how === 'solved' ? { ...row, solved: false } : row;
  });
  return { ...draft, rows };
}

/** The arbor knot belongs to whatever lies on the arbor, and to nothing else. */
function withArborKnotInPlace(draft: StackDraft): StackDraft {
  const rows = draft.rows.map((row, index): StackRow => {
    if (index === 0) return { ...row, joinKind: 'arbor-sliding-knot' };
    return row.joinKind === 'arbor-sliding-knot' ? { ...row, joinKind: 'double-sliding-knot' } : row;
  });
  return { ...draft, rows };
}

/** Moves a row towards the hook (+1) or the arbor (−1). */
export function withMoved(draft: StackDraft, id: string, by: 1 | -1): StackDraft {
  const from = draft.rows.findIndex((row) => row.id === id);
  const row = draft.rows[from];
  const to = from + by;
  if (!row || to < 0 || to >= draft.rows.length) return draft;
  return withArborKnotInPlace({ ...draft, rows: draft.rows.toSpliced(from, 1).toSpliced(to, 0, row) });
}

/** Puts a row where another one stands, as a drag does. */
export function withPlaced(draft: StackDraft, id: string, overId: string): StackDraft {
  const from = draft.rows.findIndex((row) => row.id === id);
  const to = draft.rows.findIndex((row) => row.id === overId);
  const row = draft.rows[from];
  if (!row || to < 0 || from === to) return draft;
  return withArborKnotInPlace({ ...draft, rows: draft.rows.toSpliced(from, 1).toSpliced(to, 0, row) });
}

/** A copy of a row above it; a worked-out length is copied as one still to be given. */
export function withDuplicated(draft: StackDraft, id: string, newId: string): StackDraft {
  const at = draft.rows.findIndex((row) => row.id === id);
  const row = draft.rows[at];
  if (!row) return draft;
  const copy: StackRow = {
    ...row,
    id: newId,
    name: `${row.name}, again`.slice(0, 80),
    solved: false,
    joinKind: 'double-sliding-knot',
  };
  return { ...draft, rows: draft.rows.toSpliced(at + 1, 0, copy) };
}

/** Cuts a row in two of half its length, colours and all; nothing where its length is open. */
export function withSplit(draft: StackDraft, id: string, newId: string): StackDraft {
  const row = draft.rows.find((each) => each.id === id);
  const lengthM = row && rowLengthM(row);
  return lengthM == null ? draft : withSplitAt(draft, id, newId, lengthM / 2);
}

/**
 * Cuts a row in two; nothing where its length is open. Colours are equal lengths: where there is more than one, the cut goes between two of
 * them.
 *
 * @param atM how much of it lies on the hook's side of the cut (m)
 */
export function withSplitAt(draft: StackDraft, id: string, newId: string, atM: number): StackDraft {
  const at = draft.rows.findIndex((row) => row.id === id);
  const row = draft.rows[at];
  const lengthM = row && rowLengthM(row);
  if (!row || lengthM == null) return draft;
  const colours = coloursIn(row);
  const wanted = Math.min(Math.max(1 - atM / lengthM, 0), 1);
  const below = Math.min(Math.max(Math.round(colours.length * wanted), 1), Math.max(colours.length - 1, 1));
  const share = colours.length > 1 ? below / colours.length : wanted;
  const half = (part: Partial<StackRow>): StackRow => ({ ...row, typed: null, ...part });
  const inner = half({ lengthM: lengthM * share, colours: colours.slice(0, below).join(', ') });
  const outer = half({
    id: newId,
    name: `${row.name}, outer part`.slice(0, 80),
    lengthM: lengthM * (1 - share),
    colours: colours.slice(below).join(', '),
    joinKind: 'double-sliding-knot',
  });
  return { ...draft, rows: draft.rows.toSpliced(at, 1, inner, outer) };
}

export function withRemoved(draft: StackDraft, id: string): StackDraft {
  return withArborKnotInPlace({ ...draft, rows: draft.rows.filter((row) => row.id !== id) });
}

export function withAdded(draft: StackDraft, id: string, productId: string): StackDraft {
  const first = draft.rows.length === 0;
  const row: StackRow = {
    id,
    name: first ? 'Backing' : `Segment ${draft.rows.length + 1}`,
    role: first ? 'backing' : 'top shot',
    productId,
    solved: first,
    lengthM: null,
    typed: null,
    lengthKnown: false,
    wound: true,
    colours: '',
    joinKind: first ? 'arbor-sliding-knot' : 'double-sliding-knot',
  };
  return { ...draft, rows: [...draft.rows, row] };
}

/**
 * Gives a row another length, as a hand on the ribbon does: what was typed before it no longer stands, and lead core has as many colours as
 * that makes.
 *
 * @param lengthM taken into what a segment may be (m)
 */
export function withLength(draft: StackDraft, id: string, lengthM: number): StackDraft {
  const { min, max } = LIMITS.segmentLengthM;
  const row = draft.rows.find((each) => each.id === id);
  if (!row) return draft;
  const takenM = Math.min(Math.max(lengthM, min), max);
  const named = coloursIn(row);
  const before = rowLengthM(row);
  const colourM = row.colourLengthM ?? (named.length > 0 && before != null ? before / named.length : null);
  const coloured =
    named.length === 0 || colourM === null
      ? {}
      : { colours: colourNames(takenM / colourM, named).join(', '), colourLengthM: colourM };
  return withRow(draft, id, { lengthM: takenM, typed: null, ...coloured });
}

/** How much of a line is put on while nobody has said how much (m): a colour, or about thirty feet. */
const BEGUN_M = 9;

/**
 * A segment of a line put between two others, with a length to begin with.
 *
 * @param at how many rows lie under it
 */
export function withInserted(draft: StackDraft, newId: string, line: LineProductRecord, at: number): StackDraft {
  if (draft.rows.length === 0) return withAdded(draft, newId, line.id);
  const isLead = line.material === 'lead core';
  const colourM = line.colourLengthM ?? COLOUR_LENGTH_M;
  const row: StackRow = {
    id: newId,
    name: line.name.slice(0, 80),
    role: isLead ? 'weighted line' : at >= draft.rows.length ? 'top shot' : 'running line',
    productId: line.id,
    solved: false,
    lengthM: isLead ? colourM : BEGUN_M,
    typed: null,
    lengthKnown: false,
    wound: true,
    colours: isLead ? colourNames(1, line.colours).join(', ') : '',
    colourLengthM: isLead ? colourM : null,
    joinKind: 'double-sliding-knot',
  };
  return withArborKnotInPlace({ ...draft, rows: draft.rows.toSpliced(at, 0, row) });
}
