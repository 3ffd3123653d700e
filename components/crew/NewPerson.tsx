'use client';

import { FormChoice, FormText } from '@/components/fields/FormParts';
import { choice, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';

/** Adds one of the crew: a name or a post, and the working hand. */
export function NewPerson({ boatId }: { boatId: string }) {
  const { sendNow, state } = useSend();
  const form = useDraftForm(`person:${boatId}`, { name: words(), hand: choice(['right', 'left'], 'right') });
  const add = (): Promise<void> =>
    form.submit((person) => sendNow('addPerson', { boatId }, person, 'On the crew list.'));
  return (
    <div className="flex flex-wrap items-end gap-2">
      <FormText form={form} name="name" label="Add one of the crew" />
      <FormChoice
        form={form}
        name="hand"
        label="Works with the"
        options={[
          { value: 'right', text: 'right hand' },
          { value: 'left', text: 'left hand' },
        ]}
      />
      <Button disabled={state.kind === 'sending'} onClick={() => void add()}>
        Add to the crew
      </Button>
    </div>
  );
}
