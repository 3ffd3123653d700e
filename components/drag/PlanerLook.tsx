'use client';

import { CURRENTS, HAND_PULLS, HEADINGS, waterOf, type Creep } from '@/core/drag/planer/planerLooks';
import { STRIKES } from '@/core/record/drag';
import { leverOfRig } from '@/core/rig/drag/leverOfRig';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { FormCheck, FormChoice, FormText } from '@/components/fields/FormParts';
import { check, choice, neededNumber } from '@/components/fields/specs';
import { TextField } from '@/components/fields/TextField';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import type { useSpeed } from './useSpeed';

const SEEN = ['not looked', 'none', 'some', 'much'] as const;
const CREEP_OPTIONS: readonly { value: (typeof SEEN)[number]; text: string }[] = [
  { value: 'none', text: 'none' },
  { value: 'some', text: 'some, in the waves' },
  { value: 'much', text: 'much, all the time' },
  { value: 'not looked', text: 'not looked at' },
];
const NOT_TRIED = 'not tried';
const NO_STRIKE = 'none';

const asOptions = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));
const given = <T extends string>(value: T, nothing: string) => (value === nothing ? null : value);

/** One look: where the lever stands, the water, and what was seen, felt or heard. No newtons are asked for. */
export function PlanerLook({
  planer,
  onPlaner,
  speed,
}: {
  planer: string;
  onPlaner: (planer: string) => void;
  speed: ReturnType<typeof useSpeed>;
}) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const lever = leverOfRig(record);
  // The next look begins where the last one left off: only what changed is picked.
  const before = record.planerLooks.at(-1);
  const form = useDraftForm(
    `planer-look:${record.id}`,
    {
      percent: neededNumber({ min: 1, max: 100 }, before?.leverPosition == null ? 50 : 100 * before.leverPosition),
      heading: choice(HEADINGS, before?.heading ?? 'into the waves'),
      current: choice(CURRENTS, before?.current ?? 'with you'),
      handPull: choice([NOT_TRIED, ...HAND_PULLS], NOT_TRIED),
      creep: choice(SEEN, 'none'),
      strike: choice([NO_STRIKE, ...STRIKES], NO_STRIKE),
      isSet: check(),
    },
    before?.id,
  );
  const percent = form.value('percent');
  const creep = form.value('creep') ?? 'none';
  const isSet = form.value('isSet') ?? false;
  const { instrument, readBy, forget } = useInstrument(`planer:${record.id}`, { percent, creep });
  const busy = state.kind === 'sending' || bench.busy;
  const ready = percent !== null && speed.speedMS !== null && planer.trim() !== '';
  const willNotCount = creep !== 'not looked' && !isSet;
  const store = async (): Promise<void> => {
    await form.submit(async ({ percent: atPercent, handPull, creep: seen, strike, ...look }) => {
      const leverPosition = atPercent / 100;
      const body = {
        ...look,
        ...{ planer, speedMS: speed.speedMS, leverPosition, instrument },
        ...{
          creep: given(seen, 'not looked') as Creep | null,
          handPull: given(handPull, NOT_TRIED) as (typeof HAND_PULLS)[number] | null,
          strike: given(strike, NO_STRIKE) as (typeof STRIKES)[number] | null,
        },
        // Where the lever was pulled with a scale, the curve turns its place into newtons.
        holdsN: (lever.curve.ok && lever.curve.value.forceAt(leverPosition)) || null,
      };
      const result = await sendNow('recordPlanerLook', { boatId: record.boat.id, rigId: record.id }, body, 'Noted.');
      if (result.ok) forget();
      return result;
    });
  };
  const tow = async (): Promise<void> => {
    const heading = form.value('heading');
    const current = form.value('current');
    if (percent === null || speed.speedMS === null || !heading || !current) return;
    const water = waterOf(heading, current);
    const towed = { planer, speedMS: speed.speedMS, leverPosition: percent / 100, water };
    const shown = await bench.work({ act: 'tow-planer', ...towed });
    if (!shown?.creep) return;
    form.set('creep', shown.creep);
    form.set('isSet', true);
    readBy(shown.instrument, { percent, creep: shown.creep });
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <TextField label="Planer" value={planer} onChange={onPlaner} error={fieldError('planer')} />
        <TextField label="Speed through the water, kn" {...speed.field} hint="not over the ground" />
        <FormText form={form} name="percent" label="Lever stands at, per cent of its sweep" inputMode="numeric" />
        <FormChoice
          form={form}
          name="handPull"
          label="By hand before it goes in"
          options={asOptions([NOT_TRIED, ...HAND_PULLS])}
        />
        <FormChoice form={form} name="heading" label="Heading" options={asOptions(HEADINGS)} />
        <FormChoice form={form} name="current" label="Current" options={asOptions(CURRENTS)} />
        <FormChoice form={form} name="creep" label="Line creeps out" options={CREEP_OPTIONS} />
        <FormChoice
          form={form}
          name="strike"
          label="A strike"
          options={[
            { value: NO_STRIKE, text: 'none' },
            { value: 'heard', text: 'noticed when it came' },
            { value: 'missed', text: 'found later' },
          ]}
        />
      </div>
      <FormCheck
        form={form}
        name="isSet"
        label="It is set: the rod is well bent, it dives and holds. One that never dived does not creep either."
      />
      <Button weight="main" disabled={busy || !ready} onClick={() => void store()}>
        Note this look{willNotCount ? ' (its creep will not count: not set)' : ''}
      </Button>
      {record.hasVirtualReel && (
        <VirtualBench instrument="planer in tow">
          <Button disabled={busy || !ready} onClick={() => void tow()}>
            Tow it a while and look
          </Button>
        </VirtualBench>
      )}
    </>
  );
}
