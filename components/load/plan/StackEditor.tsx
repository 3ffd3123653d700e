'use client';

import { useMemo } from 'react';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, Copy, GripVertical, Plus, Scissors, Trash2 } from 'lucide-react';
import { useId } from 'react';
import { JOIN_KIND_NAMES, JOIN_KINDS, MEETING_KINDS, type JoinKind } from '@/core/joins/joinKinds';
import { choiceForParts } from '@/core/rig/joins/joinChoice';
import { useRig } from '@/components/rig/RigProvider';
import { endsFor, JoinAdvice } from './JoinAdvice';
import type { BackingPurpose } from '@/core/load/backing';
import { colourNames } from '@/core/load/colours';
import { SEGMENT_ROLES, type LineProductRecord } from '@/core/record/record';
import { COLOUR_LENGTH_M, saysColours } from '@/core/units/parseQuantity';
import type { Typed } from '@/components/fields/typedQuantity';
import { QuantityField } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { Button } from '@/components/ui/Button';
import { HOW_LONG } from '@/components/line/lineEditor';
import { offeredLines } from '@/components/keeping/offeredLines';
import { LIMITS } from '@/usecases/limits';
import { rowLengthM, type StackDraft, type StackRow } from './stackDraft';
import {
  withAdded,
  withDuplicated,
  withHowLong,
  withMoved,
  withPlaced,
  withRemoved,
  withRow,
  withSplit,
} from './stackMoves';

interface Props {
  readonly draft: StackDraft;
  readonly products: readonly LineProductRecord[];
  readonly onChange: (draft: StackDraft) => void;
  readonly fieldError: (path: string) => string | undefined;
}

/** What backing is for. */
const PURPOSES: readonly { value: BackingPurpose | ''; text: string }[] = [
  { value: '', text: 'not said' },
  { value: 'fill', text: 'to fill the spool' },
  { value: 'reserve', text: 'a reserve for a long run' },
  { value: 'abrasion', text: 'to stand coral and rock' },
];

/** Where a length is typed in colours and none has a name yet: the names that the line's own spool has. */
function namedColours(row: StackRow, line: LineProductRecord | undefined, typed: Typed): Partial<StackRow> {
  const read = saysColours(typed.text) ? rowLengthM({ ...row, typed }) : null;
  if (!line || line.colours.length === 0 || row.colours !== '' || read == null) return {};
  return { colours: colourNames(read / (line.colourLengthM ?? COLOUR_LENGTH_M), line.colours).join(', ') };
}

function Check({
  label,
  checked,
  onChange,
  disabled,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
}) {
  return (
    <label className={`flex min-h-11 items-center gap-2 text-sm ${disabled ? 'opacity-60' : ''}`}>
      <input
        type="checkbox"
        checked={checked}
        disabled={disabled}
        onChange={(event) => onChange(event.target.checked)}
        className="size-5 accent-chalk"
      />
      {label}
    </label>
  );
}

/** Joins by name: the arbor's own, or what meets two lines; what is chosen stays in the list. */
const joinOptions = (index: number, chosen: JoinKind) =>
  JOIN_KIND_NAMES.filter(
    (kind) => kind === chosen || ((index === 0) === (kind === 'arbor-sliding-knot') && MEETING_KINDS.includes(kind)),
  ).map((kind) => ({ value: kind, text: JOIN_KINDS[kind].name }));

