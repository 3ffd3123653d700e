'use client';

import { useState } from 'react';
import type { TieRecord } from '@/core/record/record';
import { useSend } from '@/components/http/useSend';
import { addressOf } from '@/usecases/requests/routes';
import { useRig } from '@/components/rig/RigProvider';
import { useSay } from '@/components/units/useSay';
import { shrinkPhoto } from './shrinkPhoto';

/** A photo of a tied join, taken with the phone or chosen; it is shrunk before it is sent. */
export function TiePhoto({ tie }: { tie: TieRecord }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const say = useSay();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [shown, setShown] = useState(0);
  const path = addressOf('keepTiePhoto', { boatId: record.boat.id, tieId: tie.id });
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const small = await shrinkPhoto(file);
    setTrouble(small.ok ? null : say(small));
    if (!small.ok) return;
    const result = await sendNow(
      'keepTiePhoto',
      { boatId: record.boat.id, tieId: tie.id },
      { jpegBase64: small.value },
      'The photo is on record.',
    );
    if (result.ok) setShown(shown + 1);
  };
  return (
    <div className="flex flex-wrap items-center gap-3 px-3 pb-2">
      {(tie.hasPhoto || shown > 0) && (
        // The picture comes from this server as it is; there is nothing to optimise.
        // eslint-disable-next-line @next/next/no-img-element
        <img
          src={`${path}?${shown}`}
          alt="The join as it was tied"
          className="max-h-40 rounded-sm border border-edge"
        />
      )}
      <label className="inline-flex min-h-11 cursor-pointer items-center rounded-sm border border-edge-strong px-3 text-sm focus-within:outline-3 focus-within:outline-chalk">
        {tie.hasPhoto || shown > 0 ? 'Another photo' : 'Add a photo'}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          disabled={state.kind === 'sending'}
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      {trouble && (
        <p role="alert" className="text-sm font-semibold text-stop">
          {trouble}
        </p>
      )}
    </div>
  );
}
