'use client';

import { dragTarget } from '@/core/drag/dragTarget';
import { FIRST_SETTING, planerAdvice, RESERVE, type PresetVerdict } from '@/core/drag/planer/planerAdvice';
import { pullAtSpeed, type PlanerBracket, type Range90 } from '@/core/drag/planer/planerBracket';
import { leverOfRig } from '@/core/rig/drag/leverOfRig';
import type { PlanerFound, Sea, SeaMark } from '@/core/rig/drag/planerOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import { KNOT_MS } from '@/core/units/units';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { SweepScale } from './SweepScale';

/** After the strike a running fish gets the usual quarter. */
const AFTER_STRIKE = 0.25;

const SEA_WORDS: Readonly<Record<Sea, string>> = {
  ordinary: 'Ordinary water',
  'following sea': 'Following sea',
  'current against you': 'Current against you',
  both: 'Both',
};

const PRESET_WORDS: Readonly<Record<PresetVerdict, string>> = {
  right: 'The preset is right: about half of the sweep stops the creep, the other half is left for a harder sea.',
  tighter:
    'The preset is too loose: it takes too much of the sweep to stop the creep. One turn tighter, in free spool.',
  looser:
    'The preset is too tight: the creep stops long before the middle of the sweep. One turn looser, in free spool.',
  unknown: '',
};

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const orBeyond = (share: number): string => (share > 1 ? 'beyond full' : percent(share));
const looksWords = (count: number): string => `${count} look${count === 1 ? '' : 's'}`;

/** Where lever and preset belong, and how sure that is. */
export function PlanerAnswer({ view, found, speedMS }: { view: RigView; found: PlanerFound | null; speedMS: number }) {
  if (!found) return <p className="min-h-24">Working it out from the looks so far …</p>;
  const isFirst = found.counted + found.carriedFrom === 0;
  const usual = found.marks[0];
  return (
    <div className="flex flex-col gap-2" aria-live="polite">
      {isFirst && !found.newtons ? (
        <FirstSetting />
      ) : (
        usual && found.counted + found.carriedFrom > 0 && <Marks found={found} usual={usual} speedMS={speedMS} />
      )}
      <Preset view={view} found={found} speedMS={speedMS} />
      {found.newtons && <InNewtons view={view} bracket={found.newtons} speedMS={speedMS} />}
      <UpperSide unheard={found.unheard} usual={usual} />
      <AfterStrike view={view} />
    </div>
  );
}

/** Whether the preset is right; never tighter than the reel or the rig bear. */
function Preset({ view, found, speedMS }: { view: RigView; found: PlanerFound; speedMS: number }) {
  const { record } = useRig();
  if (found.preset === 'unknown') return null;
  const bears = Math.min(record.reel.dragLimitN ?? Infinity, view.inReach?.weakest.strengthN.value ?? Infinity);
  const holdN = found.newtons && planerAdvice(found.newtons, speedMS, null, null, null).holdN;
  if (found.preset === 'tighter' && holdN !== null && holdN > bears)
    return <p className="font-semibold text-stop">Do not turn the preset tighter: a smaller planer, or slower.</p>;
  return (
    <p>
      {PRESET_WORDS[found.preset]}
      {found.preset === 'tighter' &&
        ' Never beyond the maker’s limit: pull full lever with a scale before you trust it.'}
    </p>
  );
}

function FirstSetting() {
  return (
    <>
      <p className="text-3xl font-bold">
        Lever at <span className="figures">{percent(FIRST_SETTING.lever)}</span>
      </p>
      <p>
        To begin with: the preset at half of its travel, the lever at half of its sweep (common practice). By hand the
        line should come off only reluctantly before the planer goes in. The first look says more.
      </p>
    </>
  );
}

