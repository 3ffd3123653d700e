'use client';

import { useState } from 'react';
import type { KeptPlanRecord, ReelRecord } from '@/core/record/record';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { stationPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useGo } from '@/components/ui/useGo';
import { twinName } from './twinName';

interface Props {
  readonly boatId: string;
  /** Reels in use that carry no rig. */
  readonly reels: readonly ReelRecord[];
  readonly rigs: readonly { readonly id: string; readonly name: string }[];
  readonly plans: readonly KeptPlanRecord[];
  /** The rig that the new one is to be like, where one was asked for. */
  readonly likeRigId: string | null;
}

/** What the choice of a plan stands for. */
function likeOf(chosen: string): { readonly from: 'rig' | 'plan'; readonly id: string } | null {
  const [from, id] = chosen.split(' ');
  return id && (from === 'rig' || from === 'plan') ? { from, id } : null;
}

/** A new rig: on which reel, with whose plan, called what. */
export function NewRig({ boatId, reels, rigs, plans, likeRigId }: Props) {
  const go = useGo();
  const { sendNow, state, fieldError } = useSend();
  const [name, setName] = useDraft(`rig:${boatId}:name`, isText);
  const [picked, setPicked] = useState<string | null>(null);
  const [like, setLike] = useState<string>(rigs.some((rig) => rig.id === likeRigId) ? `rig ${likeRigId}` : '');
  const first = reels[0];
  const likeName = rigs.find((rig) => like === `rig ${rig.id}`)?.name;
  if (!first) {
    return (
      <Card title="A new rig">
        <p>
          Every reel on record carries a rig already. Add a reel below, then make a rig of it
          {likeName !== undefined && `, like ${likeName} if you want`}.
        </p>
      </Card>
    );
  }
  const reelId = reels.some((reel) => reel.id === picked) ? (picked ?? first.id) : first.id;
  const shown = name ?? (likeName === undefined ? '' : twinName(likeName));
  const create = async (): Promise<void> => {
    const result = await sendNow(
      'createRig',
      { boatId },
      { name: shown, note: '', reelId, like: likeOf(like) },
      'The rig is in the locker.',
    );
    if (!result.ok) return;
    setName(null);
    go.to(stationPath(boatId, result.value.id, 'load'));
  };
  return (
    <Card title="A new rig">
      <form
        className="grid items-end gap-2 sm:grid-cols-[1fr_1fr_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          void create();
        }}
      >
        <ChoiceField
          label="On the reel"
          value={reelId}
          options={reels.map((reel) => ({ value: reel.id, text: reel.name }))}
          onChange={setPicked}
          error={fieldError('reelId')}
        />
        <ChoiceField
          label="Its line"
          value={like}
          options={[
            { value: '', text: 'planned from nothing' },
            ...rigs.map((rig) => ({ value: `rig ${rig.id}`, text: `as planned for ${rig.name}` })),
            ...plans.map((plan) => ({ value: `plan ${plan.id}`, text: `the kept plan ${plan.name}` })),
          ]}
          onChange={setLike}
          error={fieldError('like')}
        />
        <TextField label="Name of the rig" value={shown} onChange={setName} error={fieldError('name')} />
        <Button type="submit" weight="main" disabled={state.kind === 'sending'}>
          Make this rig
        </Button>
      </form>
      <p className="mt-2 text-sm text-ink-soft">
        A reel that is not among these carries a rig, or is not on record yet: add it below. Joins, fill, drag share and
        what is meant to break come along with another rig&apos;s plan; how much backing goes on is worked out anew for
        this reel.
      </p>
    </Card>
  );
}
