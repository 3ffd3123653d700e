'use client';

import { FormText } from '@/components/fields/FormParts';
import { words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { boatPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { useGo } from '@/components/ui/useGo';

/** A new boat: a locker of its own, whose rigs no other boat sees. */
export function NewBoat() {
  const go = useGo();
  const { sendNow, state } = useSend();
  const form = useDraftForm('boat', { name: words(), homeWater: words() });
  const create = (): Promise<void> =>
    form.submit(async (boat) => {
      const result = await sendNow('createBoat', {}, boat, 'The locker is ready.');
      if (result.ok) go.to(boatPath(result.value.id));
      return result;
    });
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void create();
      }}
    >
      <FormText form={form} name="name" label="Name of the boat, club or bench" />
      <FormText form={form} name="homeWater" label="Home water" hint="may stay empty" />
      <div>
        <Button type="submit" weight="main" disabled={state.kind === 'sending'}>
          Make a locker
        </Button>
      </div>
    </form>
  );
}
