'use client';

import { heldOutPieces, type HeldOutPiece } from '@/core/rig/heldOut';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useRig } from './RigProvider';

const REASON = 'it disagrees with everything else';

/** Noted figures that were left out because they disagree, each with a way to take it back; and whether learning is behind. */
export function HeldOut() {
  const { record } = useRig();
  const pieces = heldOutPieces(record);
  const { isCurrent } = record.knowledge;
  if (pieces.length === 0 && isCurrent) return null;
  return (
    <section aria-label="What does not fit" className="no-print my-1 border-2 border-stop bg-card px-4 py-2 text-sm">
      {!isCurrent && (
        <p>
          What the newest loads teach could not be worked out yet: the figures below rest on what was known before.
          Reload the page to try again.
        </p>
      )}
      <ul className="flex flex-col gap-1">
        {pieces.map((piece) => (
          <Piece key={`${piece.kind} ${piece.name}`} piece={piece} />
        ))}
      </ul>
    </section>
  );
}

function Piece({ piece }: { piece: HeldOutPiece }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const { source, levelBelowRimM } = piece;
  const takeBack = (): void => {
    if (!source) return;
    const body = { kind: source.kind, id: source.id, rigId: record.id, reason: REASON };
    void sendNow('withdraw', { boatId: record.boat.id }, body, 'Taken back. It stays on record, with why.');
  };
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <span>
        <b>Left out: {piece.name}</b>
        {levelBelowRimM !== null && `, noted as ${format.small(levelBelowRimM)} below the rim`}. It disagrees with
        everything else, so no figure rests on it. Read or typed wrongly?
      </span>
      {source ? (
        <Button disabled={state.kind === 'sending'} onClick={takeBack}>
          Take it back
        </Button>
      ) : (
        <span>Correct it under Reels and lines.</span>
      )}
    </li>
  );
}
