import type { Metadata } from 'next';
import { JOIN_KIND_NAMES } from '@/core/joins/joinKinds';
import { Knots } from '@/components/joins/Knots';
import { BoatPage } from '@/components/shell/BoatPage';
import { knotsPath } from '@/components/shell/paths';
import { pageCrew, readPage } from '@/app/read/snapshot';

export const metadata: Metadata = { title: 'Knots' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
  readonly searchParams: Promise<{ knot?: string }>;
}

export default async function KnotsOfBoat({ params, searchParams }: Props) {
  const { boat, crew } = await readPage(
    (await params).boatId,
    async (db) => db.boat && { boat: db.boat, crew: await pageCrew(db) },
  );
  const { knot } = await searchParams;
  const kind = JOIN_KIND_NAMES.find((each) => each === knot) ?? 'double-sliding-knot';
  return (
    <BoatPage boat={boat} here={{ label: 'Knots', path: knotsPath(boat.id) }} heading="How knots are tied" crew={crew}>
      <Knots key={kind} boatId={boat.id} kind={kind} />
    </BoatPage>
  );
}
