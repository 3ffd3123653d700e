'use client';

import type { PersonRecord } from '@/core/record/crew';
import { More } from '@/components/keeping/More';
import { PutAway } from '@/components/keeping/PutAway';
import { Card } from '@/components/ui/Card';
import { NewPerson } from './NewPerson';

/** Who notes on this boat. */
export function CrewCard({ boatId, people }: { boatId: string; people: readonly PersonRecord[] }) {
  return (
    <Card title="Crew">
      <ul className="mb-4 flex flex-col divide-y divide-edge text-sm">
        {people
          .filter(({ archivedAt }) => archivedAt === null)
          .map(({ id, name, hand }) => (
            <li key={id} className="flex flex-wrap items-center justify-between gap-x-4">
              <span>
                <b>{name}</b>, works with the {hand} hand
              </span>
              <More
                boatId={boatId}
                thing="person"
                id={id}
                name={name}
                stays="Put away, the name is not offered to note by any more. What was noted, tied and pulled keeps it."
              />
            </li>
          ))}
      </ul>
      <NewPerson boatId={boatId} />
      <PutAway
        boatId={boatId}
        thing="person"
        what="People"
        rows={people.filter(({ archivedAt }) => archivedAt !== null)}
      />
    </Card>
  );
}
