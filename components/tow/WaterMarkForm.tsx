'use client';

import { MARK_KINDS, SIDES, TURNS } from '@/core/record/tow';
import type { TowedRig } from '@/core/rig/tow/towedRig';
import type { RigView } from '@/core/rig/view/rigView';
import { KNOT_MS } from '@/core/units/units';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededNumber, neededQuantity, number, quantity, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';

const MARK_WORDS = { bottom: 'touched bottom', sonar: 'a mark on the sounder', strike: 'a strike' } as const;
const NO_SIDE = 'not told';
const TURN_WORDS = {
  straight: 'straight on',
  inside: 'in a turn, on the inside',
  outside: 'in a turn, on the outside',
};
const SPEED_KN = { min: LIMITS.towSpeedMS.min / KNOT_MS, max: LIMITS.towSpeedMS.max / KNOT_MS };
const READING = { min: 0, max: 999_999 } as const;
const LAPS = { min: 0, max: 50 } as const;

/** A depth that was seen, or a strike, in the moment: what the counter shows, how deep, how fast. */
export function WaterMarkForm({ view, rig, onNoted }: { view: RigView; rig: TowedRig; onNoted?: () => void }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const hasCounter = view.counter !== null;
  const { load } = record;
  const before = record.waterMarks.at(-1);
  const form = useDraftForm(
    `water-mark:${record.id}`,
    {
      kind: choice(MARK_KINDS, 'bottom'),
      reading: hasCounter ? neededNumber(READING) : number(READING),
      laps: number(LAPS, 0),
      lengthOutM: hasCounter ? quantity('length', LIMITS.lengthOutM) : neededQuantity('length', LIMITS.lengthOutM),
      depthM: quantity('length', LIMITS.depthM),
      knots: neededNumber(SPEED_KN, Math.round((100 * (before?.speedMS ?? rig.towed.speedMS)) / KNOT_MS) / 100),
      side: choice([NO_SIDE, ...SIDES], before?.side ?? NO_SIDE),
      turn: choice(TURNS, 'straight'),
      note: words(),
    },
    before?.id,
  );
  if (load?.status !== 'wound') return <p>Wind the line first: what is noted belongs to the line that is on.</p>;
  const store = (): Promise<void> =>
    form.submit(
      async ({ knots, side, reading, laps, lengthOutM, ...mark }) => {
        const body = {
          ...mark,
          ...{ loadId: load.id, lure: rig.towed.lure, speedMS: knots * KNOT_MS, instrument: 'read by eye' },
          side: SIDES.find((each) => each === side) ?? null,
          reading: hasCounter ? reading : null,
          laps: hasCounter ? laps : null,
          lengthOutM: hasCounter ? null : lengthOutM,
        };
        const params = { boatId: record.boat.id, rigId: record.id };
        const result = await sendNow('noteWaterMark', params, body, 'Noted.');
        if (result.ok) onNoted?.();
        return result;
      },
      {},
      hasCounter ? ['lengthOutM'] : ['reading', 'laps'],
    );
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-2">
        <FormChoice
          form={form}
          name="kind"
          label="What it was"
          options={MARK_KINDS.map((value) => ({ value, text: MARK_WORDS[value] }))}
        />
        <FormQuantity
          form={form}
          name="depthM"
          label="How deep there"
          hint={form.value('kind') === 'strike' ? 'empty: nobody knows' : 'by the sounder or the chart, tide counted'}
        />
        {hasCounter ? (
          <>
            <FormText form={form} name="reading" label="Counter shows" inputMode="numeric" />
            <FormText form={form} name="laps" label="Times it has come round" inputMode="numeric" />
          </>
        ) : (
          <FormQuantity form={form} name="lengthOutM" label="Line out, lure to tip" hint="or in colours: 3 colours" />
        )}
        <FormText form={form} name="knots" label={`Speed ${rig.towed.speedBy}, kn`} inputMode="decimal" />
        <FormChoice
          form={form}
          name="turn"
          label="Course"
          options={TURNS.map((value) => ({ value, text: TURN_WORDS[value] }))}
        />
        <FormChoice
          form={form}
          name="side"
          label="Side"
          options={[NO_SIDE, ...SIDES].map((value) => ({ value, text: value }))}
        />
        <FormText form={form} name="note" label="Anything else" />
      </div>
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
        Note it
      </Button>
    </div>
  );
}
