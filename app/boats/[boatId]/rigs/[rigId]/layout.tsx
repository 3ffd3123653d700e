import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { MeasuringEntries } from '@/components/measuring/MeasuringEntries';
import { RigFrame } from '@/components/rig/RigFrame';
import { RigProvider } from '@/components/rig/RigProvider';
import { Header } from '@/components/shell/Header';
import { boatPath, gearPath, rigPath, rigPlaces } from '@/components/shell/paths';
import { rigPage } from '@/app/read/rig';

interface Props {
  readonly params: Promise<{ boatId: string; rigId: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { boatId, rigId } = await params;
  return { title: (await rigPage(boatId, rigId)).record.name };
}

export default async function RigLayout({ params, children }: Props & { children: ReactNode }) {
  const { boatId, rigId } = await params;
  const { record, found, states, crew } = await rigPage(boatId, rigId);
  const { boat } = record;
  return (
    <RigProvider record={record} found={found} states={states}>
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boat.id) },
          { label: record.name, path: rigPath(boat.id, record.id) },
        ]}
        places={[
          ...rigPlaces(boat.id, record.id),
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'Reels and lines', path: gearPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <MeasuringEntries>
        <RigFrame>{children}</RigFrame>
      </MeasuringEntries>
    </RigProvider>
  );
}
