'use client';

import { METRES_PER_LENGTH_UNIT } from '@/core/units/units';
import { useState } from 'react';
import type { CounterDrive } from '@/core/counter/counter';
import { DRAG_KINDS, REEL_KINDS, type ReelRecord } from '@/core/rig/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';
import { ArborHelp } from './ArborHelp';
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

const areTexts = (kept: unknown): kept is readonly string[] => Array.isArray(kept) && kept.every(isText);

/** The ratings as typed; untouched ones stay exactly as they are stored. Null while one cannot be read. */
function ratingsNow(typed: readonly string[] | null, reel: ReelRecord | null): ReelRecord['ratings'] | null {
  if (typed === null) return reel?.ratings ?? [];
  const stored = reel?.ratings ?? [];
  const fresh = ratingsOf(typed.filter((text) => !stored.some((rating) => rating.label === text)));
  return fresh && [...stored.filter((rating) => typed.includes(rating.label)), ...fresh];
}

/** A reel by caliper, by the maker's capacities or by both, and its counter. */
export function ReelForm({ boatId, reel, onDone }: { boatId: string; reel: ReelRecord | null; onDone: () => void }) {
  const key = `reel:${reel?.id ?? boatId}`;
  const { sendNow, state, fieldError } = useSend();
  const [typedName, setName] = useDraft(`${key}:name`, isText);
  const arbor = useQuantity(
    `${key}:arbor`,
    'smallLength',
    reel?.measured.arborDiameterM ?? null,
    LIMITS.arborDiameterM,
  );
  const width = useQuantity(`${key}:width`, 'smallLength', reel?.measured.widthM ?? null, LIMITS.widthM);
  const full = useQuantity(`${key}:full`, 'smallLength', reel?.measured.fullDiameterM ?? null, LIMITS.fullDiameterM);
  const limit = useQuantity(`${key}:limit`, 'force', reel?.dragLimitN ?? null, LIMITS.forceN);
  const perTurn = useQuantity(
    `${key}:perTurn`,
    'smallLength',
    reel?.counter?.lengthPerTurnM.value ?? null,
    LIMITS.lengthPerTurnM,
  );
  const [typedRatings, setTypedRatings] = useDraft(`${key}:ratings`, areTexts);
  const ratingTexts = typedRatings ?? reel?.ratings.map((rating) => rating.label) ?? [];
  const ratings = ratingsNow(typedRatings, reel);
  const [kind, setKind] = useState<ReelRecord['kind']>(reel?.kind ?? 'conventional');
  const [dragKind, setDragKind] = useState<ReelRecord['dragKind']>(reel?.dragKind ?? 'star');
  const [windHand, setWindHand] = useState<ReelRecord['windHand']>(reel?.windHand ?? 'right');
  const [unit, setUnit] = useState<CounterUnit>(unitOf(reel));
  const [digits, setDigits] = useState(String(reel?.counter?.digits ?? 3));
  const [display, setDisplay] = useState<(typeof DISPLAYS)[number]['value']>(reel?.counter?.display ?? 'unknown');
  const [drive, setDrive] = useState<CounterDrive>(reel?.counter?.drive ?? 'spool');
  const kept = reel?.counter?.lengthPerTurnM.source;
  const [source, setSource] = useState<(typeof SOURCES)[number]['value']>(
    kept === 'measured' || kept === 'default' ? kept : 'maker',
  );
  const error = (path: string): string | undefined => fieldError(path) ?? fieldError(`reel.${path}`);
  const changeDrive = (to: CounterDrive): void => {
    setDrive(to);
    // A roller counts what passes it until somebody finds out otherwise.
    if (to === 'roller') perTurn.set({ text: '1000', unit: 'mm' });
  };
  const store = async (): Promise<void> => {
    // A rating that cannot be read says so at its row.
    if (ratings === null) return;
    const body = {
      name: typedName ?? reel?.name ?? '',
      kind,
      arborDiameterM: arbor.value,
      widthM: width.value,
      fullDiameterM: full.value,
      ratings,
      windHand,
      dragKind,
      dragLimitN: limit.value,
      counter:
        unit === 'none'
          ? null
          : {
              drive,
              unitM: METRES_PER_LENGTH_UNIT[unit],
              digits: Number(digits),
              lengthPerTurnM: perTurn.value,
              source,
              display,
            },
    };
    const result = reel
      ? await sendNow(
          'changeReel',
          { boatId, reelId: reel.id },
          { version: reel.version, reel: body },
          'The reel is stored.',
        )
      : await sendNow('createReel', { boatId }, body, 'The reel is on record.');
    if (!result.ok) return;
    setName(null);
    setTypedRatings(null);
    for (const field of [arbor, width, full, limit, perTurn]) field.forget();
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
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <TextField label="Name" value={typedName ?? reel?.name ?? ''} onChange={setName} error={error('name')} />
        <ChoiceField
          label="Kind"
          value={kind}
          options={REEL_KINDS.map((value) => ({ value, text: value }))}
          onChange={setKind}
        />
        <ChoiceField
          label="Drag"
          value={dragKind}
          options={DRAG_KINDS.map((value) => ({ value, text: value }))}
          onChange={setDragKind}
        />
        <ChoiceField
          label="Winds with the"
          value={windHand}
          options={[
            { value: 'right', text: 'right hand' },
            { value: 'left', text: 'left hand' },
          ]}
          onChange={setWindHand}
        />
        <QuantityField label="Arbor diameter" {...arbor.field} error={error('arborDiameterM')} />
        <QuantityField label="Width between flanges" {...width.field} error={error('widthM')} />
        <QuantityField
          label="Full diameter"
          {...full.field}
          error={error('fullDiameterM')}
          hint="at the rim; what is not measured stays empty"
        />
        <QuantityField
          label="Maker's drag limit"
          {...limit.field}
          error={error('dragLimitN')}
          hint="empty when unknown"
        />
        <ChoiceField label="Counter in" value={unit} options={UNITS} onChange={setUnit} />
        {unit !== 'none' && (
          <>
            <TextField
              label="Digits"
              inputMode="numeric"
              figures
              value={digits}
              onChange={setDigits}
              error={error('counter.digits')}
            />
            <ChoiceField label="Driven by" value={drive} options={DRIVES} onChange={changeDrive} />
            <QuantityField
              label={drive === 'roller' ? 'Shows for each metre' : 'Length it counts a turn'}
              {...perTurn.field}
              error={error('counter.lengthPerTurnM')}
              hint={
                drive === 'roller' ? 'a whole metre until a walk shows otherwise' : 'a hundred turns by hand tell it'
              }
            />
            <ChoiceField label="That figure is" value={source} options={SOURCES} onChange={setSource} />
            <ChoiceField label="Its display" value={display} options={DISPLAYS} onChange={setDisplay} />
          </>
        )}
      </div>
      <RatingRows texts={ratingTexts} onChange={setTypedRatings} />
      <ArborHelp draftKey={key} onTake={(arborM) => arbor.set({ text: (arborM * 1000).toFixed(2), unit: 'mm' })} />
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
