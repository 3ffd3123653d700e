'use client';

import { useMemo } from 'react';
import { DEFAULT_LEVEL_BELOW_RIM_M } from '@/core/load/defaults';
import { lapsOf } from '@/core/counter/counter';
import { planForRig } from '@/core/rig/line/planForRig';
import type { RigRecord } from '@/core/record/record';
import { QuantityField } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useDraft } from '@/components/fields/useDraft';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';
import { asShown, lapWords } from '../wind/windingWords';
import { plannedRecord } from './plannedRecord';
import { convertedRecipe, countsOf, isRecipeDraft, NEW_RECIPE, withRecipe, type RecipeDraft } from './recipeDraft';
import type { StackDraft } from './stackDraft';

const SIZES: readonly { value: RecipeDraft['size']; text: string }[] = [
  { value: 'measured', text: 'measured: type it' },
  { value: 'small', text: 'a guess: small, about 46 mm' },
  { value: 'middle', text: 'a guess: middle, about 58 mm' },
  { value: 'large', text: 'a guess: large, about 75 mm' },
];

/** Somebody's recipe in counts of their counter, turned into true lengths and into this reel's own stop readings. */
export function RecipeCardInside({
  record,
  draft,
  onTake,
}: {
  record: RigRecord;
  draft: StackDraft;
  onTake: (draft: StackDraft) => void;
}) {
  const [kept, keep] = useDraft(`recipe:${record.id}`, isRecipeDraft);
  const recipe = kept ?? NEW_RECIPE;
  const change = (part: Partial<RecipeDraft>): void => keep({ ...recipe, ...part });
  const wound = draft.rows.filter((row) => row.wound);
  const converted = useMemo(() => convertedRecipe(record, draft, recipe), [record, draft, recipe]);
  return (
    <>
      <div className="flex flex-col gap-4">
        <p className="text-sm">
          A counter counts turns of its own spool, so “410” on another reel is another length. Build their stack above
          with your lines, say what their counter showed for each segment, zeroed before it, and what their reel is
          like.
        </p>
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
          <ChoiceField
            label="Their full diameter"
            value={recipe.size}
            options={SIZES}
            onChange={(size) => change({ size })}
          />
          {recipe.size === 'measured' && (
            <QuantityField
              label="Full diameter"
              quantity="smallLength"
              typed={recipe.full}
              initialSi={null}
              limits={LIMITS.fullDiameterM}
              onTyped={(full) => change({ full })}
            />
          )}
          <QuantityField
            label="Arbor, if known"
            quantity="smallLength"
            typed={recipe.arbor}
            initialSi={null}
            limits={LIMITS.arborDiameterM}
            onTyped={(arbor) => change({ arbor })}
          />
          <QuantityField
            label="Width, if known"
            quantity="smallLength"
            typed={recipe.width}
            initialSi={null}
            limits={LIMITS.widthM}
            onTyped={(width) => change({ width })}
          />
          <ChoiceField
            label="Their counter shows"
            value={recipe.unit}
            options={[
              { value: 'ft', text: 'feet' },
              { value: 'm', text: 'metres' },
            ]}
            onChange={(unit) => change({ unit })}
          />
        </div>
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
          {wound.map((row) => (
            <TextField
              key={row.id}
              label={`Counts of ${row.name}`}
              inputMode="numeric"
              figures
              value={recipe.counts[row.id] ?? ''}
              onChange={(text) => change({ counts: { ...recipe.counts, [row.id]: text } })}
              error={countsOf(recipe, row.id) === undefined ? 'A count is a whole number above zero.' : undefined}
              hint={row.solved ? undefined : 'empty: its length above is true'}
            />
          ))}
        </div>
        {converted ? (
          <Converted record={record} draft={draft} converted={converted} onTake={onTake} />
        ) : (
          <p role="status" className="text-sm text-ink-soft">
            Give every segment a count or a true length, and their true lengths stand here.
          </p>
        )}
      </div>
    </>
  );
}

function Converted({
  record,
  draft,
  converted,
  onTake,
}: {
  record: RigRecord;
  draft: StackDraft;
  converted: NonNullable<ReturnType<typeof convertedRecipe>>;
  onTake: (draft: StackDraft) => void;
}) {
  const { format } = useUnits();
  const say = useSay();
  const taken = withRecipe(draft, converted);
  const planned = plannedRecord(record, taken);
  const plan = planned && planForRig(planned, DEFAULT_LEVEL_BELOW_RIM_M);
  const { counter } = record.reel;
  const levelM = plan?.ok ? plan.value.levelBelowRimM : null;
  return (
    <div className="flex flex-col gap-3">
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The recipe converted">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-3">segment</th>
              <th className="py-1 pr-3">true length on their reel</th>
              {counter && <th className="py-1">stop at, on this reel</th>}
            </tr>
          </thead>
          <tbody>
            {converted.map((row) => {
              const stop = plan?.ok ? plan.value.segments.find((each) => each.id === row.rowId) : null;
              return (
                <tr key={row.rowId} className="border-b border-edge">
                  <td className="py-1.5 pr-3 font-semibold">{row.name}</td>
                  <td className="figures py-1.5 pr-3">
                    {format.length(row.trueLengthM.value, row.trueLengthM.plusMinus)}
                    {row.trueLengthM.mainlyFrom && (
                      <span className="block text-xs text-ink-soft">mostly from {say(row.trueLengthM.mainlyFrom)}</span>
                    )}
                  </td>
                  {counter && (
                    <td className="figures py-1.5 text-lg font-bold">
                      {stop?.stopReading == null
                        ? ''
                        : `${lapWords(lapsOf(stop.counts?.value ?? 0, counter), counter.digits)} ${asShown(stop.stopReading, counter.digits)}`}
                    </td>
                  )}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {levelM && (
        <p aria-live="polite">
          On this reel it ends{' '}
          <b className="figures">
            {format.small(Math.abs(levelM.value), levelM.plusMinus)} {levelM.value >= 0 ? 'under' : 'above'} the rim
          </b>
          {levelM.value < 0
            ? ': it does not fit. Take the lengths over and let one of them be worked out.'
            : levelM.value < levelM.plusMinus
              ? ': it may just not fit. Check the level before the last segment.'
              : ': it fits.'}
        </p>
      )}
      <div>
        <Button onClick={() => onTake(taken)}>Use these lengths in the stack</Button>
      </div>
    </div>
  );
}
