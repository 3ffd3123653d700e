import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FleetPage } from '@/components/fleet/FleetPage';
import { Header } from '@/components/shell/Header';
import { boatPath, fleetPath, rigPath } from '@/components/shell/places';
import { isUuid } from '@/usecases/limits';
import { readLocker } from '@/usecases/rigs/rigRecord';

export const metadata: Metadata = { title: 'Fleet' };

export default async function Fleet({ params }: { params: Promise<{ boatId: string }> }) {
  const { boatId } = await params;
  const locker = isUuid(boatId) ? await readLocker(boatId) : null;
  if (!locker) notFound();
  const { boat, rigs } = locker;
  return (
    <>
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boatId) },
          { label: 'Fleet', path: fleetPath(boatId) },
        ]}
        places={[
          ...rigs.map((rig) => ({ label: rig.name, path: rigPath(boatId, rig.id) })),
          { label: `Locker of ${boat.name}`, path: boatPath(boatId) },
          { label: 'All boats', path: '/' },
        ]}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <h1 className="lettered no-print mb-4 text-2xl">Make the rods of {boat.name} agree</h1>
        <FleetPage boatId={boatId} boatName={boat.name} rigs={rigs} />
      </main>
    </>
  );
}
