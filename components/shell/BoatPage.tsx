import type { ReactNode } from 'react';
import type { Crew } from '@/components/crew/NotingAs';
import { WordsProvider } from '@/components/units/WordsProvider';
import { FollowBoat } from './FollowBoat';
import { Header } from './Header';
import { boatPath, type Place } from './paths';

/** A page of a boat beside its locker: where one is, the ways on from here, and what it is about. */
export function BoatPage({
  boat,
  here,
  heading,
  crew,
  places = [],
  room = 'max-w-[84rem]',
  children,
}: {
  boat: { readonly id: string; readonly name: string };
  here: Place;
  heading: string;
  crew: Crew;
  /** Ways on beside the usual ones. */
  places?: readonly Place[];
  room?: string;
  children: ReactNode;
}) {
  return (
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[{ label: boat.name, path: boatPath(boat.id) }, here]}
        places={[
          ...places,
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className={`mx-auto px-4 py-4 pb-16 ${room}`}>
        <h1 className="lettered no-print mb-4 text-2xl">{heading}</h1>
        {children}
      </main>
    </WordsProvider>
  );
}
