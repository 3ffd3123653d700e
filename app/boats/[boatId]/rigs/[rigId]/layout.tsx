import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { RigFrame } from '@/components/rig/RigFrame';
import { RigProvider } from '@/components/rig/RigProvider';
import { Header } from '@/components/shell/Header';
import { boatPath, gearPath, rigPath, rigPlaces } from '@/components/shell/places';
import { isUuid } from '@/usecases/limits';
import { readRigRecord } from '@/usecases/rigs/rigRecord';

interface Props {
  readonly params: Promise<{ boatId: string; rigId: string }>;
}

async function recordOf({ params }: Props) {
  const { boatId, rigId } = await params;
  const record = isUuid(boatId) && isUuid(rigId) ? await readRigRecord(boatId, rigId) : null;
  return record ?? notFound();
}

export async function generateMetadata(props: Props): Promise<Metadata> {
  return { title: (await recordOf(props)).name };
}

export default async function RigLayout({ params, children }: Props & { children: ReactNode }) {
  const record = await recordOf({ params });
  const boatId = record.boat.id;
  return (
    <RigProvider record={record}>
      <Header
        crumbs={[
          { label: record.boat.name, path: boatPath(boatId) },
          { label: record.name, path: rigPath(boatId, record.id) },
        ]}
        places={[
          ...rigPlaces(boatId, record.id),
          { label: `Locker of ${record.boat.name}`, path: boatPath(boatId) },
          { label: 'Reels and lines', path: gearPath(boatId) },
          { label: 'All boats', path: '/' },
        ]}
      />
      <RigFrame>{children}</RigFrame>
    </RigProvider>
  );
}
