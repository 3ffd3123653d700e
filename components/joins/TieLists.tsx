import { Link } from '@/components/ui/Link';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import type { ToTie } from '@/core/rig/joins/tieList';
import type { TieListOfRig } from '@/usecases/joins/tieLists';
import { stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { many } from '@/words/dictionary';
import { placeWords, wornWords } from './joinLines';

/** Why a structure is on the list, and what to do with it. */
function whyWords({ standing, wornBy, boreLoss, join }: ToTie): string {
  switch (standing) {
    case 'not tied':
      return 'Tie it: nobody has noted that it is tied.';
    case 'under-seated':
      return 'Pull it again: it was seated with too little.';
    case 'not pulled':
      return 'Pull-test it: it is tied and was never pulled.';
    case 'due':
      return boreLoss ? 'Tie it anew: line tore off beyond it.' : wornWords(wornBy, join.lastTie);
  }
}

/** What is to be tied or pulled on each rod of a boat, with the minutes and the things that it takes. */
export function TieLists({ boatId, lists }: { boatId: string; lists: readonly TieListOfRig[] }) {
  const minutes = lists.reduce((sum, list) => sum + list.minutes, 0);
  const count = lists.reduce((sum, list) => sum + list.rows.length, 0);
  const needs = [...new Set(lists.flatMap((list) => list.needs))];
  if (count === 0) return <Card title="Nothing to tie">Every join that is on record is tied, seated and pulled.</Card>;
  return (
    <>
      <p className="mb-4">
        <b className="figures">{many(count, 'join')}</b> on {many(lists.length, 'rod')}, about{' '}
        <b className="figures">{minutes} min</b> of work (a guess, glue not counted: it dries while the next one is
        tied). Take along: {needs.join(', ')}.
      </p>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {lists.map(({ record, rows, minutes: ofRod }) => (
          <Card
            key={record.id}
            title={record.name}
            aside={
              <Link
                className="inline-flex min-h-11 items-center text-chalk underline underline-offset-4"
                href={stationPath(boatId, record.id, 'joins')}
              >
                To its joins
              </Link>
            }
          >
            <ol className="flex flex-col gap-2">
              {rows.map((row) => (
                <li key={row.join.id} className="border-l-4 border-rule pl-3">
                  <span className="flex flex-wrap justify-between gap-x-3">
                    <b>{placeWords(record, row.join)}</b>
                    <span className="figures text-sm">{row.minutes} min</span>
                  </span>
                  <span className="block text-sm">
                    {JOIN_KINDS[row.join.kind].name}. {whyWords(row)}
                  </span>
                </li>
              ))}
            </ol>
            <p className="figures mt-2 text-sm text-ink-soft">{ofRod} min on this rod</p>
          </Card>
        ))}
      </div>
    </>
  );
}
