'use client';

import { SPEED_BY } from '@/core/record/tow';
import type { TowedRig } from '@/core/rig/tow/towedRig';
import { LURE_KINDS } from '@/core/tow/lures';
import { WATER_TEMPERATURE_C, WATERS } from '@/core/tow/medium';
import { KNOT_MS } from '@/core/units/units';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededNumber, neededQuantity, number, quantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';

const options = (values: readonly string[]) => values.map((value) => ({ value, text: value }));
/** Speeds are typed in knots: one decimal of them is all that a log tells. */
const inKnots = (speedMS: number): number => Math.round((100 * speedMS) / KNOT_MS) / 100;
const SPEED_KN = { min: LIMITS.towSpeedMS.min / KNOT_MS, max: LIMITS.towSpeedMS.max / KNOT_MS };
const RULE_M = { min: 0.1, max: 20 } as const;
const OTHERWISE_M = { min: -50, max: 50 } as const;

/** How a rig is towed: asked once, and every depth follows. */
export function TowedForm({ rig }: { rig: TowedRig }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const { towed } = rig;
  const form = useDraftForm(
    `towed:${record.id}`,
    {
      knots: neededNumber(SPEED_KN, inKnots(towed.speedMS)),
      speedBy: choice(SPEED_BY, towed.speedBy),
      currentKn: number({ min: -10, max: 10 }, towed.currentMS === null ? null : inKnots(towed.currentMS)),
      water: choice(WATERS, towed.water),
      temperatureC: number({ min: WATER_TEMPERATURE_C.least, max: WATER_TEMPERATURE_C.most }, towed.temperatureC),
      tipHeightM: neededQuantity('length', LIMITS.tipHeightM, towed.tipHeightM),
      lure: choice(LURE_KINDS, towed.lure),
      lurePullN: quantity('force', LIMITS.forceN, towed.lurePullN),
      bottomM: quantity('length', LIMITS.depthM, towed.bottomM),
      perColourM: quantity('length', RULE_M, towed.rule?.perColourM ?? null),
      otherwiseM: quantity('length', OTHERWISE_M, towed.rule?.otherwiseM ?? null),
    },
    JSON.stringify(towed),
    'follow',
  );
  const isOverGround = form.value('speedBy') === 'over the ground';
  const store = (): Promise<void> =>
    form.submit(
      ({ knots: typed, currentKn, perColourM, otherwiseM, ...said }) => {
        const body = {
          ...said,
          speedMS: typed * KNOT_MS,
          currentMS: currentKn === null ? null : currentKn * KNOT_MS,
          rule: perColourM === null ? null : { perColourM, otherwiseM: otherwiseM ?? 0 },
        };
        return sendNow('noteTowed', { boatId: record.boat.id, rigId: record.id }, body, 'Kept.');
      },
      {},
      isOverGround ? [] : ['currentKn'],
    );
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-2">
        <FormText form={form} name="knots" label="Speed, kn" inputMode="decimal" />
        <FormChoice form={form} name="speedBy" label="Read" options={options(SPEED_BY)} />
        {isOverGround && (
          <FormText
            form={form}
            name="currentKn"
            label="Current along the course, kn"
            hint="with you above 0, against you below; empty: not known"
            inputMode="decimal"
          />
        )}
        <FormChoice form={form} name="lure" label="What is towed" options={options(LURE_KINDS)} />
        <FormQuantity
          form={form}
          name="lurePullN"
          label="Its pull at that speed"
          hint="by a scale, on a short thin line; empty: a guess by its kind"
        />
        <FormQuantity form={form} name="tipHeightM" label="Rod tip over the water" />
        <FormChoice form={form} name="water" label="Water" options={options(WATERS)} />
        <FormText
          form={form}
          name="temperatureC"
          label="Temperature of the water, °C"
          hint={`empty: ${WATER_TEMPERATURE_C.usual} °C is taken`}
          inputMode="decimal"
        />
        <FormQuantity form={form} name="bottomM" label="Depth of the water" hint="empty: deep enough" />
        <FormQuantity
          form={form}
          name="perColourM"
          label="Your own rule: depth for each colour"
          hint="empty: you have none"
        />
        <FormQuantity
          form={form}
          name="otherwiseM"
          label="What leader and bait add to that"
          hint="below 0: they lift"
        />
      </div>
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
        Keep it
      </Button>
    </div>
  );
}
