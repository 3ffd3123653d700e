'use client';

import { useMemo } from 'react';
import { CREEP_ALTERNATIVES, CREEP_STEPS, type CreepStep } from '@/core/drag/planer/planerAdvice';
import { PLANER_SPEED_MS, type HandPull } from '@/core/drag/planer/planerLooks';
import { pullAtSpeed } from '@/core/drag/planer/planerBracket';
import { planerQuestion } from '@/core/rig/drag/planerOfRig';
import type { PlanerLookRecord } from '@/core/record/record';
import type { RigView } from '@/core/rig/view/rigView';
import { KNOT_MS } from '@/core/units/units';
import { UndoButton } from '@/components/bench/UndoButton';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useRig } from '@/components/rig/RigProvider';
import { Caution } from '@/components/ui/Card';
import { useSay } from '@/components/units/useSay';
import { PlanerAnswer } from './PlanerAnswer';
import { PlanerEnergy } from './PlanerEnergy';
import { PlanerLook } from './PlanerLook';
import { TowSimulator } from './TowSimulator';
import { usePlaner } from './usePlaner';
import { useSpeed } from './useSpeed';

const USUAL_SPEED_KN = 6;
/** Slower than this nothing dives. */
const LEAST_SPEED_MS = 0.2;

/** A planer: what was seen of it in tow says where lever and preset belong. */
export function PlanerCardInside({ view }: { view: RigView }) {
  const { record } = useRig();
  const [typedPlaner, setPlaner] = useDraft(`planer:${record.id}`, isText);
  const planer = typedPlaner ?? record.planerLooks.at(-1)?.planer ?? 'number 1';
  const lastMS = record.planerLooks.at(-1)?.speedMS ?? null;
  const usualKn = lastMS === null ? USUAL_SPEED_KN : Math.round((10 * lastMS) / KNOT_MS) / 10;
  const speed = useSpeed(`planer-speed:${record.id}`, usualKn, 25);
  const speedMS = Math.max(speed.speedMS ?? PLANER_SPEED_MS, LEAST_SPEED_MS);
  const question = useMemo(() => planerQuestion(record, planer, speedMS), [record, planer, speedMS]);
  const found = usePlaner(question);
  const looks = record.planerLooks.filter((look) => look.planer === planer);
  const pullN = found?.newtons ? pullAtSpeed(found.newtons.midN, speedMS) : null;
  return (
    <>
      <div className="grid gap-4 lg:grid-cols-2">
        <div className="flex min-w-0 flex-col gap-3">
          <PlanerAnswer view={view} found={found} speedMS={speedMS} />
          <PlanerEnergy view={view} pullN={pullN} />
          <CreepsAtFull />
        </div>
        <div className="flex min-w-0 flex-col gap-3">
          <Caution>
            Planers pull hard and steadily: rod secured, knife at hand, never a wrap round a hand, gloves. The
            maker&apos;s limit and a technician go first.
          </Caution>
          <PlanerLook planer={planer} onPlaner={setPlaner} speed={speed} />
          {looks.length > 0 && (
            <UndoButton
              kind="planerLook"
              id={looks.at(-1)?.id ?? ''}
              what="look"
              reason="undone by the person who looked"
            />
          )}
          <Looks looks={looks} misfits={found?.misfits ?? []} />
        </div>
      </div>
      <TowSimulator pullAt6KnN={found?.newtons?.midN ?? null} />
    </>
  );
}

/** What to do when full lever is not enough, in the order that a deck does it. */
function CreepsAtFull() {
  return (
    <details className="border-l-4 border-rule pl-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        It creeps with the lever at full. What now?
      </summary>
      <ol className="list-decimal space-y-1 pl-5 text-sm">
        {CREEP_STEPS.map((step) => (
          <Step key={step.what.reason} step={step} />
        ))}
      </ol>
      <p className="pt-2 text-sm">Or, without touching the preset:</p>
      <ul className="list-disc space-y-1 pl-5 text-sm">
        {CREEP_ALTERNATIVES.map((step) => (
          <Step key={step.what.reason} step={step} />
        ))}
      </ul>
    </details>
  );
}

function Step({ step }: { step: CreepStep }) {
  const say = useSay();
  return (
    <li>
      <b>{say(step.what)}</b> {say(step.why)}
    </li>
  );
}

function Looks({ looks, misfits }: { looks: readonly PlanerLookRecord[]; misfits: readonly string[] }) {
  if (looks.length === 0) return null;
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-left">
          <th className="py-1 pr-2">lever</th>
          <th className="py-1 pr-2">speed</th>
          <th className="py-1 pr-2">water</th>
          <th className="py-1 pr-2">seen</th>
          <th className="py-1">counts</th>
        </tr>
      </thead>
      <tbody>
        {looks.toReversed().map((look) => (
          <tr key={look.id} className="border-b border-edge">
            <td className="figures py-1 pr-2">
              {look.leverPosition === null ? 'not told' : `${Math.round(100 * look.leverPosition)} %`}
            </td>
            <td className="figures py-1 pr-2">{(look.speedMS / KNOT_MS).toFixed(1)} kn</td>
            <td className="py-1 pr-2">
              {look.heading}, current {look.current}
            </td>
            <td className="py-1 pr-2">{seenWords(look)}</td>
            <td className="py-1">{countsWords(look, misfits)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const HAND_WORDS: Readonly<Record<HandPull, string>> = {
  freely: 'comes freely by hand',
  reluctantly: 'comes reluctantly by hand',
  'not at all': 'does not come by hand',
};

function seenWords({ creep, handPull, strike }: PlanerLookRecord): string {
  return [
    creep && `creep: ${creep}`,
    handPull && HAND_WORDS[handPull],
    strike && `a strike ${strike === 'heard' ? 'noticed' : 'found later'}`,
  ]
    .filter((each) => each !== null)
    .join('; ');
}

function countsWords(look: PlanerLookRecord, misfits: readonly string[]): string {
  if (misfits.includes(look.id)) return misfits[0] === look.id ? 'fits the others worst: look again' : 'does not fit';
  return look.creep !== null && !look.isSet ? 'no, not set' : 'yes';
}
