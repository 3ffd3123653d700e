'use client';

import type { ActRecord } from '@/core/record/history';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { AskFirst } from '@/components/ui/AskFirst';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { shortWhenWords } from '@/words/dates';
import { actWords } from '@/words/history';
import { namesOnRig } from './namesOnRig';

interface Line {
  readonly act: ActRecord;
  readonly words: string;
}

/** What was done on a rig, newest first, and the way back to any point of it. */
export function History({ acts }: { acts: readonly ActRecord[] }) {
  const { record } = useRig();
  const { format } = useUnits();
  const nameOf = namesOnRig(record);
  const lines = acts.flatMap((act): Line[] => {
    const words = actWords(act, nameOf, format);
    return words === null ? [] : [{ act, words }];
  });
  return (
    <Card title="What was done on this rod">
      <p className="mb-3 text-sm">
        Nothing here is deleted. Undoing is an act itself: it stands in this list, and can be undone in the same way.
      </p>
      {lines.length === 0 ? (
        <p>Nothing yet. Plan the line, and what you do from then on stands here, each act with its way back.</p>
      ) : (
        <ol className="flex flex-col divide-y divide-edge">
          {lines.map((line, index) => (
            <ActLine
              key={line.act.id}
              line={line}
              since={lines.slice(0, index)}
              newestId={acts[0]?.id ?? ''}
              undoing={undoneWords(line.act, acts)}
            />
          ))}
        </ol>
      )}
    </Card>
  );
}

/** Of an undoing: how many acts it undid. */
function undoneWords(act: ActRecord, acts: readonly ActRecord[]): string {
  const undone = acts.filter((each) => each.undoneBy === act.id).length;
  return act.request === 'undoActs' && undone > 0 ? `: ${undone} act${undone === 1 ? '' : 's'}` : '';
}

function ActLine({
  line: { act, words },
  since,
  newestId,
  undoing,
}: {
  line: Line;
  since: readonly Line[];
  newestId: string;
  undoing: string;
}) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const isUndone = act.undoneBy !== null;
  const goes = [...since.filter((each) => each.act.undoneBy === null), { act, words }];
  const undo = (): void =>
    void sendNow(
      'undoActs',
      { boatId: record.boat.id, rigId: record.id },
      { fromId: act.id, newestId },
      'Undone. It stands in the history, and can be undone itself.',
    );
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 py-1.5">
      <span className="min-w-0">
        <span className={isUndone ? 'text-ink-soft line-through' : 'font-semibold'}>
          {words}
          {undoing}
        </span>
        <span className="block text-sm text-ink-soft">
          {shortWhenWords(act.at)}
          {act.person && ` by ${act.person}`}
          {isUndone && ' · undone'}
        </span>
      </span>
      {!isUndone && (
        <AskFirst
          label={since.length === 0 ? 'Undo' : 'Undo up to here'}
          title={goes.length === 1 ? 'Undo this act?' : `Undo ${goes.length} acts?`}
          yes={goes.length === 1 ? 'Undo it' : 'Undo them'}
          disabled={state.kind === 'sending'}
          onYes={undo}
        >
          <p>The rod is then as it was before “{words}”. This no longer counts:</p>
          <ul className="max-h-60 list-disc overflow-y-auto pl-5 text-sm">
            {goes.map((each) => (
              <li key={each.act.id}>{each.words}</li>
            ))}
          </ul>
          <p className="text-sm text-ink-soft">Other rods stay as they are. This can be undone too.</p>
        </AskFirst>
      )}
    </li>
  );
}