function SegmentRow({ row, index, props }: { row: StackRow; index: number; props: Props }) {
  const { draft, products, onChange, fieldError } = props;
  const change = (part: Partial<StackRow>): void => onChange(withRow(draft, row.id, part));
  const product = products.find((each) => each.id === row.productId);
  const material = product?.material;
  const { record } = useRig();
  const below = draft.rows[index - 1] ?? null;
  const choice = useMemo(() => choiceForParts(record, below, row), [record, below, row]);
  const error = (field: string): string | undefined => fieldError(`segments.${index}.${field}`);
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: row.id,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? '' }}
      className={`border-l-4 border-rule bg-paper/50 p-3 ${isDragging ? 'relative z-10 bg-card shadow-lg' : ''}`}
    >
      <div className="mb-2 flex flex-wrap items-center gap-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Drag ${row.name} to another place`}
          title="Drag to another place, or focus, space and arrows"
          className="grid size-11 cursor-grab touch-none place-items-center rounded-sm text-ink-soft"
        >
          <GripVertical className="size-5" aria-hidden />
        </button>
        <span className="lettered mr-auto">
          {index + 1}. {row.name || 'unnamed'}
        </span>
        <IconButton
          label={`Move ${row.name} towards the arbor`}
          disabled={index === 0}
          onClick={() => onChange(withMoved(draft, row.id, -1))}
        >
          <ArrowUp className="size-4" aria-hidden />
        </IconButton>
        <IconButton
          label={`Move ${row.name} towards the hook`}
          disabled={index === draft.rows.length - 1}
          onClick={() => onChange(withMoved(draft, row.id, 1))}
        >
          <ArrowDown className="size-4" aria-hidden />
        </IconButton>
        <IconButton
          label={`Duplicate ${row.name}`}
          onClick={() => onChange(withDuplicated(draft, row.id, crypto.randomUUID()))}
        >
          <Copy className="size-4" aria-hidden />
        </IconButton>
        <IconButton
          label={`Split ${row.name} in two`}
          disabled={rowLengthM(row) == null}
          onClick={() => onChange(withSplit(draft, row.id, crypto.randomUUID()))}
        >
          <Scissors className="size-4" aria-hidden />
        </IconButton>
        <IconButton label={`Take ${row.name} out of the stack`} onClick={() => onChange(withRemoved(draft, row.id))}>
          <Trash2 className="size-4" aria-hidden />
        </IconButton>
      </div>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <TextField label="Name" value={row.name} onChange={(name) => change({ name })} error={error('name')} />
        <ChoiceField
          label="Part"
          value={row.role}
          options={SEGMENT_ROLES.map((role) => ({ value: role, text: role }))}
          onChange={(role) => change({ role })}
        />
        <ChoiceField
          label="Line"
          value={row.productId}
          options={offeredLines(products, row.productId)}
          onChange={(productId) => change({ productId })}
          error={error('productId')}
        />
        {row.solved ? (
          <div className="flex flex-col gap-1">
            <span className="text-sm font-semibold">Length</span>
            <span className="flex min-h-11 items-center text-sm">worked out</span>
          </div>
        ) : (
          <QuantityField
            label="Length"
            quantity="length"
            typed={row.typed}
            initialSi={row.lengthM}
            limits={LIMITS.segmentLengthM}
            onTyped={(typed) => change({ typed, ...namedColours(row, product, typed) })}
            colourM={material === 'lead core' ? (product?.colourLengthM ?? COLOUR_LENGTH_M) : undefined}
            hint={material === 'lead core' ? 'or in colours: 10 colours, 2 1/2 colours' : undefined}
            error={error('lengthM')}
          />
        )}
        <ChoiceField
          label={index === 0 ? 'Join to the arbor' : 'Join below it'}
          value={row.joinKind}
          options={joinOptions(index, row.joinKind)}
          onChange={(joinKind) => change({ joinKind, ends: endsFor(choice, joinKind) })}
        />
        <JoinAdvice choice={choice} row={row} />
        {row.role === 'backing' && (
          <ChoiceField
            label="What it is for"
            value={row.purpose ?? ''}
            options={PURPOSES}
            onChange={(purpose) => change({ purpose: purpose === '' ? null : purpose })}
          />
        )}
        {material === 'lead core' && (
          <TextField
            label="Colours, from the arbor"
            value={row.colours}
            onChange={(colours) => change({ colours })}
            hint="in the order of this very spool; may stay empty"
          />
        )}
        <div className="col-span-2 flex flex-wrap items-end gap-x-5">
          <div className="w-64">
            <ChoiceField
              label="How long"
              value={row.solved ? 'solved' : row.lengthKnown ? 'piece' : 'typed'}
              options={row.wound ? HOW_LONG : HOW_LONG.filter((each) => each.value !== 'solved')}
              onChange={(how) => onChange(withHowLong(draft, row.id, how))}
            />
          </div>
          <Check
            label="let out by hand"
            checked={!row.wound}
            onChange={(byHand) => change({ wound: !byHand, ...(byHand ? { solved: false } : {}) })}
          />
        </div>
      </div>
    </li>
  );
}

function IconButton({
  label,
  children,
  ...rest
}: {
  label: string;
  children: React.ReactNode;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="grid size-11 place-items-center rounded-sm border border-edge-strong bg-card disabled:opacity-40"
      {...rest}
    >
      {children}
    </button>
  );
}

/** The stack in winding order: every segment, its line, length and the join below it. */
export function StackEditor(props: Props) {
  const { draft, products, onChange } = props;
  const firstProduct = products.find(({ archivedAt }) => archivedAt === null) ?? products[0];
  // The same on the server and in the browser, which the library's own counter is not.
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const name = (rowId: string | number | undefined): string =>
    draft.rows.find((row) => row.id === String(rowId))?.name ?? 'nothing';
  const place = (rowId: string | number): number => draft.rows.findIndex((row) => row.id === String(rowId)) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) =>
      `${name(active.id)} is picked up. Arrows move it, space puts it down, Escape puts it back.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} is over place ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => `${name(active.id)} is put down${over ? ` at place ${place(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${name(active.id)} is back where it was.`,
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    if (over) onChange(withPlaced(draft, String(active.id), String(over.id)));
  };
  return (
    <div className="flex flex-col gap-3">
      <DndContext id={id} sensors={sensors} onDragEnd={drop} accessibility={{ announcements }}>
        <SortableContext items={draft.rows.map((row) => row.id)} strategy={verticalListSortingStrategy}>
          <ol className="flex flex-col gap-3">
            {draft.rows.map((row, index) => (
              <SegmentRow key={row.id} row={row} index={index} props={props} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {firstProduct && (
        <Button onClick={() => onChange(withAdded(draft, crypto.randomUUID(), firstProduct.id))}>
          <Plus className="size-4" aria-hidden /> Add a segment on top
        </Button>
      )}
    </div>
  );
}
