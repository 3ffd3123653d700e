'use client';

import { MEASUREMENT_KINDS, USUAL_MINUTES } from '@/core/worth/measurement';
import type { KnownMinutes } from '@/core/worth/minutes';
import { MEASUREMENT_NAMES } from '@/words/measuring';
import { FormText } from '@/components/fields/FormParts';
import { number } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';

const LIMITS = { min: 0.25, max: 240 };

/** How long each measurement takes this crew: as usual, by their own times, or as they say. */
export function MinutesTable({ boatId, known }: { boatId: string; known: readonly KnownMinutes[] }) {
  return (
    <CollapsibleCard
      id="minutes"
      title="How long measurements take you"
      line="as usual until you say otherwise, or until your own log tells"
    >
      <Minutes boatId={boatId} known={known} />
    </CollapsibleCard>
  );
}

function Minutes({ boatId, known }: { boatId: string; known: readonly KnownMinutes[] }) {
  const { sendNow, state } = useSend();
  const said = (kind: (typeof MEASUREMENT_KINDS)[number]): number | null =>
    known.find((each) => each.kind === kind && each.from === 'said')?.minutes ?? null;
  const form = useDraftForm(
    `minutes:${boatId}`,
    Object.fromEntries(MEASUREMENT_KINDS.map((kind) => [kind, number(LIMITS, said(kind))])),
    JSON.stringify(known),
    'follow',
  );
  const store = (): Promise<void> =>
    form.submit((values) => {
      const minutes = Object.fromEntries(
        MEASUREMENT_KINDS.flatMap((kind) => {
          const value = values[kind];
          return value === null || value === undefined ? [] : [[kind, value]];
        }),
      );
      return sendNow('setMinutes', { boatId }, { minutes }, 'Noted. The list follows.');
    });
  return (
    <div className="flex flex-col gap-3">
      <p className="text-sm">Minutes for each. Left empty it is what stands beside it.</p>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
        {MEASUREMENT_KINDS.map((kind) => {
          const own = known.find((each) => each.kind === kind && each.from === 'log');
          const name = MEASUREMENT_NAMES[kind];
          return (
            <FormText
              key={kind}
              form={form}
              name={kind}
              label={name}
              inputMode="decimal"
              hint={
                own
                  ? `${Math.round(10 * own.minutes) / 10} min by your own log`
                  : `${USUAL_MINUTES[kind]} min, as is usual`
              }
            />
          );
        })}
      </div>
      <div>
        <Button disabled={state.kind === 'sending'} onClick={() => void store()}>
          Keep these times
        </Button>
      </div>
    </div>
  );
}