function Marks({ found, usual, speedMS }: { found: PlanerFound; usual: SeaMark; speedMS: number }) {
  const from = [
    found.counted > 0 ? looksWords(found.counted) : null,
    found.carriedFrom > 0 ? `${looksWords(found.carriedFrom)} with another preset or planer, carried over` : null,
  ].filter((each) => each !== null);
  return (
    <>
      <p className="text-3xl font-bold">
        {usual.position === null ? (
          'Full lever may not hold it'
        ) : (
          <>
            Lever at <span className="figures">{percent(usual.position)}</span>
          </>
        )}
      </p>
      <p>
        {usual.position !== null && `holds it with ${percent(RESERVE)} of pull to spare. `}
        In ordinary water at {(speedMS / KNOT_MS).toFixed(1)} kn the creep stops at {orBeyond(usual.stops.mid)}
        {usual.stops.mid <= 1 && ' of the sweep'}, {orBeyond(usual.stops.low)} to {orBeyond(usual.stops.high)} (90 %),
        by {from.join(' and ')}.
      </p>
      <SweepScale
        label="Where the lever stops the creep"
        rows={found.marks.map(({ sea, stops, position }) => ({ name: SEA_WORDS[sea], stops, position }))}
      />
      {found.misfits.length > 0 && (
        <p className="font-semibold text-warn">
          {found.misfits.length === 1 ? 'One look does' : `${found.misfits.length} looks do`} not fit the others: they
          are named in the list. Look once more with the lever there.
        </p>
      )}
    </>
  );
}

function InNewtons({ view, bracket, speedMS }: { view: RigView; bracket: PlanerBracket; speedMS: number }) {
  const { record } = useRig();
  const { format } = useUnits();
  const lever = leverOfRig(record);
  const limitN = record.reel.dragLimitN;
  const advice = planerAdvice(bracket, speedMS, lever.curve.ok ? lever.curve.value : null, lever.gain, limitN);
  const isTooMuch = view.inReach !== null && advice.holdN > view.inReach.weakest.strengthN.value;
  return (
    <div className="flex flex-col gap-1 text-sm">
      <p>
        By the {lever.curve.ok ? 'lever curve' : 'scale'} it pulls{' '}
        <b className="figures">
          {format.force(pullAtSpeed(bracket.lowN, speedMS))} to {format.force(pullAtSpeed(bracket.highN, speedMS))}
        </b>{' '}
        at {(speedMS / KNOT_MS).toFixed(1)} kn (90 %), by {looksWords(bracket.counted)}. To hold it in its waves with{' '}
        {format.percent(RESERVE)} to spare: <b className="figures">{format.force(advice.holdN)}</b>
        {advice.position !== null && `, the lever at ${percent(advice.position)}`}.
      </p>
      {advice.isOverLimit && limitN !== null && (
        <p className="font-semibold text-stop">
          That is more than the {format.force(limitN)} that this reel&apos;s maker allows: a smaller planer, or slower.
        </p>
      )}
      {isTooMuch && (
        <p className="font-semibold text-stop">
          That is more than the weakest place of this rig holds: a smaller planer, or slower.
        </p>
      )}
      {advice.presetTurns !== null && (
        <p>
          About {Math.abs(advice.presetTurns).toFixed(1)} turns {advice.presetTurns > 0 ? 'tighter' : 'looser'} bring it
          to the middle of the sweep; turn in free spool.
        </p>
      )}
    </div>
  );
}

function UpperSide({ unheard, usual }: { unheard: Range90 | null; usual: SeaMark | undefined }) {
  if (!unheard)
    return (
      <p className="text-sm">
        How tight is too tight to feel a strike is not known yet: note strikes that you noticed and those found later.
        Once it is set and turned back, ease it as far as the creep allows.
      </p>
    );
  const isTooTight = usual?.position != null && usual.position > unheard.mid;
  return (
    <p className={`text-sm ${isTooTight ? 'font-semibold text-warn' : ''}`}>
      Strikes go unnoticed above about {unheard.mid > 1 ? 'full lever' : percent(unheard.mid)} of the sweep (
      {percent(unheard.low)} to {unheard.high > 1 ? 'beyond full' : percent(unheard.high)}).
      {isTooTight && ' Where the lever holds, one may go unnoticed: look at the line more often.'}
    </p>
  );
}

function AfterStrike({ view }: { view: RigView }) {
  const { record } = useRig();
  const { format } = useUnits();
  const lever = leverOfRig(record);
  const strike = view.inReach && dragTarget(view.inReach.weakest.strengthN, AFTER_STRIKE, record.reel.dragLimitN);
  const at = strike?.ok && lever.curve.ok ? lever.curve.value.positionFor(strike.value.targetN.value) : null;
  return (
    <p className="text-sm">
      After the strike pull the lever back{at === null ? '' : ` to ${percent(at)}`}: this setting is far too tight for a
      running fish.
      {strike?.ok &&
        ` A quarter of the weakest place is ${format.force(strike.value.targetN.value)} ± ${format.force(strike.value.targetN.plusMinus)}.`}
    </p>
  );
}
