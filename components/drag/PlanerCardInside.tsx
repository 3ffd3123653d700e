'use client';

import { KNOT_MS } from '@/core/units/units';
import { dragTarget } from '@/core/drag/dragTarget';
import { CREEP_GUIDE, planerAdvice, RESERVE, type PlanerAdvice } from '@/core/drag/planerAdvice';
import {
  CURRENTS,
  HEADINGS,
  planerBracket,
  pullAtSpeed,
  waterOf,
  type Creep,
  type PlanerBracket,
} from '@/core/drag/planerBracket';
import { piecesOut, storedEnergyJ } from '@/core/drag/surge';
import { elasticPieces } from '@/core/rig/drag/elasticLine';
import { leverOfRig } from '@/core/rig/drag/leverOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import { UndoButton } from '@/components/bench/UndoButton';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { blocked } from '@/components/fields/blocked';
import { FormCheck, FormChoice, FormText } from '@/components/fields/FormParts';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { check, choice, neededNumber } from '@/components/fields/specs';
import { TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';
import { TowSimulator } from './TowSimulator';
import { useSpeed } from './useSpeed';

const CREEPS: readonly { value: Creep; text: string }[] = [
  { value: 'none', text: 'none' },
  { value: 'some', text: 'some, in the waves' },
  { value: 'much', text: 'much, all the time' },
];

/** Main line that is out with a planer, without its leader (common practice, no source: 100 to 150 ft). */
const MAIN_OUT_M = 38;
const USUAL_SPEED_KN = 6;
/** After the strike a running fish gets the usual quarter. */
const AFTER_STRIKE = 0.25;

/** A planer: what was seen of it in tow brackets its pull, and says where lever and preset belong. */
export function PlanerCardInside({ view }: { view: RigView }) {
  const { record } = useRig();
  const say = useSay();
  const [typedPlaner, setPlaner] = useDraft(`planer:${record.id}`, isText);
  const planer = typedPlaner ?? record.planerLooks.at(-1)?.planer ?? 'number 1';
  const speed = useSpeed(`planer-speed:${record.id}`, USUAL_SPEED_KN, 25);
  const looks = record.planerLooks.filter((look) => look.planer === planer);
  const bracket = planerBracket(looks);
  return (
    <>
      <div className="grid gap-4 lg:grid-cols-2">
        <div className="flex min-w-0 flex-col gap-3">
          <Caution>
            Planers pull hard and steadily: rod secured, knife at hand, never a wrap round a hand, gloves. Before it
            goes in the line should come off by hand only reluctantly. The maker&apos;s limit and a technician go first.
          </Caution>
          <Look planer={planer} onPlaner={setPlaner} speed={speed} />
          {looks.length > 0 && (
            <UndoButton
              kind="planerLook"
              id={looks.at(-1)?.id ?? ''}
              what="look"
              reason="undone by the person who looked"
            />
          )}
          <Looks planer={planer} />
        </div>
        <div className="flex min-w-0 flex-col gap-3">
          {bracket.ok ? <Advice view={view} bracket={bracket.value} speedMS={speed.speedMS} /> : <p>{say(bracket)}</p>}
          <NylonWarning view={view} pullN={bracket.ok ? pullAtSpeed(bracket.value.midN, speed.speedMS ?? 3) : null} />
          <details className="border-l-4 border-rule pl-3">
            <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
              It creeps with the lever at full. What now?
            </summary>
            <ol className="list-decimal space-y-1 pl-5 text-sm">
              {CREEP_GUIDE.map((step) => (
                <li key={step.what.reason}>
                  <b>{say(step.what)}</b> {say(step.why)}
                </li>
              ))}
            </ol>
          </details>
        </div>
      </div>
      <TowSimulator pullAt6KnN={bracket.ok ? bracket.value.midN : null} />
    </>
  );
}

const asOptions = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));

