'use client';

import { ROD_POSITIONS, type RodPosition } from '@/core/record/rodPosition';
import { useSend } from '@/components/http/useSend';

const UNTOLD = 'not told';

/** Where the rod stands on the boat: chosen, and kept at once. */
export function RodPositionField({
  boatId,
  rigId,
  name,
  position,
}: {
  boatId: string;
  rigId: string;
  /** Of the rig. */
  name: string;
  position: RodPosition | null;
}) {
  const { sendNow, state } = useSend();
  const choose = (chosen: string): void => {
    const told = ROD_POSITIONS.find((each) => each === chosen) ?? null;
    void sendNow('noteRodPosition', { boatId, rigId }, { position: told }, 'Noted.');
  };
  return (
    <label className="flex items-center gap-2 text-sm">
      stands
      <select
        aria-label={`Where ${name} stands`}
        value={position ?? UNTOLD}
        disabled={state.kind === 'sending'}
        onChange={(event) => choose(event.target.value)}
        className="min-h-11 rounded-sm border border-edge bg-card px-2"
      >
        {[UNTOLD, ...ROD_POSITIONS].map((each) => (
          <option key={each} value={each}>
            {each}
          </option>
        ))}
      </select>
    </label>
  );
}
