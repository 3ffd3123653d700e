import { Link } from '@/components/ui/Link';
import { Suspense } from 'react';
import { AtAGlance } from '@/components/locker/AtAGlance';
import { NewLocker } from '@/components/locker/NewLocker';
import { More } from '@/components/keeping/More';
import { PutAway } from '@/components/keeping/PutAway';
import { Header } from '@/components/shell/Header';
import { boatPath } from '@/components/shell/paths';
import { pageBoats, readPage } from '@/app/read/snapshot';
import { readAtAGlance, type BoatAtAGlance } from '@/usecases/rigs/locker';

/** What is stale or due on every boat: read beside the page, which does not wait for it, and shown at once, so that no link moves under a finger. */
async function AllAtAGlance({ boats }: { boats: readonly { readonly id: string; readonly name: string }[] }) {
  const glances: BoatAtAGlance[] = [];
  // One after another: many boats do not take all connections from who is at work.
  for (const { id } of boats) glances.push(await readPage(id, readAtAGlance));
  return boats.map(({ id, name }, index) => {
    const glance = glances[index];
    return (
      <section key={id} aria-label={`What is due on ${name}`} className="border border-edge bg-card px-4 py-2">
        <h2 className="mb-1 lettered text-lg">{name}</h2>
        {glance && <AtAGlance boatId={id} glance={glance} />}
      </section>
    );
  });
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
          {boats.length > 0 && (
            <div className="mt-4 flex flex-col gap-3">
              <Suspense fallback={<p className="text-sm text-ink-soft">Looking what is due …</p>}>
                <AllAtAGlance boats={boats} />
              </Suspense>
            </div>
          )}
        </div>
        <div>
          <NewLocker isFirst={boats.length === 0} />
        </div>
      </main>
    </>
  );
}
