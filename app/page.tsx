import Link from 'next/link';
import { Suspense } from 'react';
import { AtAGlance } from '@/components/locker/AtAGlance';
import { NewLocker } from '@/components/locker/NewLocker';
import { More } from '@/components/keeping/More';
import { PutAway } from '@/components/keeping/PutAway';
import { Header } from '@/components/shell/Header';
import { boatPath } from '@/components/shell/paths';
import { pageBoats, readPage } from '@/app/read/snapshot';
import { readAtAGlance } from '@/usecases/rigs/locker';

/** What is stale or due on one boat: read beside the page, which does not wait for it. */
async function BoatGlance({ boatId }: { boatId: string }) {
  return <AtAGlance boatId={boatId} glance={await readPage(boatId, readAtAGlance)} />;
}

export default async function BoatsPage() {
  const all = await pageBoats();
  const boats = all.filter(({ archivedAt }) => archivedAt === null);
  return (
    <>
      <Header
        crumbs={[]}
        places={boats.map((boat) => ({ label: `Locker of ${boat.name}`, path: boatPath(boat.id) }))}
      />
      <main id="main" className="mx-auto grid max-w-[84rem] gap-6 px-4 py-6 lg:grid-cols-[3fr_2fr]">
        <div>
          <h1 className="lettered mb-1 text-3xl">Whose locker?</h1>
          <p className="mb-5 max-w-prose">
            Load a segmented line right the first time, make its counter true or know how it lies, find its weakest
            place, and set the drag with a scale.
          </p>
          {boats.length === 0 ? (
            <p>No boat yet: make a locker for yours.</p>
          ) : (
            <ul className="flex flex-col gap-3">
              {boats.map((boat) => (
                <li key={boat.id} className="flex items-start gap-2">
                  <div className="grow border-2 border-ink bg-card">
                    <Link
                      href={boatPath(boat.id)}
                      className="flex min-h-14 items-center justify-between gap-4 px-4 hover:bg-rule hover:text-rule-ink"
                    >
                      <span className="lettered text-xl">{boat.name}</span>
                      <span className="text-sm">{boat.homeWater}</span>
                    </Link>
                    <div className="min-h-11 border-t border-edge px-4 py-1.5">
                      <Suspense
                        fallback={
                          // About as much room as a few rods take, so that the next boat hardly moves.
                          <p className="min-h-96 text-sm text-ink-soft sm:min-h-60">Looking what is due …</p>
                        }
                      >
                        <BoatGlance boatId={boat.id} />
                      </Suspense>
                    </div>
                  </div>
                  <More
                    boatId={boat.id}
                    thing="boat"
                    id={boat.id}
                    name={boat.name}
                    stays="Put away, it is not shown on this page. Its whole record stays."
                  />
                </li>
              ))}
            </ul>
          )}
          <PutAway boatId={null} thing="boat" what="Boats" rows={all.filter(({ archivedAt }) => archivedAt !== null)} />
        </div>
        <div>
          <NewLocker isFirst={boats.length === 0} />
        </div>
      </main>
    </>
  );
}
