'use client';

import {
  diameterFromBraidNumber,
  diameterFromCaliper,
  diameterFromWraps,
  guessedDiameter,
} from '@/core/gear/lineDiameter';
import type { Material } from '@/core/materials/materials';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { Known } from '@/core/provenance/source';
import { toSi } from '@/core/units/units';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useKeptChoice, useKeptText } from '@/components/fields/useKept';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

type Way = 'wraps' | 'caliper' | 'number' | 'guess';

const WAYS: readonly { value: Way; text: string }[] = [
  { value: 'wraps', text: 'touching wraps on a rod' },
  { value: 'caliper', text: 'a caliper at several places' },
  { value: 'number', text: 'the size number of a braid' },
  { value: 'guess', text: 'a guess from its strength' },
];

const ROW_LIMITS = { min: 0.0005, max: 0.2 };

function positiveNumber(text: string): number | null {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value > 0 ? value : null;
}

/** Where people stall: a line's thickness from wraps, from a size number, or as a last resort from its strength. */
export function ThicknessHelp({
  draftKey,
  material,
  labelStrengthN,
  onTake,
}: {
  draftKey: string;
  material: Material;
  labelStrengthN: number | null;
  onTake: (diameter: Known) => void;
}) {
  const { format, units } = useUnits();
  const [way, setWay] = useKeptChoice(
    `${draftKey}:by`,
    WAYS.map(({ value }) => value),
    'wraps',
  );
  const [wraps, setWraps] = useKeptText(`${draftKey}:wrapCount`, '20');
  const [number, setNumber] = useKeptText(`${draftKey}:number`);
  const row = useQuantity(`${draftKey}:wraps`, 'smallLength', null, ROW_LIMITS);
  // Figures that were typed in one unit are none of another.
  const [typed, setTyped] = useKeptText(`${draftKey}:caliper, ${units.smallLength}`);
  const readings = typed.split(/[\s;]+/).flatMap((each) => {
    const value = positiveNumber(each);
    return value === null ? [] : [toSi('smallLength', value, units.smallLength)];
  });
  const count = positiveNumber(wraps);
  const size = positiveNumber(number);
  const found =
    way === 'wraps'
      ? row.value !== null && count !== null
        ? diameterFromWraps(row.value, count)
        : null
      : way === 'caliper'
        ? readings.length > 1
          ? diameterFromCaliper(readings)
          : null
        : way === 'number'
          ? size !== null
            ? diameterFromBraidNumber(size)
            : null
          : labelStrengthN !== null
            ? guessedDiameter(material, labelStrengthN)
            : null;
  return (
    <details className="border-l-4 border-rule pl-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        Thickness not known? Find it
      </summary>
      <div className="flex flex-wrap items-end gap-2 pb-2">
        <ChoiceField label="By" value={way} options={WAYS} onChange={setWay} />
        {way === 'wraps' && (
          <>
            <div className="w-28">
              <TextField label="Wraps" inputMode="numeric" figures value={wraps} onChange={setWraps} />
            </div>
            <div className="w-44">
              <QuantityField label="Width over all of them" {...row.field} />
            </div>
          </>
        )}
        {way === 'caliper' && (
          <div className="w-64">
            <TextField
              label={`Readings in ${units.smallLength}, a blank between`}
              inputMode="decimal"
              figures
              value={typed}
              onChange={setTyped}
              hint="round line only: braid gives way under the jaws"
            />
          </div>
        )}
        {way === 'number' && (
          <div className="w-28">
            <TextField label="Number" inputMode="decimal" figures value={number} onChange={setNumber} />
          </div>
        )}
        {way === 'guess' && labelStrengthN === null && <p className="text-sm">Type the strength on the label first.</p>}
        {found && (
          <>
            <p className="figures min-h-11 content-center">
              {format.thickness(found.value)} ± {format.thickness(PLUS_MINUS_SDS * found.sd)}
              {found.source === 'default' && ' (a guess)'}
            </p>
            <Button onClick={() => onTake(found)}>Take this thickness</Button>
          </>
        )}
      </div>
    </details>
  );
}
