'use client';

import { useState } from 'react';
import { MATERIALS } from '@/core/load/defaults';
import type { LineProductRecord } from '@/core/rig/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';
import { ThicknessHelp } from './ThicknessHelp';

/** A line by what its label says, or better by what was measured. */
export function LineForm({
  boatId,
  line,
  onDone,
}: {
  boatId: string;
  line: LineProductRecord | null;
  onDone: () => void;
}) {
  const key = `line:${line?.id ?? boatId}`;
  const { sendNow, state, fieldError } = useSend();
  const [typedName, setName] = useDraft(`${key}:name`, isText);
  const diameter = useQuantity(`${key}:diameter`, 'smallLength', line?.diameterM.value ?? null, LIMITS.lineDiameterM);
  const strength = useQuantity(`${key}:strength`, 'force', line?.labelStrengthN ?? null, LIMITS.forceN);
  const [family, setFamily] = useState(line?.family ?? '');
  const [material, setMaterial] = useState<LineProductRecord['material']>(line?.material ?? 'nylon');
  const [source, setSource] = useState<'label' | 'measured' | 'default'>(
    line?.diameterM.source === 'measured' || line?.diameterM.source === 'default' ? line.diameterM.source : 'label',
  );
  const error = (path: string): string | undefined => fieldError(path) ?? fieldError(`line.${path}`);
  const store = async (): Promise<void> => {
    const body = {
      name: typedName ?? line?.name ?? '',
      material,
      diameterM: diameter.value,
      diameterSource: source,
      labelStrengthN: strength.value,
      family,
    };
    const result = line
      ? await sendNow(
          'changeLine',
          { boatId, lineId: line.id },
          { version: line.version, line: body },
          'The line is stored.',
        )
      : await sendNow('createLine', { boatId }, body, 'The line is on record.');
    if (!result.ok) return;
    setName(null);
    diameter.forget();
    strength.forget();
    onDone();
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void store();
      }}
    >
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-5">
        <TextField label="Name" value={typedName ?? line?.name ?? ''} onChange={setName} error={error('name')} />
        <ChoiceField
          label="Material"
          value={material}
          options={MATERIALS.map((value) => ({ value, text: value }))}
          onChange={setMaterial}
        />
        <QuantityField label="Thickness" {...diameter.field} error={error('diameterM')} />
        <ChoiceField
          label="That thickness is"
          value={source}
          options={[
            { value: 'label', text: 'from the label' },
            { value: 'measured', text: 'by wraps or caliper' },
            { value: 'default', text: 'a guess from its strength' },
          ]}
          onChange={setSource}
          hint="labels of braid are off by 10 to 20 %"
        />
        <QuantityField
          label="Strength on the label"
          {...strength.field}
          error={error('labelStrengthN')}
          hint="may stay empty"
        />
        <TextField
          label="All its sizes are called"
          value={family}
          onChange={setFamily}
          error={error('family')}
          hint="sizes of one product tell on each other"
        />
      </div>
      <ThicknessHelp
        draftKey={key}
        material={material}
        labelStrengthN={strength.value}
        onTake={(found) => {
          diameter.set({ text: (found.value * 1000).toFixed(3), unit: 'mm' });
          setSource(found.source === 'measured' ? 'measured' : found.source === 'default' ? 'default' : 'label');
        }}
      />
      <div className="flex gap-2">
        <Button type="submit" weight="main" disabled={state.kind === 'sending'}>
          {line ? 'Store this line' : 'Add this line'}
        </Button>
        {line && (
          <Button weight="quiet" onClick={onDone}>
            Leave it as it was
          </Button>
        )}
      </div>
    </form>
  );
}
