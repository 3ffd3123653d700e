import { Link } from '@/components/ui/Link';
import { ROD_POSITIONS, type RodPosition } from '@/core/record/rodPosition';
import { STATIONS, type Station } from '@/core/record/stations';
import type { BoatAtAGlance } from '@/usecases/rigs/locker';
import { rigPath, stationPath } from '@/components/shell/paths';
import { StateMark } from '@/components/ui/StateMark';

type Rod = BoatAtAGlance['rods'][number];

const TITLES: Readonly<Record<RodPosition, string>> = { port: 'Port', stern: 'Stern', starboard: 'Starboard' };

/** Looking forward, port is on the left: the columns stand as the rods do, the hull seen from above between them. */
export function DeckPlan({ boatId, rods }: { boatId: string; rods: readonly Rod[] }) {
  const at = (position: RodPosition | null): readonly Rod[] => rods.filter((rod) => rod.position === position);
  const nowhere = at(null);
  return (
    <div className="flex flex-col gap-1">
      <div className="grid gap-x-3 sm:grid-cols-3">
        {ROD_POSITIONS.map((position) => (
          <div key={position} className="min-w-0">
            {position === 'stern' && <Hull />}
            <Rods boatId={boatId} rods={at(position)} title={TITLES[position]} isMiddle={position === 'stern'} />
          </div>
        ))}
      </div>
      {nowhere.length > 0 && <Rods boatId={boatId} rods={nowhere} title="Place not told" />}
    </div>
  );
}

function Rods({
  boatId,
  rods,
  title,
  isMiddle = false,
}: {
  boatId: string;
  rods: readonly Rod[];
  title: string;
  isMiddle?: boolean;
}) {
  const head = (
    <p className={`text-xs font-semibold text-ink-soft ${isMiddle ? 'sm:text-center' : ''}`}>
      {title}
      {rods.length === 0 && ': no rod'}
    </p>
  );
  if (rods.length === 0) return head;
  return (
    <>
      {head}
      <ul aria-label={title}>
        {rods.map((rod) => {
          const [first] = [...rod.stale, ...rod.due];
          return (
            <li key={rod.id} className={`flex flex-col pb-1.5 ${isMiddle ? 'sm:items-center sm:text-center' : ''}`}>
              <Link
                className="inline-flex min-h-11 items-center self-start text-chalk underline sm:self-auto"
                href={first ? stationPath(boatId, rod.id, first) : rigPath(boatId, rod.id)}
              >
                {rod.name}
              </Link>
              {rod.stale.length > 0 && <Stations state="stale" ids={rod.stale} />}
              {rod.due.length > 0 && <Stations state="due" ids={rod.due} />}
              {first === undefined && <StateMark state="done" />}
            </li>
          );
        })}
      </ul>
    </>
  );
}

function Stations({ state, ids }: { state: 'stale' | 'due'; ids: readonly Station[] }) {
  return (
    <span className="flex items-center gap-x-1 text-xs">
      <StateMark state={state} />
      {STATIONS.filter(({ id }) => ids.includes(id))
        .map(({ title }) => title)
        .join(', ')}
    </span>
  );
}

/** The after part of a boat from above, with rods over port, stern and starboard. */
function Hull() {
  return (
    <svg viewBox="0 0 120 56" className="mx-auto hidden h-14 stroke-edge-strong sm:block" fill="none" aria-hidden>
      <path d="M30 54V26Q30 8 60 2Q90 8 90 26V54Z" className="fill-paper" strokeWidth={1.5} />
      <path d="M30 30L4 20M30 42L4 40M90 30L116 20M90 42L116 40M50 54V44M70 54V44" strokeWidth={2} />
    </svg>
  );
}
