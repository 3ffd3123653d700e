'use client';

import { useRouter } from 'next/navigation';
import { TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { boatPath } from '@/components/shell/places';
import { Button } from '@/components/ui/Button';

/** A new boat: a locker of its own, whose rigs no other boat sees. */
export function NewBoat() {
  const router = useRouter();
  const { sendNow, state, fieldError } = useSend();
  const [name, setName] = useDraft('boat:name', isText);
  const [water, setWater] = useDraft('boat:water', isText);
  const create = async (): Promise<void> => {
    const result = await sendNow(
      'createBoat',
      {},
      { name: name ?? '', homeWater: water ?? '' },
      'The locker is ready.',
    );
    if (!result.ok) return;
    setName(null);
    setWater(null);
    router.push(boatPath(result.value.id));
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void create();
      }}
    >
      <TextField
        label="Name of the boat, club or bench"
        value={name ?? ''}
        onChange={setName}
        error={fieldError('name')}
      />
      <TextField
        label="Home water"
        value={water ?? ''}
        onChange={setWater}
        hint="may stay empty"
        error={fieldError('homeWater')}
      />
      <div>
        <Button type="submit" weight="main" disabled={state.kind === 'sending'}>
          Make a locker
        </Button>
      </div>
    </form>
  );
}
