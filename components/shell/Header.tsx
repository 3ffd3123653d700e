import { Link } from '@/components/ui/Link';
import type { Crew } from '@/components/crew/NotingAs';
import { HeaderTools } from './HeaderTools';
import { Mark } from './Mark';
import type { Place } from './paths';

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
      <div className="mx-auto flex max-w-[84rem] items-center gap-x-2 gap-y-2 px-3 py-0.5 sm:gap-x-4 sm:px-4 lg:flex-nowrap">
        <nav aria-label="Where you are" className="mr-auto flex min-w-0 items-center gap-x-1.5 sm:gap-x-2">
          <Link href="/" className="flex min-h-11 shrink-0 items-center gap-2">
            <Mark />
            <span className={`lettered text-lg ${crumbs.length > 0 ? 'sr-only sm:not-sr-only' : ''}`}>Tidy Marlin</span>
          </Link>
          {crumbs.map((crumb, index) => (
            <span
              key={crumb.path}
              className={`flex items-center gap-1.5 sm:min-w-0 sm:gap-2 ${index === crumbs.length - 1 ? 'min-w-0' : 'max-w-[38%] min-w-0 shrink'}`}
            >
              <span aria-hidden className="text-ink-soft">
                /
              </span>
              <Link href={crumb.path} className="truncate py-3 hover:underline">
                {crumb.label}
              </Link>
            </span>
          ))}
        </nav>
        <HeaderTools places={places} {...(crew ? { crew } : {})} />
      </div>
    </header>
  );
}
