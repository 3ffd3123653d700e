'use client';

import { Link } from '@/components/ui/Link';
import { useState } from 'react';
import { useKeptText } from '@/components/fields/useKept';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { Keeping } from '@/components/keeping/Keeping';
import { useRig } from '@/components/rig/RigProvider';
import { gearPath, likePath } from '@/components/shell/paths';
import { AskFirst } from '@/components/ui/AskFirst';
import { Card } from '@/components/ui/Card';

/** What can be done with a whole rig: its name, another one like it, another reel, another rod, put away. */
export function ThisRig({ freeReels }: { freeReels: readonly { readonly id: string; readonly name: string }[] }) {
  const { record } = useRig();
  return (
    <Card title="This rig">
      <div className="flex flex-col gap-4">
        <Keeping
          boatId={record.boat.id}
          thing="rig"
          id={record.id}
          name={record.name}
          stays="Put away, the rig is not in the locker any more, and its reel is free for another one. All that was noted of it stays, and the reel keeps what it has learned."
        />
        <p>
          <Link className="text-chalk underline" href={likePath(record.boat.id, record.id)}>
            Make another rig like it
          </Link>
          , a twin for the other side: plan, joins, fill and drag share come along.
        </p>
        <OtherReel freeReels={freeReels} />
        <OtherRod />
      </div>
    </Card>
  );
}

/** What the rig has by now that stays with the reel it leaves. */
function useWhatStays(): readonly string[] {
  const { record } = useRig();
  return [
    ...(record.load ? ['the line that is on the reel: this rig is then to be wound anew'] : []),
    ...(record.calibration ? ['the accepted counter'] : []),
    ...(record.dragSetting ? ['the drag as it is set'] : []),
    ...(record.planerLooks.length > 0 ? ['what was seen of planers in tow'] : []),
  ];
}

function OtherReel({ freeReels }: { freeReels: readonly { readonly id: string; readonly name: string }[] }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const [picked, setPicked] = useState<string | null>(null);
  const stays = useWhatStays();
  const reel = freeReels.find(({ id }) => id === picked) ?? freeReels[0];
  if (!reel) {
    return (
      <p className="text-sm">
        To move it to another reel, put one on record that carries no rig:{' '}
        <Link className="text-chalk underline" href={gearPath(record.boat.id)}>
          reels and lines
        </Link>
        .
      </p>
    );
  }
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="w-64">
        <ChoiceField
          label="Move it to another reel"
          value={reel.id}
          options={freeReels.map(({ id, name }) => ({ value: id, text: name }))}
          onChange={setPicked}
        />
      </div>
      <AskFirst
        label="Move it"
        weight="plain"
        title={`Move ${record.name} to ${reel.name}?`}
        yes="Move it"
        disabled={state.kind === 'sending'}
        onYes={() =>
          void sendNow(
            'moveRig',
            { boatId: record.boat.id, rigId: record.id },
            { to: 'reel', reelId: reel.id },
            `It is on ${reel.name} now.`,
          )
        }
      >
        <p>The plan goes along. How much backing goes on is worked out anew for that reel.</p>
        {stays.length > 0 && (
          <>
            <p>This belongs to {record.reel.name}, and counts no more for this rig:</p>
            <ul className="list-disc pl-5 text-sm">
              {stays.map((each) => (
                <li key={each}>{each}</li>
              ))}
            </ul>
          </>
        )}
        <p className="text-sm text-ink-soft">It stays on record, and can be undone in the history of this rig.</p>
      </AskFirst>
    </div>
  );
}

function OtherRod() {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const [name, setName] = useKeptText(`other-rod:${record.id}`);
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="w-64">
        <TextField
          label="Put reel and line on another rod"
          value={name}
          onChange={setName}
          error={fieldError('name')}
          hint="what that rod is called"
        />
      </div>
      <AskFirst
        label="Put it on that rod"
        weight="plain"
        title="Put reel and line on another rod?"
        yes="Put it on that rod"
        disabled={state.kind === 'sending' || name.trim() === ''}
        onYes={() =>
          void sendNow(
            'moveRig',
            { boatId: record.boat.id, rigId: record.id },
            { to: 'rod', name },
            `On rod ${name.trim()} from now on.`,
          ).then((result) => {
            if (result.ok) setName(null);
          })
        }
      >
        <p>Load, counter and joins go along. What was the old rod&apos;s counts no more:</p>
        <ul className="list-disc pl-5 text-sm">
          <li>what hangs from the tip when the counter is zeroed</li>
          {record.dragSetting && <li>the drag as it was set through its guides: set it anew with the scale</li>}
        </ul>
        <p className="text-sm text-ink-soft">It can be undone in the history of this rig.</p>
      </AskFirst>
    </div>
  );
}
