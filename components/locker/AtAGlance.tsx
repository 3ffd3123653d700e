import { Link } from '@/components/ui/Link';
import { STATIONS, type Station } from '@/core/record/stations';
import type { BoatAtAGlance } from '@/usecases/rigs/locker';
import { rigPath, stationPath } from '@/components/shell/paths';
import { StateMark } from '@/components/ui/StateMark';
import { DeckPlan } from './DeckPlan';

/** Rods with something stale that are named before the others are counted. */
const NAMED = 3;

const titleOf = (id: Station): string => STATIONS.find((station) => station.id === id)?.title ?? id;

/** What is stale and what is due on a boat: results that no longer stand are named, what was never done is counted. */
export function AtAGlance({ boatId, glance }: { boatId: string; glance: BoatAtAGlance }) {
  const { rods, total, looked } = glance;
  const stale = rods.filter((rod) => rod.stale.length > 0);
  const due = rods.filter((rod) => rod.due.length > 0);
  if (total === 0) return <p className="text-sm text-ink-soft">No rod in this locker yet.</p>;
  const areOnDeck = rods.some((rod) => rod.position !== null);
  return (
    <div className="flex flex-col gap-1 text-sm">
      {areOnDeck && <DeckPlan boatId={boatId} rods={rods} />}
      {!areOnDeck && <Stale boatId={boatId} rods={stale} />}
      <p className="text-ink-soft">
        {total === 1 ? 'One rod' : `${total} rods`}
        {looked < total && `, the first ${looked} looked through`},{' '}
        {due.length === 0
          ? stale.length === 0
            ? 'nothing stale, nothing due.'
            : 'nothing else due.'
          : `something due on ${due.length}: ${dueWords(due)}.`}
      </p>
    </div>
  );
}

/** Rods with something stale, by name while they are few. */
function Stale({ boatId, rods }: { boatId: string; rods: BoatAtAGlance['rods'] }) {
  return (
    <>
      {rods.slice(0, NAMED).map((rod) => (
        <p key={rod.id} className="flex flex-wrap items-center gap-x-2">
          <StateMark state="stale" />
          <Link
            className="inline-flex min-h-11 items-center text-chalk underline"
            href={rod.stale[0] ? stationPath(boatId, rod.id, rod.stale[0]) : rigPath(boatId, rod.id)}
          >
            {rod.name}
          </Link>
          <span>{rod.stale.map(titleOf).join(', ')}</span>
        </p>
      ))}
      {rods.length > NAMED && <p>and {rods.length - NAMED} more rods with something stale.</p>}
    </>
  );
}

/** "Count on 2, Drag on 1", in the order of the work. */
function dueWords(due: BoatAtAGlance['rods']): string {
  return STATIONS.map(({ id, title }) => ({ title, rods: due.filter((rod) => rod.due.includes(id)).length }))
    .filter(({ rods }) => rods > 0)
    .map(({ title, rods }) => `${title} on ${rods}`)
    .join(', ');
}
