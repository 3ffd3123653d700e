'use client';

import type { ReactNode } from 'react';
import { MATERIALS } from '@/core/materials/materials';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededQuantity, neededWords, quantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { stationPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { UNIT_COOKIE } from '@/components/units/unitCookie';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { COUNTS_IN } from '@/core/record/gear';
import { useGo } from '@/components/ui/useGo';

/** True where units were chosen on this device. */
const isChosen = (): boolean => document.cookie.split('; ').some((each) => each.startsWith(`${UNIT_COOKIE}=`));

const options = (values: readonly string[]) => values.map((value) => ({ value, text: value }));

/** Five questions, and how much backing goes on: all else can be said later. */
export function FirstReel({ boatId }: { boatId: string }) {
  const go = useGo();
  const { sendNow, state } = useSend();
  const { setUnits } = useUnits();
  const form = useDraftForm(`first-reel:${boatId}`, {
    name: neededWords('First reel'),
    holdsM: neededQuantity('length', LIMITS.segmentLengthM),
    ofThicknessM: neededQuantity('smallLength', LIMITS.lineDiameterM),
    countsIn: choice(COUNTS_IN, 'feet'),
    material: choice(MATERIALS, 'nylon'),
    thicknessM: neededQuantity('smallLength', LIMITS.lineDiameterM),
    lengthM: neededQuantity('length', LIMITS.segmentLengthM),
    backingThicknessM: quantity('smallLength', LIMITS.lineDiameterM),
  });
  const store = (): Promise<void> =>
    form.submit(async (body) => {
      const result = await sendNow('makeFirstRig', { boatId }, body, 'Here is how much backing goes on.');
      // A reel that counts feet is spoken of in feet, unless somebody has chosen units.
      if (result.ok && body.countsIn === 'feet' && !isChosen()) setUnits({ length: 'ft' });
      if (result.ok) go.to(stationPath(boatId, result.value.id, 'load'));
      return result;
    });
  return (
    <Card title="Five questions, and how much backing goes on">
      <ol className="grid max-w-4xl gap-5 sm:grid-cols-2">
        <Question title="1. What does the reel's box say that it holds?">
          <FormQuantity form={form} name="holdsM" label="So much line" />
          <FormQuantity form={form} name="ofThicknessM" label="so thick" />
        </Question>
        <Question title="2. What does its counter count in?">
          <FormChoice form={form} name="countsIn" label="One count is" options={options(COUNTS_IN)} />
        </Question>
        <Question title="3. Which line do you fish with?">
          <FormChoice form={form} name="material" label="Material" options={options(MATERIALS)} />
          <FormQuantity form={form} name="thicknessM" label="Thickness" hint="on its label" />
        </Question>
        <Question title="4. How much of it goes on?">
          <FormQuantity form={form} name="lengthM" label="Length" hint="a whole spool of it, say" />
        </Question>
        <Question title="5. How thick is the backing under it?">
          <FormQuantity form={form} name="backingThicknessM" label="Nylon so thick" hint="empty: as the line on top" />
        </Question>
        <Question title="What is the reel to be called?">
          <FormText form={form} name="name" label="Name" />
        </Question>
      </ol>
      <div className="mt-4">
        <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
          How much backing?
        </Button>
      </div>
      <p className="mt-3 max-w-prose text-sm text-ink-soft">
        Taken as usual until you say otherwise: a reel with a star drag that winds with the right hand, its spool in
        usual proportions. A box is good to some per cent, and the ± says so. A caliper on the spool, or the first
        winding, narrows it.
      </p>
    </Card>
  );
}

function Question({ title, children }: { title: string; children: ReactNode }) {
  return (
    <li className="flex flex-col gap-2">
      <h3 className="font-semibold">{title}</h3>
      <div className="grid grid-cols-2 gap-2">{children}</div>
    </li>
  );
}
