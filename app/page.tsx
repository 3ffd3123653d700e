import Link from 'next/link';
import { NewBoat } from '@/components/locker/NewBoat';
import { More } from '@/components/keeping/More';
import { PutAway } from '@/components/keeping/PutAway';
import { Header } from '@/components/shell/Header';
import { boatPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { pageBoats } from '@/app/read/snapshot';

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
                <li key={boat.id} className="flex items-center gap-2">
                  <Link
                    href={boatPath(boat.id)}
                    className="flex min-h-16 grow items-center justify-between gap-4 border-2 border-ink bg-card px-4 py-3 hover:bg-rule hover:text-rule-ink"
                  >
                    <span className="lettered text-xl">{boat.name}</span>
                    <span className="text-sm">{boat.homeWater}</span>
                  </Link>
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
        <Card title="A locker for another boat">
          <NewBoat />
        </Card>
      </main>
    </>
  );
}
