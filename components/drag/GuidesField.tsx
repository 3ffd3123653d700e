'use client';

import { GUIDE_KINDS, type GuideKind } from '@/core/drag/guideFactor';
import { FormChoice, FormText } from '@/components/fields/FormParts';
import { choice, neededNumber } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

const NAMES: Readonly<Record<GuideKind, string>> = {
  rings: 'rings',
  'roller tip': 'rings, and a roller at the tip',
  rollers: 'rollers',
};

/** Guides of a usual rod, the tip among them. */
const USUAL_COUNT = 7;

/** What the line runs over: it says how much the guides hold back, until somebody measures it. */
export function GuidesField() {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const { guides } = record;
  const form = useDraftForm(
    `guides:${record.id}`,
    {
      kind: choice(GUIDE_KINDS, guides?.kind ?? 'rings'),
      count: neededNumber({ min: 1, max: 30 }, guides?.count ?? USUAL_COUNT),
    },
    `${guides?.kind} ${guides?.count}`,
    'follow',
  );
  const store = () =>
    form.submit(({ kind, count }) =>
      sendNow('noteGuides', { boatId: record.boat.id, rigId: record.id }, { kind, count }, 'Noted.'),
    );
  return (
    <details className="text-sm">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        {guides ? `The rod has ${guides.count} guides: ${NAMES[guides.kind]}` : 'What the line runs over is not told'}
      </summary>
      <div className="flex flex-wrap items-end gap-2 pt-1">
        <FormChoice
          form={form}
          name="kind"
          label="The rod has"
          options={GUIDE_KINDS.map((kind) => ({ value: kind, text: NAMES[kind] }))}
        />
        <div className="w-28">
          <FormText form={form} name="count" label="How many" inputMode="numeric" />
        </div>
        <Button disabled={state.kind === 'sending'} onClick={() => void store()}>
          Keep it
        </Button>
      </div>
    </details>
  );
}
