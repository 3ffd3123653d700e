'use client';

import { Link } from '@/components/ui/Link';
import { useRig } from '@/components/rig/RigProvider';
import { cardPath } from '@/components/shell/paths';

/** The way to the card of this rod, for print and phone. */
export function CardLink() {
  const { record } = useRig();
  return (
    <Link href={cardPath(record.boat.id, record.id)} className="inline-flex min-h-11 items-center text-chalk underline">
      Card of this rod
    </Link>
  );
}
