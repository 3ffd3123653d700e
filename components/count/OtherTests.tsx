'use client';

import { colourPlace } from '@/core/rig/count/colourPlace';
import type { LoadRecord } from '@/core/record/record';
import { FormChoice, FormText } from '@/components/fields/FormParts';
import { choice, neededNumber, pick } from '@/components/fields/specs';
import { TextField } from '@/components/fields/TextField';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Trial } from './useTrial';

/** Tests without a tape: a change of colour at the tip, or turns of the spool. */
export function OtherTests({ way, load, trial }: { way: 'colour' | 'turns'; load: LoadRecord; trial: Trial }) {
  return way === 'colour' ? <ColourTest load={load} trial={trial} /> : <TurnsTest load={load} trial={trial} />;
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
  const form = useDraftForm(`colour-test:${load.id}`, { picked: pick(places.map((_, index) => String(index))) });
  const place = places[Number(form.value('picked') ?? 0)];
  const lengthM = view && place ? colourPlace(record, view.current.line, place.segmentId, place.coloursOut) : null;
  return (
    <>
      <p className="text-sm">
        On the water, no tape: zero the counter with the line&apos;s end at the tip, let out, and read when a colour has
        just left the tip. Colours are 10 yd each.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <FormChoice
          form={form}
          name="picked"
          label="Colour that just left"
          options={places.map((each, index) => ({ value: String(index), text: each.text }))}
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

function TurnsTest({ load, trial }: { load: LoadRecord; trial: Trial }) {
  const form = useDraftForm(`turns-test:${load.id}`, {
    turns: neededNumber({ min: 1, max: 10_000 }, 100),
    kind: choice(['flips', 'free'], 'flips'),
  });
  const store = (): Promise<void> =>
    form.submit(({ turns, kind }) => trial.store({ kind: 'turns', turns, betweenFlips: kind === 'flips' }));
  return (
    <>
      <p className="text-sm">
        Turn the <b>spool</b>, not the handle (or handle turns times the gear ratio), a hundred times or between two
        flips of the last digit 50 counts apart: ten turns are too few, 6 % off. This gives the counter&apos;s constant,
        whatever is on the spool.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <FormText form={form} name="turns" label="Spool turns" inputMode="decimal" />
        <TextField
          label="Counter moved by"
          inputMode="numeric"
          figures
          value={trial.text}
          onChange={trial.type}
          error={trial.problem}
        />
      </div>
      <FormChoice form={form} name="kind" label="Counted" options={TURN_KINDS} />
      <Button weight="main" disabled={trial.busy || trial.reading === null} onClick={() => void store()}>
        Record these turns
      </Button>
    </>
  );
}
