'use client';

import { diameterFromCaliper, diameterFromWraps } from '@/core/gear/lineDiameter';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { Known } from '@/core/provenance/source';
import { productOf } from '@/core/rig/line/planForRig';
import { toSi } from '@/core/units/units';
import { FormQuantity, FormText } from '@/components/fields/FormParts';
import { neededNumber, neededQuantity, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

const ROW = { min: 0.0005, max: 0.2 };

/** Beyond so many of both SDs a thickness is more likely a slip than a line: asked about, and kept if it is meant. */
const FAR_SDS = 3;

const isFar = (found: Known, believed: Known): boolean =>
  Math.abs(found.value - believed.value) > FAR_SDS * Math.hypot(found.sd, believed.sd);

/** A line's thickness by a row of wraps or a caliper, kept with the ± of that very measurement. */
export function ThicknessEntry({
  lineId,
  way,
  usualWraps,
  onDone,
}: {
  lineId: string;
  way: 'wraps' | 'line-caliper';
  usualWraps: number;
  onDone: () => void;
}) {
  const { record } = useRig();
  const { format, units } = useUnits();
  const { sendNow, state } = useSend();
  const line = productOf(record, lineId);
  const byWraps = useDraftForm(`wraps:${lineId}`, {
    wraps: neededNumber({ min: 5, max: 400 }, usualWraps),
    rowWidthM: neededQuantity('smallLength', ROW),
  });
  const byCaliper = useDraftForm(`line-caliper:${lineId}`, { typed: words() });
  const readingsM = byCaliper
    .raw('typed')
    .split(/[\s;]+/)
    .map((each) => Number(each.replace(',', '.')))
    .filter((each) => each > 0)
    .map((each) => toSi('smallLength', each, units.smallLength));
  const send = async (
    read: { way: 'wraps'; wraps: number; rowWidthM: number } | { way: 'caliper'; readingsM: readonly number[] },
  ) => {
    const body = {
      version: line.version,
      read: read.way === 'wraps' ? read : { ...read, readingsM: [...read.readingsM] },
    };
    const result = await sendNow(
      'measureLine',
      { boatId: record.boat.id, lineId },
      body,
      'Kept. Every rod with it follows.',
    );
    if (result.ok) onDone();
    return result;
  };
  const [wraps, rowWidthM] = [byWraps.value('wraps'), byWraps.value('rowWidthM')];
  const found: Known | null =
    way === 'wraps'
      ? wraps !== null && rowWidthM !== null
        ? diameterFromWraps(rowWidthM, wraps)
        : null
      : readingsM.length > 1
        ? diameterFromCaliper(readingsM)
        : null;
  const store = (): Promise<void> =>
    way === 'wraps'
      ? byWraps.submit((values) => send({ way: 'wraps', ...values }))
      : byCaliper.submit(() => send({ way: 'caliper', readingsM }), { readingsM: 'typed' });
  return (
    <div className="flex flex-col gap-3">
      <p className="text-sm">
        {line.name} is taken to be {format.thickness(line.diameterM.value)} ±{' '}
        {format.thickness(PLUS_MINUS_SDS * line.diameterM.sd)}
        {line.diameterM.source === 'label' ? ', by its label' : line.diameterM.source === 'default' ? ', a guess' : ''}.
      </p>
      {way === 'wraps' ? (
        <div className="grid grid-cols-2 gap-2">
          <FormText form={byWraps} name="wraps" label="Wraps" inputMode="numeric" />
          <FormQuantity form={byWraps} name="rowWidthM" label="Width over all of them" />
        </div>
      ) : (
        <FormText
          form={byCaliper}
          name="typed"
          label={`Readings in ${units.smallLength}, a blank between`}
          inputMode="decimal"
        />
      )}
      {found && (
        <p aria-live="polite">
          That is <b className="figures">{format.thickness(found.value)}</b> ±{' '}
          {format.thickness(PLUS_MINUS_SDS * found.sd)}.
        </p>
      )}
      {found && isFar(found, line.diameterM) && (
        <p role="alert" className="font-semibold text-warn">
          That is far from what it was taken for. Count and measure again before you keep it; or is another line in your
          hand?
        </p>
      )}
      <Button weight="main" disabled={state.kind === 'sending' || !found} onClick={() => void store()}>
        Keep this thickness
      </Button>
    </div>
  );
}
