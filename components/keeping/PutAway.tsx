'use client';

import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import type { Thing } from '@/core/record/things';

/** What was put away, folded, each with the way back. */
export function PutAway({
  boatId,
  thing,
  what,
  rows,
}: {
  /** Null for boats, which are each their own. */
  boatId: string | null;
  thing: Thing;
  /** Named in the plural. */
  what: string;
  rows: readonly { readonly id: string; readonly name: string }[];
}) {
  const { sendNow, state } = useSend();
  if (rows.length === 0) return null;
  return (
    <details className="mt-2 border-t border-edge pt-2">
      <summary className="min-h-11 cursor-pointer py-2.5 text-sm">
        {what} put away: {rows.length}
      </summary>
      <ul className="flex flex-col divide-y divide-edge text-sm">
        {rows.map(({ id, name }) => (
          <li key={id} className="flex items-center justify-between gap-4">
            <span>{name}</span>
            <Button
              weight="quiet"
              disabled={state.kind === 'sending'}
              aria-label={`Bring ${name} back`}
              onClick={() =>
                void sendNow('putAway', { boatId: boatId ?? id }, { thing, id, isAway: false }, `${name} is back.`)
              }
            >
              Bring it back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
