'use client';

import { useState } from 'react';
import { canBeOwn, countsTurns, ownFigureOf, type OwnFigure } from '@/core/joins/ownFigures';
import { schoolById, type GuideStep, type School } from '@/core/joins/schools';
import { ChoiceField } from '@/components/fields/TextField';
import { FormQuantity, FormText } from '@/components/fields/FormParts';
import { neededNumber, neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { stepWords } from '@/words/guide';

/** Turns and lengths of a guide as this crew has them, in the place of the school's. */
export function OwnFigures({ school, own }: { school: School; own: readonly OwnFigure[] }) {
  const { format } = useUnits();
  const steps = school.steps.filter(canBeOwn);
  const [isOpen, setOpen] = useState(false);
  const [picked, setPicked] = useState(steps[0]?.id ?? '');
  const step = steps.find(({ id }) => id === picked) ?? steps[0];
  if (!step) return null;
  const count = own.filter((each) => each.school === school.id).length;
  return (
    <details className="mt-3 text-sm" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        {count > 0 ? `Our own figures: ${count}` : 'Our own figures instead of the school’s'}
      </summary>
      {isOpen && (
        <div className="flex flex-wrap items-end gap-2 pt-1">
          <div className="w-72 max-w-full">
            <ChoiceField
              label="Step"
              value={step.id}
              options={steps.map((each) => ({ value: each.id, text: stepWords(each.says, format) }))}
              onChange={setPicked}
            />
          </div>
          <OwnFigureOfStep
            key={`${school.id} ${step.id}`}
            school={school}
            step={step}
            own={ownFigureOf(school, step, own)}
          />
        </div>
      )}
    </details>
  );
}

function OwnFigureOfStep({ school, step, own }: { school: School; step: GuideStep; own: OwnFigure | null }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const isCount = countsTurns(step);
  const spec = (value: number | null) =>
    isCount ? neededNumber({ min: 1, max: 200 }, value) : neededQuantity('smallLength', { min: 0.0005, max: 5 }, value);
  // What the school itself says, where nothing of our own was put in its place.
  const taught = schoolById(school.id)?.steps.find(({ id }) => id === step.id)?.times;
  const form = useDraftForm(
    `own-figure:${school.id}:${step.id}`,
    { least: spec(own?.least ?? taught?.least ?? null), most: spec(own?.most ?? taught?.most ?? null) },
    `${own?.least} ${own?.most}`,
  );
  const keep = (figures: { least: number; most: number } | null) =>
    sendNow(
      'noteOwnFigure',
      { boatId: record.boat.id },
      { school: school.id, step: step.id, own: figures },
      figures ? 'Noted: this guide has our own figure.' : 'The school’s figure counts again.',
    );
  const busy = state.kind === 'sending';
  const Field = isCount ? FormText : FormQuantity;
  return (
    <>
      <div className="w-32">
        <Field form={form} name="least" label={isCount ? 'Least, turns' : 'Least'} />
      </div>
      <div className="w-32">
        <Field form={form} name="most" label={isCount ? 'Most, turns' : 'Most'} />
      </div>
      <Button disabled={busy} onClick={() => void form.submit((figures) => keep(figures))}>
        Keep ours
      </Button>
      {own && (
        <Button weight="quiet" disabled={busy} onClick={() => void keep(null)}>
          Back to the school’s
        </Button>
      )}
    </>
  );
}
