'use client';

import { useState } from 'react';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

/** Adds one of the crew: a name or a post, and the working hand. */
export function NewPerson() {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const [name, setName] = useState('');
  const [hand, setHand] = useState<'left' | 'right'>('right');
  const add = async (): Promise<void> => {
    const result = await sendNow('addPerson', { boatId: record.boat.id }, { name, hand }, 'On the crew list.');
    if (result.ok) setName('');
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      <TextField label="Add one of the crew" value={name} onChange={setName} error={fieldError('name')} />
      <ChoiceField
        label="Works with the"
        value={hand}
        options={[
          { value: 'right', text: 'right hand' },
          { value: 'left', text: 'left hand' },
        ]}
        onChange={setHand}
      />
      <Button disabled={state.kind === 'sending' || name.trim() === ''} onClick={() => void add()}>
        Add to the crew
      </Button>
    </div>
  );
}