function Look({
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
      percent: neededNumber({ min: 0, max: 100 }, before?.leverPosition == null ? 50 : 100 * before.leverPosition),
      heading: choice(HEADINGS, before?.heading ?? 'into the waves'),
      current: choice(CURRENTS, before?.current ?? 'with you'),
      creep: choice(
        CREEPS.map((each) => each.value),
        'none',
      ),
      isSet: check(),
    },
    before?.id,
  );
  const percent = form.value('percent');
  const creep = form.value('creep') ?? 'none';
  const isSet = form.value('isSet') ?? false;
  const byLever = lever.curve.ok && percent !== null ? lever.curve.value.forceAt(percent / 100) : null;
  const holds = useQuantity(`planer-holds:${record.id}:${percent}`, 'force', byLever, LIMITS.forceN);
  const { instrument, readBy, forget } = useInstrument(`planer:${record.id}`, { holdsN: holds.value, creep });
  const busy = state.kind === 'sending' || bench.busy;
  const ready = holds.value !== null && speed.speedMS !== null && planer.trim() !== '';
  const store = async (): Promise<void> => {
    if (blocked(holds)) return;
    await form.submit(
      async ({ percent: atPercent, ...seen }) => {
        const body = {
          ...seen,
          planer,
          speedMS: speed.speedMS,
          holdsN: holds.value,
          leverPosition: lever.curve.ok ? atPercent / 100 : null,
          instrument,
        };
        const result = await sendNow('recordPlanerLook', { boatId: record.boat.id, rigId: record.id }, body, 'Noted.');
        if (result.ok) {
          holds.forget();
          forget();
        }
        return result;
      },
      {},
      lever.curve.ok ? [] : ['percent'],
    );
  };
  const tow = async (): Promise<void> => {
    const heading = form.value('heading');
    const current = form.value('current');
    if (holds.value === null || speed.speedMS === null || !heading || !current) return;
    const shown = await bench.work({
      act: 'tow-planer',
      planer,
      speedMS: speed.speedMS,
      holdsN: holds.value,
      water: waterOf(heading, current),
    });
    if (!shown?.creep) return;
    form.set('creep', shown.creep);
    form.set('isSet', true);
    readBy(shown.instrument, { holdsN: holds.value, creep: shown.creep });
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <TextField label="Planer" value={planer} onChange={onPlaner} error={fieldError('planer')} />
        <TextField label="Speed through the water, kn" {...speed.field} hint="not over the ground" />
        {lever.curve.ok && (
          <FormText form={form} name="percent" label="Lever stands at, per cent" inputMode="numeric" />
        )}
        <QuantityField
          label="The drag holds"
          {...holds.field}
          error={fieldError('holdsN')}
          hint={byLever === null ? 'by the scale, at the tip' : 'by the lever curve'}
        />
        <FormChoice form={form} name="heading" label="Heading" options={asOptions(HEADINGS)} />
        <FormChoice form={form} name="current" label="Current" options={asOptions(CURRENTS)} />
        <FormChoice form={form} name="creep" label="Line creeps out" options={CREEPS} />
      </div>
      <FormCheck
        form={form}
        name="isSet"
        label="It is set: the rod is well bent, it dives and holds. One that never dived does not creep either."
      />
      <Button weight="main" disabled={busy || !ready} onClick={() => void store()}>
        Note this look{isSet ? '' : ' (will not count: not set)'}
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

function Looks({ planer }: { planer: string }) {
  const { record } = useRig();
  const { format } = useUnits();
  const looks = record.planerLooks.filter((look) => look.planer === planer);
  if (looks.length === 0) return null;
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-left">
          <th className="py-1 pr-2">holds</th>
          <th className="py-1 pr-2">speed</th>
          <th className="py-1 pr-2">water</th>
          <th className="py-1 pr-2">creep</th>
          <th className="py-1">counts</th>
        </tr>
      </thead>
      <tbody>
        {looks.toReversed().map((look) => (
          <tr key={look.id} className="border-b border-edge">
            <td className="figures py-1 pr-2">{format.force(look.holdsN)}</td>
            <td className="figures py-1 pr-2">{(look.speedMS / KNOT_MS).toFixed(1)} kn</td>
            <td className="py-1 pr-2">
              {look.heading}, current {look.current}: {look.water}
            </td>
            <td className="py-1 pr-2">{look.creep}</td>
            <td className="py-1">{look.isSet ? 'yes' : 'no, not set'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const PRESET_WORDS: Readonly<Record<PlanerAdvice['preset'], string>> = {
  right: 'The preset is right: about half of the sweep stops the creep, the other half is left for a harder sea.',
  tighter: 'The preset is too loose: it takes too much of the sweep to stop the creep.',
  looser: 'The preset is too tight: the creep stops long before the middle of the sweep.',
  unknown: 'Pull the lever at its places above, and it is said here where it belongs.',
};

function Advice({ view, bracket, speedMS }: { view: RigView; bracket: PlanerBracket; speedMS: number | null }) {
  const { record } = useRig();
  const { format } = useUnits();
  const lever = leverOfRig(record);
  const at = speedMS ?? bracket.speedMS;
  const advice = planerAdvice(bracket, at, lever.curve.ok ? lever.curve.value : null, lever.gain);
  const strike = view.inReach && dragTarget(view.inReach.weakest.strengthN, AFTER_STRIKE, record.reel.dragLimitN);
  const strikeAt = strike?.ok && lever.curve.ok ? lever.curve.value.positionFor(strike.value.targetN.value) : null;
  const share = (position: number): string => `${Math.round(100 * position)} % of the sweep`;
  const isTooMuch = view.inReach !== null && advice.holdN > view.inReach.weakest.strengthN.value;
  return (
    <div className="flex flex-col gap-2" aria-live="polite">
      <p className="figures text-3xl font-bold">
        {format.force(pullAtSpeed(bracket.lowN, at))} to {format.force(pullAtSpeed(bracket.highN, at))}
      </p>
      <p>
        is what it pulls at {(at / KNOT_MS).toFixed(1)} kn (90 %), most likely{' '}
        {format.force(pullAtSpeed(bracket.midN, at))}, by {bracket.counted} look{bracket.counted === 1 ? '' : 's'}.
      </p>
      <p>
        To hold it in its waves with {format.percent(RESERVE)} to spare:{' '}
        <b className="figures">{format.force(advice.holdN)}</b>
        {advice.position === null
          ? lever.curve.ok
            ? ', which this sweep does not reach.'
            : '.'
          : `, the lever at ${share(advice.position)}.`}
      </p>
      {isTooMuch && (
        <p className="font-semibold text-stop">
          That is more than the weakest place of this rig holds: a smaller planer, or slower.
        </p>
      )}
      <p>
        {PRESET_WORDS[advice.preset]}
        {advice.presetTurns !== null &&
          ` About ${Math.abs(advice.presetTurns).toFixed(1)} turns ${advice.presetTurns > 0 ? 'tighter' : 'looser'}, in free spool.`}
        {advice.presetTurns === null &&
          (advice.preset === 'tighter' || advice.preset === 'looser') &&
          ' Pull the lever at a second preset, and it is said here by how many turns.'}
      </p>
      <p className="text-sm">
        Above about {format.force(advice.unheardAboveN)} a strike may go unheard (a guess): ease it once it has turned
        back and holds.{' '}
        {strike?.ok &&
          `After the strike pull the lever back to ${format.force(strike.value.targetN.value)}${strikeAt === null ? '' : `, ${share(strikeAt)}`}: this setting is far too tight for a running fish.`}
      </p>
    </div>
  );
}

/** Stretched nylon stores energy, and snaps when a sea lifts the boat: in figures, beside braid. */
function NylonWarning({ view, pullN }: { view: RigView; pullN: number | null }) {
  const { format } = useUnits();
  const pieces = elasticPieces(view);
  if (!pieces || pullN === null) return null;
  // The main line alone: a long nylon leader in front of it is as it should be.
  const main = pieces.filter((_, index) => view.current.line.segments[index]?.wound);
  const out = piecesOut(main, MAIN_OUT_M);
  const energyJ = out.reduce((sum, piece) => sum + storedEnergyJ(piece, pullN), 0);
  const asBraidJ = out.reduce((sum, piece) => sum + storedEnergyJ({ ...piece, material: 'braid' }, pullN), 0);
  const hasNylon = out.some((piece) => piece.material === 'nylon' && piece.lengthM > 5);
  return (
    <p className={`border-l-4 pl-3 text-sm ${hasNylon ? 'border-warn' : 'border-rule'}`}>
      With {format.length(MAIN_OUT_M)} of main line out it stores {energyJ.toFixed(0)} J at that pull
      {hasNylon
        ? `; of braid it would be ${asBraidJ.toFixed(0)} J. Stretched nylon snaps back when a sea lifts the boat: braid for planers.`
        : '. Braid stores little of it; stand clear all the same.'}
    </p>
  );
}
