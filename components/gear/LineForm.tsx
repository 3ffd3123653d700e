'use client';

import { CONSTRUCTIONS, CONSTRUCTIONS_OF, type Construction } from '@/core/joins/ends';
import { MATERIAL, MATERIALS } from '@/core/materials/materials';
import type { LineProductRecord } from '@/core/record/record';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededQuantity, number, quantity, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';
import { GRAMS_PER_KG_M, TEN_METRES_GRAMS } from './tenMetres';
import { ThicknessHelp } from './ThicknessHelp';

const SOURCES = ['label', 'measured', 'default'] as const;

const MADE = ['not said', ...CONSTRUCTIONS] as const;
const MAKES: Readonly<Record<(typeof MADE)[number], string>> = {
  'not said': 'not said',
  'bonded sheath': 'sheath bonded to the lead',
  'loose sheath': 'lead pulls out of the sheath',
  'looped ends': 'comes with loops',
  'bare ends': 'no loops',
  hard: 'hard, stiff',
  soft: 'soft, limp',
};

/** Makes that a material can have. */
const madeOf = (material: string | null): readonly Construction[] => CONSTRUCTIONS_OF[material ?? ''] ?? [];

/** Names with commas between them. */
const namesIn = (typed: string): readonly string[] =>
  typed
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');

/** What somebody has said of a line before it is put on record. */
export type BegunLine = Pick<LineProductRecord, 'material' | 'labelStrengthN'>;

/** A line by what its label says, or better by what was measured. */
export function LineForm({
  boatId,
  line,
  begun,
  onDone,
}: {
  boatId: string;
  line: LineProductRecord | null;
  begun: BegunLine | null;
  onDone: () => void;
}) {
  const key = `line:${line?.id ?? boatId}`;
  const { sendNow, state } = useSend();
  const source = line?.diameterM.source;
  const form = useDraftForm(key, {
    name: words(line?.name),
    material: choice(MATERIALS, line?.material ?? begun?.material ?? 'nylon'),
    diameterM: neededQuantity('smallLength', LIMITS.lineDiameterM, line?.diameterM.value ?? null),
    diameterSource: choice(SOURCES, source === 'measured' || source === 'default' ? source : 'label'),
    labelStrengthN: quantity('force', LIMITS.forceN, line?.labelStrengthN ?? begun?.labelStrengthN ?? null),
    construction: choice(MADE, line?.construction ?? 'not said'),
    family: words(line?.family),
    colourLengthM: quantity('length', LIMITS.colourLengthM, line?.colourLengthM ?? null),
    colours: words(line?.colours.join(', ')),
    gramsPer10M: number(
      TEN_METRES_GRAMS,
      line?.massKgPerM == null ? null : Number((GRAMS_PER_KG_M * line.massKgPerM).toFixed(2)),
    ),
  });
  const store = (): Promise<void> =>
    form.submit(async ({ colours, construction, gramsPer10M, ...stated }) => {
      const said = madeOf(stated.material).find((each) => each === construction) ?? null;
      const massKgPerM = gramsPer10M === null ? null : gramsPer10M / GRAMS_PER_KG_M;
      const body = { ...stated, construction: said, colours: namesIn(colours), massKgPerM };
      const result = line
        ? await sendNow(
            'changeLine',
            { boatId, lineId: line.id },
            { version: line.version, line: body },
            'The line is stored.',
          )
        : await sendNow('createLine', { boatId }, body, 'The line is on record.');
      if (result.ok) onDone();
      return result;
    });
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void store();
      }}
    >
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-5">
        <FormText form={form} name="name" label="Name" />
        <FormChoice
          form={form}
          name="material"
          label="Material"
          options={MATERIALS.map((value) => ({ value, text: value }))}
        />
        <FormQuantity form={form} name="diameterM" label="Thickness" />
        <FormChoice
          form={form}
          name="diameterSource"
          label="That thickness is"
          options={[
            { value: 'label', text: 'from the label' },
            { value: 'measured', text: 'by wraps or caliper' },
            { value: 'default', text: 'a guess from its strength' },
          ]}
          hint="labels of braid are off by 10 to 20 %"
        />
        <FormQuantity form={form} name="labelStrengthN" label="Strength on the label" hint="may stay empty" />
        <FormText
          form={form}
          name="family"
          label="All its sizes are called"
          hint="sizes of one product tell on each other"
        />
        {madeOf(form.value('material')).length > 0 && (
          <FormChoice
            form={form}
            name="construction"
            label="Its make"
            options={['not said' as const, ...madeOf(form.value('material'))].map((value) => ({
              value,
              text: MAKES[value],
            }))}
            hint="says what its end can be made"
          />
        )}
        {MATERIAL[form.value('material') ?? 'nylon'].solidKgM3 !== null && (
          <FormText
            form={form}
            name="gramsPer10M"
            label="Ten metres of it weigh, g"
            hint="dry, on a kitchen scale: says how it sinks; may stay empty"
            inputMode="decimal"
          />
        )}
        {form.value('material') === 'lead core' && (
          <>
            <FormQuantity form={form} name="colourLengthM" label="Length of a colour" hint="empty: ten yards" />
            <FormText
              form={form}
              name="colours"
              label="Its colours"
              hint="as they come off the spool, with commas; may stay empty"
            />
          </>
        )}
      </div>
      <ThicknessHelp
        draftKey={key}
        material={form.value('material') ?? 'nylon'}
        labelStrengthN={form.value('labelStrengthN')}
        onTake={(found) => {
          form.set('diameterM', { text: (found.value * 1000).toFixed(3), unit: 'mm' });
          const { source: of } = found;
          form.set('diameterSource', of === 'measured' || of === 'default' ? of : 'label');
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
