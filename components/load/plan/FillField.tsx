'use client';

import type { FillTarget } from '@/core/load/fillTarget';
import { QuantityField } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { LIMITS } from '@/usecases/limits';
import { initialFill, targetOf, type FillDraft } from './fillDraft';

const KINDS: readonly { value: FillTarget['kind']; text: string }[] = [
  { value: 'below-rim', text: 'so far under the rim' },
  { value: 'depth-share', text: 'a share of the depth' },
  { value: 'mark', text: "a mark: maker's line, groove" },
  { value: 'counter-true', text: 'so that the counter is true' },
];

/** Where the fill is to end, in whichever way a person thinks of it. */
export function FillField({
  fill,
  fullDiameterM,
  hasCounter,
  onChange,
}: {
  fill: FillDraft;
  fullDiameterM: number;
  hasCounter: boolean;
  onChange: (fill: FillDraft) => void;
}) {
  const change = (part: Partial<FillDraft>): void => onChange({ ...fill, ...part });
  const options = hasCounter ? KINDS : KINDS.filter(({ value }) => value !== 'counter-true');
  const initial = initialFill(fill, fullDiameterM);
  const unreadable = targetOf(fill, fullDiameterM) === null;
  return (
    <div className="flex flex-col gap-2">
      <ChoiceField label="Fill it" value={fill.kind} options={options} onChange={(kind) => change({ kind })} />
      {fill.kind === 'below-rim' && (
        <QuantityField
          label="Finished level, under the rim"
          quantity="smallLength"
          typed={fill.level}
          initialSi={initial.levelBelowRimM}
          limits={LIMITS.levelBelowRimM}
          onTyped={(level) => change({ level })}
          hint="2 mm is this product's default: just under full, with room for careless rewinding."
        />
      )}
      {fill.kind === 'depth-share' && (
        <TextField
          label="Share of the depth, per cent"
          inputMode="decimal"
          figures
          value={fill.sharePercent}
          onChange={(sharePercent) => change({ sharePercent })}
          error={unreadable ? 'Between 5 and 110 per cent of the depth from arbor to rim.' : undefined}
          hint="of the way from arbor to rim"
        />
      )}
      {fill.kind === 'mark' && (
        <QuantityField
          label="Diameter at the mark"
          quantity="smallLength"
          typed={fill.mark}
          initialSi={initial.diameterM}
          limits={LIMITS.fullDiameterM}
          onTyped={(mark) => change({ mark })}
          hint="measured across the spool at the mark"
        />
      )}
      {fill.kind === 'counter-true' && (
        <div className="grid grid-cols-2 gap-2">
          <QuantityField
            label="Working from"
            quantity="length"
            typed={fill.from}
            initialSi={initial.fromM}
            limits={LIMITS.walkLengthM}
            onTyped={(from) => change({ from })}
          />
          <QuantityField
            label="to"
            quantity="length"
            typed={fill.to}
            initialSi={initial.toM}
            limits={LIMITS.walkLengthM}
            onTyped={(to) => change({ to })}
            error={unreadable ? 'The range must end beyond its start.' : undefined}
          />
        </div>
      )}
      <QuantityField
        label="Line that will soon be gone"
        quantity="length"
        typed={fill.soonGone ?? null}
        initialSi={initial.soonGoneM}
        limits={LIMITS.soonGoneM}
        onTyped={(soonGone) => change({ soonGone })}
        hint="leader knots and snags: filled over on purpose, so that the level is right once it is gone"
      />
    </div>
  );
}
