'use client';

import { useMemo } from 'react';
import type { RigRecord } from '@/core/record/record';
import { COLOUR_LENGTH_M } from '@/core/units/parseQuantity';
import { toSi } from '@/core/units/units';
import type { EditedSegment, LineEditor } from '@/components/line/lineEditor';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { planOfDraft } from './planOfDraft';
import { rowLengthM, type StackDraft } from './stackDraft';
import { withHowLong, withInserted, withLength, withPlaced, withRemoved, withSplitAt } from './stackMoves';

/** Lead core is lengthened by quarters of a colour. */
const QUARTERS = 4;
const STEPS_AT_ONCE = 10;

/**
 * A stack that is being planned, for the ribbon to be its editor.
 *
 * @param plan what the draft comes to
 */
export function useStackEditor(
  record: RigRecord,
  draft: StackDraft,
  plan: ReturnType<typeof planOfDraft>['plan'],
  keep: (draft: StackDraft) => void,
): LineEditor | null {
  const { units, format } = useUnits();
  const say = useSay();
  return useMemo(() => {
    if (!plan?.ok) return null;
    const { segments: lengths, line } = plan.value;
    const rows = draft.rows.toReversed();
    const stepM = toSi('length', 1, units.length);
    const segments = rows.map((row): EditedSegment => {
      const product = record.products.find(({ id }) => id === row.productId);
      const isLead = product?.material === 'lead core';
      const planned = lengths.find(({ id }) => id === row.id)?.lengthM.value ?? 0;
      return {
        ...{ id: row.id, name: row.name, lengthM: line.segments.find(({ id }) => id === row.id)?.lengthM ?? planned },
        howLong: row.solved ? 'solved' : row.lengthKnown ? 'piece' : 'typed',
        heldBecause: row.solved
          ? `${row.name} is worked out, to fill the reel. Press it and choose “as typed”, and it moves.`
          : row.lengthKnown
            ? `${row.name} is a whole piece: all of it goes on. Press it and choose “as typed”, and it moves.`
            : null,
        stepM: isLead ? (row.colourLengthM ?? product.colourLengthM ?? COLOUR_LENGTH_M) / QUARTERS : stepM,
        stepsAtOnce: isLead ? QUARTERS : STEPS_AT_ONCE,
      };
    });
    /** Takes a change where the line still fits; else says why not. */
    const take = (next: StackDraft): string | null => {
      const then = planOfDraft(record, next);
      if (then.fill && !then.fill.ok) return `Not done. ${say(then.fill)}`;
      if (then.plan && !then.plan.ok) {
        const { takenVolumeM3, availableVolumeM3 } = then.plan.figures;
        return `Not done: it would take ${format.volume(takenVolumeM3)}, and there is room for ${format.volume(availableVolumeM3)}.`;
      }
      keep(next);
      return null;
    };
    const isOpen = (id: string): boolean => draft.rows.some((row) => row.id === id && rowLengthM(row) == null);
    return {
      segments,
      shelf: record.products.filter(({ archivedAt }) => archivedAt === null).map(({ id, name }) => ({ id, name })),
      lengthen: (id, lengthM) => {
        const held = segments.find((each) => each.id === id)?.heldBecause ?? null;
        return held ?? take(withLength(draft, id, lengthM));
      },
      measureBy: (id, how) => {
        // What was worked out until now stands at that length from here on: no segment is left without one.
        const open = segments.find((each) => each.howLong === 'solved');
        const from = open && (how === 'solved') === (open.id !== id) ? withLength(draft, open.id, open.lengthM) : draft;
        return take(withHowLong(from, id, how));
      },
      place: (id, atId) => take(withPlaced(draft, id, atId)),
      split: (id, atM) =>
        isOpen(id)
          ? 'Its length is worked out. Choose “as typed”, and it can be cut in two.'
          : take(withSplitAt(draft, id, crypto.randomUUID(), atM)),
      remove: (id) => take(withRemoved(draft, id)),
      add: (lineId, underId) => {
        const product = record.products.find(({ id }) => id === lineId);
        const at = underId === null ? draft.rows.length : draft.rows.findIndex(({ id }) => id === underId);
        return product ? take(withInserted(draft, crypto.randomUUID(), product, Math.max(at, 0))) : null;
      },
    };
  }, [record, draft, plan, keep, units.length, format, say]);
}
