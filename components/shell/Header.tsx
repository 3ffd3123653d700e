import Link from 'next/link';
import { NotingAs, type Crew } from '@/components/crew/NotingAs';
import { CommandPalette } from './CommandPalette';
import { Mark } from './Mark';
import type { Place } from './paths';
import { UnitSwitch } from './UnitSwitch';

interface Crumb {
  readonly label: string;
  readonly path: string;
}

/** The head of every screen: where one is, the units, and a way to anywhere. */
export function Header({
  crumbs,
  places,
  crew,
}: {
  crumbs: readonly Crumb[];
  places: readonly Place[];
  /** The crew of the boat that is shown, where one is. */
  crew?: Crew;
}) {
  return (
    <header className="no-print border-b-2 border-ink bg-card">
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-rule focus:p-2 focus:text-rule-ink"
      >
        Skip to the content
      </a>
      <div className="mx-auto flex max-w-[84rem] flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2">
        <nav aria-label="Where you are" className="mr-auto flex min-w-0 flex-wrap items-center gap-x-2">
          <Link href="/" className="flex items-center gap-2 py-1">
            <Mark />
            <span className="lettered text-lg">Tidy Marlin</span>
          </Link>
          {crumbs.map((crumb) => (
            <span key={crumb.path} className="flex min-w-0 items-center gap-2">
              <span aria-hidden className="text-ink-soft">
                /
              </span>
              <Link href={crumb.path} className="truncate py-1 hover:underline">
                {crumb.label}
              </Link>
            </span>
          ))}
        </nav>
        {crew && <NotingAs crew={crew} />}
        <UnitSwitch />
        <div className="flex gap-1.5">
          <CommandPalette places={places} />
        </div>
      </div>
    </header>
  );
}
