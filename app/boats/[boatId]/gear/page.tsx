import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { GearPage } from '@/components/gear/GearPage';
import { Header } from '@/components/shell/Header';
import { boatPath, gearPath } from '@/components/shell/places';
import { readGear } from '@/usecases/gear/gear';
import { isUuid } from '@/usecases/limits';

export const metadata: Metadata = { title: 'Reels and lines' };

export default async function Gear({ params }: { params: Promise<{ boatId: string }> }) {
  const { boatId } = await params;
  const gear = isUuid(boatId) ? await readGear(boatId) : null;
  if (!gear) notFound();
  return (
    <>
      <Header
        crumbs={[
          { label: gear.boat.name, path: boatPath(boatId) },
          { label: 'Reels and lines', path: gearPath(boatId) },
        ]}
        places={[
          { label: `Locker of ${gear.boat.name}`, path: boatPath(boatId) },
          { label: 'All boats', path: '/' },
        ]}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <h1 className="lettered mb-4 text-2xl">Reels and lines of {gear.boat.name}</h1>
        <GearPage
          boatId={boatId}
          reels={gear.reels}
          lines={gear.lines}
          freeReelIds={gear.freeReelIds}
          supplySpools={gear.supplySpools}
          wanted={gear.wanted}
        />
      </main>
    </>
  );
}
