'use client';

import { useEffect, useRef } from 'react';
import { METRES_PER_LENGTH_UNIT } from '@/core/units/units';
import { DRAG_KINDS, REEL_KINDS, type ReelRecord } from '@/core/record/record';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededNumber, number, quantity, rows, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';
import { ArborHelp } from './ArborHelp';
import { MeasuredSpool } from './MeasuredSpool';
import { RatingRows, ratingsOf } from './RatingRows';

const UNITS = [
  { value: 'm', text: 'metres' },
  { value: 'ft', text: 'feet' },
  { value: 'none', text: 'no counter' },
] as const;

type CounterUnit = (typeof UNITS)[number]['value'];

const DRIVES = [
  { value: 'spool', text: 'the spool or its level wind' },
  { value: 'roller', text: 'a roller on the line' },
] as const;

const DISPLAYS = [
  { value: 'unknown', text: 'not known' },
  { value: 'rounds', text: 'rounds' },
  { value: 'truncates', text: 'cuts off' },
] as const;

const SOURCES = [
  { value: 'maker', text: "the maker's statement" },
  { value: 'measured', text: 'measured' },
  { value: 'default', text: 'a guess' },
] as const;

function unitOf(reel: ReelRecord | null): CounterUnit {
  if (reel && !reel.counter) return 'none';
  return reel?.counter?.unitM === METRES_PER_LENGTH_UNIT.ft ? 'ft' : 'm';
}

/** The ratings as typed; untouched ones stay exactly as they are stored. Null while one cannot be read. */
function ratingsNow(typed: readonly string[], reel: ReelRecord | null): ReelRecord['ratings'] | null {
  const stored = reel?.ratings ?? [];
  const fresh = ratingsOf(typed.filter((text) => !stored.some((rating) => rating.label === text)));
  return fresh && [...stored.filter((rating) => typed.includes(rating.label)), ...fresh];
}

