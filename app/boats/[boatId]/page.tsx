import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { Locker } from '@/components/locker/Locker';
import { Header } from '@/components/shell/Header';
import { boatPath, fleetPath, gearPath, rigPath } from '@/components/shell/places';
import { isUuid } from '@/usecases/limits';
import { readLocker } from '@/usecases/rigs/rigRecord';

export const metadata: Metadata = { title: 'Locker' };

export default async function LockerPage({ params }: { params: Promise<{ boatId: string }> }) {
  const { boatId } = await params;
  const locker = isUuid(boatId) ? await readLocker(boatId) : null;
  if (!locker) notFound();
  return (
    <>
      <Header
        crumbs={[{ label: locker.boat.name, path: boatPath(boatId) }]}
        places={[
          ...locker.rigs.map((rig) => ({ label: rig.name, path: rigPath(boatId, rig.id) })),
          { label: 'Reels and lines', path: gearPath(boatId) },
          { label: 'Fleet', path: fleetPath(boatId) },
          { label: 'All boats', path: '/' },
        ]}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
          <div>
            <h1 className="lettered text-2xl">Locker of {locker.boat.name}</h1>
            <p className="text-sm text-ink-soft">
              {locker.boat.homeWater} · every line from hook (left) to arbor (right); each to its own scale
            </p>
          </div>
          <Link
            href={fleetPath(boatId)}
            className="ml-auto inline-flex min-h-11 items-center rounded-sm border-2 border-edge-strong bg-card px-4 font-semibold"
          >
            Make the rods agree
          </Link>
          <Link
            href={gearPath(boatId)}
            className="inline-flex min-h-11 items-center rounded-sm border-2 border-edge-strong bg-card px-4 font-semibold"
          >
            Reels, lines, a new rig
          </Link>
        </div>
        <Locker boatId={boatId} rigs={locker.rigs} />
      </main>
    </>
  );
}
