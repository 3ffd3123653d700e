'use client';

import { useState } from 'react';
import { guessedDiameter } from '@/core/gear/lineDiameter';
import type { LinesToJoin } from '@/core/joins/joinedLine';
import type { PrepFigureName } from '@/core/joins/schools';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useRig } from '@/components/rig/RigProvider';
import { useSay } from '@/components/units/useSay';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { figureWords } from './figureWords';

const BY_TEST = 'by line test';
const FIGURES: readonly PrepFigureName[] = ['bury', 'taper', 'needle', 'loop', 'seating'];

/** Figures of a splice in hollow braid: of a line of this boat, or by its line test alone. */
export function SpliceCardInside() {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const hollow = record.products.filter((product) => product.material === 'hollow braid');
  const [chosen, setChosen] = useState(hollow[0]?.id ?? BY_TEST);
  const test = useQuantity(`splice:${record.id}`, 'force', null, LIMITS.forceN);
  const product = hollow.find((candidate) => candidate.id === chosen);
  const diameter = product?.diameterM ?? (test.value === null ? null : guessedDiameter('hollow braid', test.value));
  const strength = product ? product.labelStrengthN : test.value;
  const lines: LinesToJoin | null = diameter && {
    inner: null,
    outer: {
      name: product?.name ?? 'hollow braid',
      material: 'hollow braid',
      diameterM: diameter.value,
      strengthN: strength === null ? null : { value: strength, sd: 0.2 * strength, source: 'label' },
    },
    reel: {
      fullDiameterM: record.reel.fullDiameterM.value,
      widthM: record.reel.widthM.value,
      arborDiameterM: record.reel.arborDiameterM.value,
    },
  };
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <ChoiceField
          label="Hollow braid"
          value={product?.id ?? BY_TEST}
          options={[...hollow.map(({ id, name }) => ({ value: id, text: name })), { value: BY_TEST, text: BY_TEST }]}
          onChange={setChosen}
        />
        {!product && (
          <div className="w-40">
            <QuantityField label="Line test" {...test.field} />
          </div>
        )}
      </div>
      {lines && diameter ? (
        <ul className="mt-3 flex flex-col gap-1 text-sm">
          <li>
            Thickness {format.small(diameter.value, PLUS_MINUS_SDS * diameter.sd)}
            {product ? '' : ', a guess from its strength: wrap it round a rod to know'}
          </li>
          {FIGURES.map((name) => {
            const words = figureWords(name, lines, format, say);
            return words && <li key={name}>{words}</li>;
          })}
          <li>
            Milk it smooth from the loop outwards until no braid stands bunched; a gap left is where it pulls out.
          </li>
        </ul>
      ) : (
        <p className="mt-3 text-sm">Say the line test, and the figures of the splice stand here.</p>
      )}
    </>
  );
}
