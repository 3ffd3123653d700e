'use client';

import { useState } from 'react';
import { colourPlace } from '@/core/rig/count/colourPlace';
import type { LoadRecord } from '@/core/record/record';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Trial } from './useTrial';

/** Tests without a tape: a change of colour at the tip, or turns of the spool. */
export function OtherTests({ way, load, trial }: { way: 'colour' | 'turns'; load: LoadRecord; trial: Trial }) {
  return way === 'colour' ? <ColourTest load={load} trial={trial} /> : <TurnsTest trial={trial} />;
}

function ColourTest({ load, trial }: { load: LoadRecord; trial: Trial }) {
  const { record, view } = useRig();
  const { format } = useUnits();
  const places = load.segments
    .filter((segment) => segment.wound)
    .flatMap((segment) =>
      segment.colours.map((_, index) => ({
        segmentId: segment.segmentId,
        coloursOut: index + 1,
        text: `${segment.name}: ${index + 1} of ${segment.colours.length} out`,
      })),
    );
  const [picked, setPicked] = useState('0');
  const place = places[Number(picked)];
  const lengthM = view && place ? colourPlace(record, view.current.line, place.segmentId, place.coloursOut) : null;
  return (
    <>
      <p className="text-sm">
        On the water, no tape: zero the counter with the line&apos;s end at the tip, let out, and read when a colour has
        just left the tip. Colours are 10 yd each.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <ChoiceField
          label="Colour that just left"
          value={picked}
          options={places.map((each, index) => ({ value: String(index), text: each.text }))}
          onChange={setPicked}
          error={trial.fieldError('coloursOut')}
        />
        <TextField
          label="Counter reads"
          inputMode="numeric"
          figures
          value={trial.text}
          onChange={trial.type}
          error={trial.problem}
        />
      </div>
      {lengthM?.ok && <p className="text-sm">That is a true {format.length(lengthM.value)} off the spool.</p>}
      <Button
        weight="main"
        disabled={trial.busy || trial.reading === null || !place}
        onClick={() =>
          place && void trial.store({ kind: 'colour', segmentId: place.segmentId, coloursOut: place.coloursOut })
        }
      >
        Record this colour
      </Button>
    </>
  );
}

const TURN_KINDS = [
  { value: 'flips', text: 'from one flip of the last digit to another' },
  { value: 'free', text: 'from zero, to the whole count' },
] as const;

function TurnsTest({ trial }: { trial: Trial }) {
  const [turns, setTurns] = useState('100');
  const [kind, setKind] = useState<(typeof TURN_KINDS)[number]['value']>('flips');
  const count = Number(turns.replace(',', '.'));
  const isCount = turns.trim() !== '' && Number.isFinite(count) && count >= 1;
  return (
    <>
      <p className="text-sm">
        Turn the <b>spool</b>, not the handle (or handle turns times the gear ratio), a hundred times or between two
        flips of the last digit 50 counts apart: ten turns are too few, 6 % off. This gives the counter&apos;s constant,
        whatever is on the spool.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <TextField
          label="Spool turns"
          inputMode="decimal"
          figures
          value={turns}
          onChange={setTurns}
          error={isCount ? trial.fieldError('turns') : 'Type how many turns.'}
        />
        <TextField
          label="Counter moved by"
          inputMode="numeric"
          figures
          value={trial.text}
          onChange={trial.type}
          error={trial.problem}
        />
      </div>
      <ChoiceField label="Counted" value={kind} options={TURN_KINDS} onChange={setKind} />
      <Button
        weight="main"
        disabled={trial.busy || trial.reading === null || !isCount}
        onClick={() => void trial.store({ kind: 'turns', turns: count, betweenFlips: kind === 'flips' })}
      >
        Record these turns
      </Button>
    </>
  );
}
