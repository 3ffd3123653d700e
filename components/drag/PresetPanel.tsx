'use client';

import { useState } from 'react';
import type { PresetAct } from '@/core/drag/presetState';
import { because } from '@/core/reasons';
import type { LeverOfRig } from '@/core/rig/drag/leverOfRig';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useSay } from '@/components/units/useSay';

const TURNS = [
  { value: '0.25', text: 'a quarter turn' },
  { value: '0.5', text: 'half a turn' },
  { value: '1', text: 'one turn' },
  { value: '2', text: 'two turns' },
] as const;

/** Clicks of the virtual drag that one turn of its preset is. */
const CLICKS_A_TURN = 24;

/** Lever and preset, step by step: turned in free spool only, and what to do when it was not. */
export function PresetPanel({ lever }: { lever: LeverOfRig }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const say = useSay();
  const bench = useVirtualReel();
  const [turns, setTurns] = useState<(typeof TURNS)[number]['value']>('0.5');
  const { preset } = lever;
  const busy = state.kind === 'sending' || bench.busy;
  const work = async (act: PresetAct): Promise<void> => {
    const result = await sendNow('workPreset', { boatId: record.boat.id, rigId: record.id }, act);
    if (result.ok && record.hasVirtualReel && 'turns' in act) {
      await bench.work({ act: 'turn-drag', clicks: Math.round(act.turns * CLICKS_A_TURN) });
    }
  };
  const turn = (sign: 1 | -1): void => void work({ act: 'turn', turns: sign * Number(turns) });
  const isFree = preset.lever === 'free';
  return (
    <div className="flex flex-col gap-2 border-l-4 border-rule pl-3">
      <p className="text-sm">
        <b>Preset:</b>{' '}
        {preset.turns === 0
          ? 'where it was first measured'
          : `${Math.abs(preset.turns)} turns ${preset.turns > 0 ? 'tighter' : 'looser'} than first measured`}
        , lever {isFree ? 'back, in free spool' : 'in gear'}.
      </p>
      {preset.wrongTurns !== 0 && (
        <p role="alert" className="font-semibold text-stop">
          It was turned in gear. {say(because('undo-first', { wrongTurns: preset.wrongTurns }))}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-36">
          <ChoiceField label="By" value={turns} options={TURNS} onChange={setTurns} />
        </div>
        {isFree ? (
          <>
            <Button disabled={busy} onClick={() => turn(1)}>
              Turned tighter
            </Button>
            <Button disabled={busy} onClick={() => turn(-1)}>
              Turned looser
            </Button>
            <Button disabled={busy} onClick={() => void work({ act: 'into-gear' })}>
              Lever into gear
            </Button>
            {preset.wrongTurns !== 0 && (
              <Button
                weight="main"
                disabled={busy}
                onClick={() => void work({ act: 'turn', turns: -preset.wrongTurns })}
              >
                It is turned back
              </Button>
            )}
          </>
        ) : (
          <>
            <Button weight="main" disabled={busy} onClick={() => void work({ act: 'to-free' })}>
              Lever back to free
            </Button>
            <Button
              weight="quiet"
              disabled={busy}
              onClick={() => void work({ act: 'was-turned-in-gear', turns: Number(turns) })}
            >
              It was turned tighter in gear
            </Button>
            <Button
              weight="quiet"
              disabled={busy}
              onClick={() => void work({ act: 'was-turned-in-gear', turns: -Number(turns) })}
            >
              looser in gear
            </Button>
          </>
        )}
      </div>
      <Caution>
        Never turn the preset in gear: the washers bind, and the figure is wrong. Lever back to free first. The
        maker&apos;s limit and a qualified technician go before any figure here.
      </Caution>
    </div>
  );
}
