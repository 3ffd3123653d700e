'use client';

import { useId, useState } from 'react';
import { marksThatTeach } from '@/core/rig/tow/marksThatTeach';
import type { TowedRig } from '@/core/rig/tow/towedRig';
import type { WaterMarkRecord } from '@/core/record/tow';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthAnswer } from '@/core/tow/answerDepth';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { shortWhenWords } from '@/words/dates';
import { knots } from './towedWords';
import { WaterMarkForm } from './WaterMarkForm';

const KIND_WORDS = { bottom: 'Bottom', sonar: 'Sounder', strike: 'Strike' } as const;

/** Depths that were seen, strikes, and what each of them teaches. */
export function WaterLog({ view, rig, answer }: { view: RigView; rig: TowedRig; answer: DepthAnswer | null }) {
  const { record } = useRig();
  const teaching = new Set(rig.marks.map(({ id }) => id));
  const ofLine = new Set(marksThatTeach(record).map(({ id }) => id));
  const off = new Map(answer?.learned.conflicts.map(({ id, sds }) => [id, sds]));
  const newestFirst = record.waterMarks.toReversed();
  return (
    <div className="flex flex-col gap-4">
      <WaterMarkForm view={view} rig={rig} />
      {newestFirst.length > 0 && (
        <ul className="flex flex-col">
          {newestFirst.map((mark) => (
            <Entry
              key={mark.id}
              mark={mark}
              why={teaching.has(mark.id) ? null : ofLine.has(mark.id) ? BEYOND : whyNot(mark, record.towed?.lure)}
              off={off.get(mark.id)}
            />
          ))}
        </ul>
      )}
    </div>
  );
}

const BEYOND = 'more line was out than may be out now';

function whyNot(mark: WaterMarkRecord, lure: string | undefined): string {
  if (mark.depthM === null) return 'its depth is not known';
  if (mark.turn !== 'straight') return 'in a turn a line swims deeper or shallower';
  if (mark.lure !== lure) return `it was with ${mark.lure}`;
  return 'line was lost or added since, or nobody has said how it is towed';
}

function Entry({ mark, why, off }: { mark: WaterMarkRecord; why: string | null; off: number | undefined }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const [asks, setAsks] = useState(false);
  const asked = useId();
  const lap = mark.laps ? `, lap ${mark.laps + 1}` : '';
  const out = mark.reading === null ? `${format.length(mark.lengthOutM ?? 0)} out` : `counter ${mark.reading}${lap}`;
  const takeBack = (): void =>
    void sendNow(
      'withdraw',
      { boatId: record.boat.id },
      { kind: 'waterMark', id: mark.id, rigId: record.id, reason: 'noted in error' },
      'Taken back. It stays on record.',
    );
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 border-b border-edge py-1.5 text-sm">
      <span>
        <b>{KIND_WORDS[mark.kind]}</b>
        {mark.depthM !== null && <span className="figures"> at {format.length(mark.depthM)}</span>},{' '}
        <span className="figures">{out}</span>, {knots(mark.speedMS)}
        {mark.side && `, ${mark.side}`}
        {mark.turn !== 'straight' && `, ${mark.turn} of a turn`}
        {mark.note && `. ${mark.note}`}{' '}
        <span className="text-ink-soft">
          {shortWhenWords(mark.at)}
          {why !== null && ` · does not tune the depth: ${why}`}
        </span>
        {off !== undefined && (
          <span className="block font-semibold text-warn">
            {Math.abs(off).toFixed(1)} SDs {off > 0 ? 'deeper' : 'shallower'} than the others have it: a fish, a ledge,
            or a wrong lap?
          </span>
        )}
      </span>
      {asks ? (
        <span role="group" aria-labelledby={asked} className="flex items-center gap-2">
          <span id={asked}>Take it back?</span>
          <Button weight="quiet" disabled={state.kind === 'sending'} onClick={takeBack}>
            Yes
          </Button>
          <Button weight="quiet" onClick={() => setAsks(false)}>
            No
          </Button>
        </span>
      ) : (
        <Button weight="quiet" onClick={() => setAsks(true)}>
          Take it back
        </Button>
      )}
    </li>
  );
}
