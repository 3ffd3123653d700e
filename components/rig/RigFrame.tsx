'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/components/ui/Link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { STATIONS } from '@/core/record/stations';
import { CursorReadout } from '@/components/line/CursorReadout';
import { lineScale } from '@/components/line/lineScale';
import { Ribbon } from '@/components/line/Ribbon';
import { exaggeration } from '@/components/line/RibbonBands';
import { useOutOfView } from '@/components/line/useOutOfView';
import { bandsOfLine } from '@/core/rig/view/bandsOfLine';
import type { RigView } from '@/core/rig/view/rigView';
import { boatPath, cardPath, historyPath, rigPath, sheetPath, stationPath } from '@/components/shell/paths';
import { Pending } from '@/components/ui/Pending';
import { StateMark } from '@/components/ui/StateMark';
import { fetched } from '@/components/ui/fetched';
import { HeldOut } from './HeldOut';
import { useRig } from './RigProvider';

/** Loaded when it is first needed. */
const ShrunkRibbon = dynamic(
  () => fetched(() => import('@/components/line/ShrunkRibbon')).then(({ ShrunkRibbon: loaded }) => loaded),
  {
    ssr: false,
  },
);

function StationTabs() {
  const { record, states } = useRig();
  const pathname = usePathname();
  const whole = rigPath(record.boat.id, record.id);
  const look = (path: string): string =>
    `flex min-h-12 flex-1 flex-col justify-center border-b-4 px-1 py-1 text-sm lg:px-3 lg:text-base ${pathname === path ? 'border-rule bg-card' : 'border-transparent hover:bg-card/60'}`;
  return (
    <nav aria-label="Stations in working order" className="no-print grid grid-cols-4 border-b-2 border-ink lg:flex">
      <Link href={whole} aria-current={pathname === whole ? 'page' : undefined} className={look(whole)}>
        <span className="lettered">
          <span className="lg:hidden">Line</span>
          <span className="hidden lg:inline">The whole line</span>
        </span>
      </Link>
      {STATIONS.map(({ id, title }, index) => {
        const path = stationPath(record.boat.id, record.id, id);
        return (
          <Link key={id} href={path} aria-current={pathname === path ? 'page' : undefined} className={look(path)}>
            <span className="flex items-center gap-1 lg:justify-between lg:gap-2">
              <span className="lettered">
                <span className="hidden lg:inline">{index + 1}. </span>
                {title}
              </span>
              <span className="relative">
                <Pending />
                <StateMark state={states[id].state} isShort />
              </span>
            </span>
          </Link>
        );
      })}
    </nav>
  );
}

/** A rig that is put away says so on every page of it. */
function IsPutAway() {
  const { record } = useRig();
  return (
    <p role="status" className="my-2 border-l-4 border-warn bg-warn/10 px-3 py-2">
      This rig is put away: it is not in the locker.{' '}
      <Link className="text-chalk underline" href={boatPath(record.boat.id)}>
        Bring it back from there
      </Link>
      .
    </p>
  );
}

const REACH_STATIONS = ['strength', 'drag'] as const;

/**
 * The line over a station: to scale with its rulers, and small along the top edge once the page is scrolled and that is out of view. On a phone
 * it stands under the answer.
 */
function TheLine({ view, hasReach, isScrolled }: { view: RigView; hasReach: boolean; isScrolled: boolean }) {
  const { record, cutM, editor } = useRig();
  const { ref, isOut } = useOutOfView<HTMLElement>();
  const scale = lineScale(view.current.line, 960);
  const factor = exaggeration(bandsOfLine(view.record, view.current.line), scale);
  return (
    <div className="rig-line order-3 mx-auto w-full max-w-[84rem] px-4 sm:order-none print:hidden">
      <section ref={ref} aria-label="The line" className="my-3">
        <div className="hidden sm:block">
          <Ribbon view={view} orientation="lying" cutM={cutM} hasReach={hasReach} editor={editor} />
        </div>
        <div className="sm:hidden">
          <p aria-hidden className="flex gap-14 text-xs font-semibold">
            <span>true</span>
            <span>{record.reel.counter ? 'counter' : 'turns'}</span>
          </p>
          <Ribbon view={view} orientation="upright" uprightPx={300} cutM={cutM} hasReach={hasReach} editor={editor} />
        </div>
        <p className="mt-0.5 mb-2 flex flex-wrap justify-between gap-x-6 text-xs text-ink-soft">
          <span>
            Hook <span className="hidden sm:inline">left, arbor right</span>
            <span className="sm:hidden">above, arbor below</span>. Line drawn about {Math.round(factor / 100) * 100}{' '}
            times thicker than long
            {scale.breakAtM !== null && '; backing squeezed beyond the two strokes'}.
          </span>
          <span>Ringed letters are joins; dashed: not pull-tested.</span>
        </p>
        <CursorReadout view={view} hasHint={editor === null} />
      </section>
      {isScrolled && isOut && <ShrunkRibbon view={view} />}
    </div>
  );
}

/** The line over every station of a rig: tabs, ribbon, cursor. */
export function RigFrame({ children }: { children: ReactNode }) {
  const { record, view } = useRig();
  const { ref: head, isOut: isScrolled } = useOutOfView<HTMLDivElement>();
  const pathname = usePathname();
  const isPaper = [cardPath, historyPath, sheetPath].some((path) => path(record.boat.id, record.id) === pathname);
  // It matters where strength and drag are judged.
  const hasReach = REACH_STATIONS.some((id) => stationPath(record.boat.id, record.id, id) === pathname);
  return (
    <main className="flex flex-col">
      <div ref={head} className="mx-auto w-full max-w-[84rem] px-4 pt-3 print:hidden">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-6">
          <h1 className="lettered text-2xl">{record.name}</h1>
          <p className="text-sm text-ink-soft">
            {record.reel.name}
            {view && (view.current.state === 'planned' ? ' · the line as planned' : ' · the line as it is on the reel')}
            {' · '}
            <Link className="text-chalk underline" href={historyPath(record.boat.id, record.id)}>
              This rig, and its history
            </Link>
          </p>
        </div>
        <StationTabs />
        {record.archivedAt !== null && <IsPutAway />}
        <HeldOut />
      </div>
      {view && !isPaper && <TheLine view={view} hasReach={hasReach} isScrolled={isScrolled} />}
      {/* Who skips to the content has read the head of the rig before. */}
      <div
        id="main"
        tabIndex={-1}
        className={`mx-auto w-full max-w-[84rem] px-4 pt-3 pb-4 ${isPaper ? '' : 'sm:pt-0'}`}
      >
        {children}
      </div>
      <span className="main-end" hidden />
    </main>
  );
}
