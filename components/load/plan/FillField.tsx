'use client';

import { QuantityField } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { LIMITS } from '@/usecases/limits';
import { initialFill, plannedFillOf, targetOf, type FillDraft } from './fillDraft';
import { FILL_KINDS } from './fillWords';

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
  const options = hasCounter ? FILL_KINDS : FILL_KINDS.filter(({ value }) => value !== 'counter-true');
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
          hint={fill.stored || fill.level ? undefined : "this product's default for this kind of reel"}
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
      {(fill.kind === 'mark' || fill.kind === 'own-mark') && (
        <QuantityField
          label="Diameter at the mark"
          quantity="smallLength"
          typed={fill.mark}
          initialSi={initial.diameterM}
          limits={LIMITS.fullDiameterM}
          onTyped={(mark) => change({ mark })}
          hint={
            fill.kind === 'mark'
              ? 'measured across the spool at the mark, where all the line ends'
              : 'measured across the spool at its groove or counterweight: the segment that is worked out ends there'
          }
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
      {fill.kind !== 'own-mark' && <FilledOver fill={fill} soonGoneM={initial.soonGoneM} onChange={change} />}
    </div>
  );
}

/** Filled over on purpose: how much will go, and by how many leader knots. */
function FilledOver({
  fill,
  soonGoneM,
  onChange,
}: {
  fill: FillDraft;
  soonGoneM: number;
  onChange: (part: Partial<FillDraft>) => void;
}) {
  const planned = plannedFillOf(fill, 1);
  const over = planned.ok ? planned.value : null;
  const knots = over?.perKnotM ? Math.round(over.soonGoneM / over.perKnotM) : null;
  return (
    <div className={(over?.soonGoneM ?? 0) > 0 ? 'grid grid-cols-2 items-start gap-2' : ''}>
      <QuantityField
        label="Line that will soon be gone"
        quantity="length"
        typed={fill.soonGone ?? null}
        initialSi={soonGoneM}
        limits={LIMITS.soonGoneM}
        onTyped={(soonGone) => onChange({ soonGone })}
        hint="leader knots and snags: filled over on purpose, so that the level is right once it is gone"
      />
      {(over?.soonGoneM ?? 0) > 0 && (
        <QuantityField
          label="Each leader knot takes"
          quantity="length"
          typed={fill.perKnot ?? null}
          initialSi={fill.stored?.perKnotM ?? null}
          limits={LIMITS.perKnotM}
          onTyped={(perKnot) => onChange({ perKnot })}
          hint={knots === null ? 'may stay empty' : `the level is right after ${knots} knot${knots === 1 ? '' : 's'}`}
        />
      )}
    </div>
  );
}
