import type { Metadata } from 'next';
import { Link } from '@/components/ui/Link';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { Locker } from '@/components/locker/Locker';
import { PutAway } from '@/components/keeping/PutAway';
import { WordsProvider } from '@/components/units/WordsProvider';
import { FollowBoat } from '@/components/shell/FollowBoat';
import { Header } from '@/components/shell/Header';
import {
  boatPath,
  fleetPath,
  gearPath,
  measuringPath,
  quickDragPath,
  rigPath,
  sheetsPath,
  tieListPath,
} from '@/components/shell/paths';
import { readSearch, type Search } from '@/app/read/search';
import { pageCrew, readPage } from '@/app/read/snapshot';
import { readLocker } from '@/usecases/rigs/locker';

export const metadata: Metadata = { title: 'Locker' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
  readonly searchParams: Search;
}

export default async function LockerPage({ params, searchParams }: Props) {
  const { find, page } = await readSearch(searchParams);
  const { boat, crew, locker } = await readPage((await params).boatId, async (db) => {
    return db.boat && { boat: db.boat, crew: await pageCrew(db), locker: await readLocker(db, find, page) };
  });
  const button = 'inline-flex min-h-11 items-center rounded-sm border-2 border-edge-strong bg-card px-4 font-semibold';
  return (
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[{ label: boat.name, path: boatPath(boat.id) }]}
        places={[
          ...locker.rigs.map((rig) => ({ label: rig.name, path: rigPath(boat.id, rig.id) })),
          { label: 'Reels and lines', path: gearPath(boat.id), alsoCalled: ['gear', 'shelf', 'supplies', 'new rig'] },
          { label: 'Fleet', path: fleetPath(boat.id), alsoCalled: ['make the rods agree', 'same length', 'compare'] },
          { label: 'What to measure next', path: measuringPath(boat.id) },
          { label: 'Quick drag: what the scale should show', path: quickDragPath(boat.id) },
          { label: 'What to tie before a trip', path: tieListPath(boat.id), alsoCalled: ['knots due', 'retie'] },
          { label: 'Run sheets to print', path: sheetsPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
          <div>
            <h1 className="lettered text-2xl">Locker of {boat.name}</h1>
            <p className="text-sm text-ink-soft">
              {boat.homeWater} · every line from hook (left) to arbor (right); each to its own scale
            </p>
          </div>
          <nav aria-label="Of the whole boat" className="flex flex-wrap gap-2">
            <Link href={fleetPath(boat.id)} className={button}>
              Same length on every rod
            </Link>
            <Link href={measuringPath(boat.id)} className={button}>
              What to measure next
            </Link>
            <Link href={quickDragPath(boat.id)} className={button}>
              Quick drag
            </Link>
            <Link href={tieListPath(boat.id)} className={button}>
              What to tie
            </Link>
            <Link href={sheetsPath(boat.id)} className={button}>
              Run sheets to print
            </Link>
            <Link href={gearPath(boat.id)} className={button}>
              Reels, lines, a new rig
            </Link>
          </nav>
        </div>
        <FindAndPage path={boatPath(boat.id)} find={find} {...locker} what="rigs" />
        <Locker boatId={boat.id} rigs={locker.rigs} isWhole={find === ''} />
        <PutAway boatId={boat.id} thing="rig" what="Rigs" rows={locker.putAway} />
      </main>
    </WordsProvider>
  );
}
