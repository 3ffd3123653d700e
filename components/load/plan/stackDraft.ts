import type { BackingPurpose } from '@/core/load/backing';
import { usualLevelM } from '@/core/load/defaults';
import type { JoinKind } from '@/core/joins/joinKinds';
import { colourNames } from '@/core/load/colours';
import { saysColours } from '@/core/units/parseQuantity';
import { JOIN_PLACE_PARTS, type JoinPlacePart } from '@/core/joins/placeParts';
import type { PlannedStack, RigRecord, SegmentRecord, SegmentRole } from '@/core/record/record';
import { readTyped, type Typed } from '@/components/fields/typedQuantity';
import { LIMITS } from '@/usecases/limits';
import { fillDraftOf, plannedFillOf, type FillDraft } from './fillDraft';

/** One segment of a stack that is being edited, with what was typed as it was typed. */
export interface StackRow {
  readonly id: string;
  readonly name: string;
  readonly role: SegmentRole;
  readonly productId: string;
  readonly solved: boolean;
  /** Length that stood here before typing (m). */
  readonly lengthM: number | null;
  readonly typed: Typed | null;
  readonly lengthKnown: boolean;
  readonly wound: boolean;
  readonly colours: string;
  /** Length of a colour as it is stored (m); null: equal parts. */
  readonly colourLengthM?: number | null;
  readonly purpose?: BackingPurpose | null;
  readonly joinKind: JoinKind;
  /** What the ends that meet there are made before; left out: plain. */
  readonly ends?: JoinEnds;
}

/** What the end of the inner and of the outer line is made; null: it stays plain. */
export interface JoinEnds {
  readonly inner: JoinKind | null;
  readonly outer: JoinKind | null;
}

/** In the order of winding, from the arbor outwards. */
export interface StackDraft {
  readonly version: number;
  readonly rows: readonly StackRow[];
  readonly fill: FillDraft;
}

export function draftOf(record: RigRecord): StackDraft {
  return draftOfStack({ segments: record.segments, joins: record.planJoins, fill: record.fill }, record);
}

/** A stack as it is stored, as a draft over the version that was read. */
function draftOfStack({ segments, joins, fill }: PlannedStack, record: RigRecord): StackDraft {
  return {
    version: record.version,
    fill: fillDraftOf(fill, usualLevelM(record.reel.kind), record.workingRange ?? undefined),
    rows: segments.map((segment) => ({
      id: segment.id,
      name: segment.name,
      role: segment.role,
      productId: segment.productId,
      solved: segment.lengthM === null,
      lengthM: segment.lengthM,
      typed: null,
      lengthKnown: segment.lengthKnown,
      wound: segment.wound,
      colours: segment.colours.join(', '),
      colourLengthM: segment.colourLengthM,
      purpose: segment.purpose,
      joinKind: partAt(joins, segment.id, 'join') ?? 'double-sliding-knot',
      ends: { inner: partAt(joins, segment.id, 'inner'), outer: partAt(joins, segment.id, 'outer') },
    })),
  };
}

const partAt = (joins: PlannedStack['joins'], segmentId: string, part: JoinPlacePart): JoinKind | null =>
  joins.find((join) => join.outerSegmentId === segmentId && join.part === part)?.kind ?? null;

/** A kept plan as a draft for a rig: segments that the rig does not have get rows of their own. */
export function draftOfKept(stack: PlannedStack, record: RigRecord, newId: () => string): StackDraft {
  const draft = draftOfStack(stack, record);
  const isOwn = (id: string): boolean => record.segments.some((segment) => segment.id === id);
  return { ...draft, rows: draft.rows.map((row) => (isOwn(row.id) ? row : { ...row, id: newId() })) };
}

/** A draft as it is stored, or null while a length or the fill is missing or unreadable. */
export function stackOf(draft: StackDraft, fullDiameterM: number): PlannedStack | null {
  const [segments, fill] = [draftSegments(draft), plannedFillOf(draft.fill, fullDiameterM)];
  return segments && fill.ok ? { segments, joins: draftJoins(draft), fill: fill.value } : null;
}

export function isStackDraft(kept: unknown): kept is StackDraft {
  return (
    typeof kept === 'object' &&
    kept !== null &&
    'rows' in kept &&
    Array.isArray(kept.rows) &&
    'version' in kept &&
    typeof kept.version === 'number' &&
    'fill' in kept &&
    typeof kept.fill === 'object'
  );
}

/** Length of a row (m); null when it is to be worked out; undefined while it cannot be read. */
export function rowLengthM(row: StackRow): number | null | undefined {
  if (row.solved) return null;
  const read = readTyped(row.typed, row.lengthM, 'length', LIMITS.segmentLengthM);
  return read.ok && read.value !== null ? read.value : undefined;
}

/** The segments of a draft, or null while a length is missing or unreadable. */
export function draftSegments(draft: StackDraft): readonly SegmentRecord[] | null {
  const segments = draft.rows.map((row): SegmentRecord | null => {
    const lengthM = rowLengthM(row);
    if (lengthM === undefined) return null;
    const { id, name, role, productId, lengthKnown, wound } = row;
    const purpose = role === 'backing' ? (row.purpose ?? null) : null;
    return {
      ...{ id, name, role, productId, lengthM, lengthKnown: lengthKnown && !row.solved, wound, purpose },
      ...coloursOfRow(row, lengthM),
    };
  });
  return segments.every((segment) => segment !== null) ? segments : null;
}

/** The joins of a draft: each row's own, at its inner end, with what its ends are made. */
export function draftJoins(draft: StackDraft): PlannedStack['joins'] {
  return draft.rows.flatMap((row, index) => {
    const innerSegmentId = draft.rows[index - 1]?.id ?? null;
    const wanted = { ...(innerSegmentId === null ? {} : row.ends), join: row.joinKind };
    return JOIN_PLACE_PARTS.flatMap((part) => {
      const kind = wanted[part] ?? null;
      return kind === null ? [] : [{ innerSegmentId, outerSegmentId: row.id, kind, part }];
    });
  });
}

/** The colours of a row: where its length was typed in colours they have names, given or by number, and their own length. */
function coloursOfRow(
  row: StackRow,
  lengthM: number | null,
): { readonly colours: readonly string[]; readonly colourLengthM: number | null } {
  const named = coloursIn(row);
  // Only a line that is dyed says how long a colour of it is.
  const typedM = row.typed && saysColours(row.typed.text) ? (row.typed.colourM ?? null) : null;
  if (typedM !== null && lengthM !== null)
    return { colours: colourNames(lengthM / typedM, named), colourLengthM: typedM };
  // Another length was typed over one in colours: the names stand, in equal parts.
  return { colours: named, colourLengthM: row.typed || named.length === 0 ? null : (row.colourLengthM ?? null) };
}

/** Names of a row's colours, as they stand in its field. */
export function coloursIn(row: StackRow): readonly string[] {
  return row.colours
    .split(',')
    .map((colour) => colour.trim())
    .filter((colour) => colour !== '');
}