/** A reel by caliper, by the maker's capacities or by both, and its counter. */
export function ReelForm({ boatId, reel, onDone }: { boatId: string; reel: ReelRecord | null; onDone: () => void }) {
  const key = `reel:${reel?.id ?? boatId}`;
  const { sendNow, state } = useSend();
  const measured = reel?.measured;
  const counter = reel?.counter;
  const source = counter?.lengthPerTurnM.source;
  const form = useDraftForm(key, {
    name: words(reel?.name),
    kind: choice(REEL_KINDS, reel?.kind ?? 'conventional'),
    dragKind: choice(DRAG_KINDS, reel?.dragKind ?? 'star'),
    windHand: choice(['right', 'left'], reel?.windHand ?? 'right'),
    arborDiameterM: quantity('smallLength', LIMITS.arborDiameterM, measured?.arborDiameterM ?? null),
    widthM: quantity('smallLength', LIMITS.widthM, measured?.widthM ?? null),
    fullDiameterM: quantity('smallLength', LIMITS.fullDiameterM, measured?.fullDiameterM ?? null),
    dragLimitN: quantity('force', LIMITS.forceN, reel?.dragLimitN ?? null),
    ratings: rows(reel?.ratings.map((rating) => rating.label)),
    unit: choice(['m', 'ft', 'none'], unitOf(reel)),
    digits: neededNumber({ min: 2, max: 6 }, counter?.digits ?? 3),
    drive: choice(['spool', 'roller'], counter?.drive ?? 'spool'),
    // A default follows the spool's size, and is worked out again when that changes.
    lengthPerTurnM: quantity(
      'smallLength',
      LIMITS.lengthPerTurnM,
      source === 'default' ? null : (counter?.lengthPerTurnM.value ?? null),
    ),
    gearRatio: number(LIMITS.gearRatio, reel?.gearRatio ?? null),
    source: choice(['maker', 'measured', 'default'], source === 'measured' || source === 'default' ? source : 'maker'),
    display: choice(['unknown', 'rounds', 'truncates'], counter?.display ?? 'unknown'),
  });
  const ratingTexts = form.value('ratings') ?? [];
  const ratings = ratingsNow(ratingTexts, reel);
  const unit = form.value('unit');
  const drive = form.value('drive');
  const driven = useRef(drive);
  useEffect(() => {
    // A roller counts what passes it until somebody finds out otherwise.
    if (driven.current === 'spool' && drive === 'roller') form.set('lengthPerTurnM', { text: '1000', unit: 'mm' });
    driven.current = drive;
  }, [drive, form]);
  const store = (): Promise<void> =>
    form.submit(
      async (typed) => {
        // A rating that cannot be read says so at its row.
        if (ratings === null) return { ok: false };
        const { unit: counts, digits, drive: by, lengthPerTurnM, source: from, display, ...stated } = typed;
        const body = {
          ...stated,
          ratings,
          counter:
            counts === 'none'
              ? null
              : { drive: by, unitM: METRES_PER_LENGTH_UNIT[counts], digits, lengthPerTurnM, source: from, display },
        };
        const result = reel
          ? await sendNow(
              'changeReel',
              { boatId, reelId: reel.id },
              { version: reel.version, reel: body },
              'The reel is stored.',
            )
          : await sendNow('createReel', { boatId }, body, 'The reel is on record.');
        if (result.ok) onDone();
        return result;
      },
      {},
      unit === 'none' ? ['digits', 'drive', 'lengthPerTurnM', 'source', 'display'] : [],
    );
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void store();
      }}
    >
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormText form={form} name="name" label="Name" />
        <FormChoice
          form={form}
          name="kind"
          label="Kind"
          options={REEL_KINDS.map((value) => ({ value, text: value }))}
        />
        <FormChoice
          form={form}
          name="dragKind"
          label="Drag"
          options={DRAG_KINDS.map((value) => ({ value, text: value }))}
        />
        <FormChoice
          form={form}
          name="windHand"
          label="Winds with the"
          options={[
            { value: 'right', text: 'right hand' },
            { value: 'left', text: 'left hand' },
          ]}
        />
      </div>
      <MeasuredSpool
        sizes={{
          arborM: form.value('arborDiameterM'),
          widthM: form.value('widthM'),
          fullM: form.value('fullDiameterM'),
        }}
        fields={{
          arbor: <FormQuantity form={form} name="arborDiameterM" label="Arbor diameter" />,
          width: <FormQuantity form={form} name="widthM" label="Width between flanges" />,
          full: <FormQuantity form={form} name="fullDiameterM" label="Full diameter" hint="at the rim" />,
        }}
      />
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormQuantity form={form} name="dragLimitN" label="Maker's drag limit" hint="empty when unknown" />
        <FormText
          form={form}
          name="gearRatio"
          label="Gear ratio"
          inputMode="decimal"
          hint="spool turns for each of the handle, such as 4.2; may stay empty"
        />
        <FormChoice form={form} name="unit" label="Counter in" options={UNITS} />
        {unit !== 'none' && (
          <>
            <FormText form={form} name="digits" label="Digits" inputMode="numeric" />
            <FormChoice form={form} name="drive" label="Driven by" options={DRIVES} />
            <FormQuantity
              form={form}
              name="lengthPerTurnM"
              label={drive === 'roller' ? 'Shows for each metre' : 'Length it counts a turn'}
              hint={
                drive === 'roller'
                  ? 'a whole metre until a walk shows otherwise'
                  : 'empty while not known: taken from the size of the spool until a walk or a hundred turns find it'
              }
            />
            <FormChoice form={form} name="source" label="That figure is" options={SOURCES} />
            <FormChoice form={form} name="display" label="Its display" options={DISPLAYS} />
          </>
        )}
      </div>
      <RatingRows texts={ratingTexts} onChange={(texts) => form.set('ratings', texts)} />
      <ArborHelp
        draftKey={key}
        onTake={(arborM) => form.set('arborDiameterM', { text: (arborM * 1000).toFixed(2), unit: 'mm' })}
      />
      <div className="flex gap-2">
        <Button type="submit" weight="main" disabled={state.kind === 'sending' || ratings === null}>
          {reel ? 'Store this reel' : 'Add this reel'}
        </Button>
        {reel && (
          <Button weight="quiet" onClick={onDone}>
            Leave it as it was
          </Button>
        )}
      </div>
    </form>
  );
}
