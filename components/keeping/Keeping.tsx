'use client';

import { TextField } from '@/components/fields/TextField';
import { useKeptText } from '@/components/fields/useKept';
import type { Thing } from '@/core/record/things';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';

export interface OfThing {
  readonly boatId: string;
  readonly thing: Thing;
  readonly id: string;
  readonly name: string;
  /** What stays, when it is put away. */
  readonly stays: string;
}

/** What can be done with anything that has a name: call it something else, put it away, take it out. */
export function Keeping({
  boatId,
  thing,
  id,
  name,
  stays,
  onDone,
}: OfThing & {
  /** Called when one of it was done. */
  readonly onDone?: () => void;
}) {
  const { sendNow, state, fieldError } = useSend();
  const [typed, setTyped] = useKeptText(`name:${id}`, name);
  const busy = state.kind === 'sending';
  const close = (result: { readonly ok: boolean }): void => {
    if (!result.ok) return;
    setTyped(null);
    onDone?.();
  };
  return (
    <>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void sendNow('rename', { boatId }, { thing, id, name: typed }, `Called ${typed.trim()} from now on.`).then(
            close,
          );
        }}
      >
        <div className="grow">
          <TextField label="Name" value={typed} onChange={setTyped} error={fieldError('name')} />
        </div>
        <Button type="submit" disabled={busy}>
          Store the name
        </Button>
      </form>
      <div className="flex flex-col items-start gap-2 border-t border-edge pt-3">
        <p className="text-sm">{stays}</p>
        <div className="flex flex-wrap gap-2">
          <Button
            disabled={busy}
            onClick={() =>
              void sendNow('putAway', { boatId }, { thing, id, isAway: true }, `${name} is put away.`).then(close)
            }
          >
            Put it away
          </Button>
          {thing !== 'boat' && (
            <Button
              weight="quiet"
              disabled={busy}
              onClick={() => void sendNow('remove', { boatId }, { thing, id }, `${name} is taken out.`).then(close)}
            >
              Take it out for good, where nothing rests on it
            </Button>
          )}
        </div>
        {state.kind === 'failed' && (
          <p role="alert" className="text-sm font-semibold text-stop">
            {state.failure.message}
          </p>
        )}
      </div>
    </>
  );
}
