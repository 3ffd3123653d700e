'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { Button } from '@/components/ui/Button';
import { useGo } from '@/components/ui/useGo';
import { goToStop, leaveTour } from './tourStore';
import { TOUR_STEPS } from './tourSteps';

/** How often it is looked whether what is outlined stands (ms), and how many times. */
const LOOK_MS = 200;
const LOOKS = 25;
const OUTLINED = 'tour-stop';

/** One stop of the tour over the real page: what stands there, and the way on. Nothing on the page is covered but its foot. */
export function TourBar({ rigPath, at }: { rigPath: string; at: number }) {
  const go = useGo();
  const pathname = usePathname();
  const bar = useRef<HTMLElement>(null);
  const step = TOUR_STEPS[at];
  const path = `${rigPath}${step?.path ?? ''}`;
  const isThere = pathname === path;
  const target = step?.target ?? '';

  useEffect(() => {
    bar.current?.focus();
  }, [at]);

  useEffect(() => {
    if (!isThere) return;
    let found: Element | null = null;
    let looks = 0;
    const look = window.setInterval(() => {
      found = document.querySelector(target);
      looks += 1;
      if (found) {
        found.classList.add(OUTLINED);
        found.scrollIntoView({ block: 'nearest' });
      }
      if (found || looks >= LOOKS) window.clearInterval(look);
    }, LOOK_MS);
    return () => {
      window.clearInterval(look);
      found?.classList.remove(OUTLINED);
    };
  }, [isThere, target]);

  if (!step) return null;
  const goTo = (to: number): void => {
    goToStop(rigPath, to);
    go.to(`${rigPath}${TOUR_STEPS[to]?.path ?? ''}`);
  };
  const isLast = at === TOUR_STEPS.length - 1;
  return (
    <aside
      ref={bar}
      tabIndex={-1}
      aria-label="Tour"
      className="no-print fixed inset-x-0 bottom-(--dock) z-30 border-t-2 border-ink bg-card px-4 py-3 shadow-lg"
      onKeyDown={(event) => event.key === 'Escape' && leaveTour()}
    >
      <div className="mx-auto flex max-w-[84rem] flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <p className="min-w-64 flex-1" aria-live="polite">
          <b>
            {at + 1} of {TOUR_STEPS.length}. {step.title}
          </b>{' '}
          {step.says}
        </p>
        <div className="flex flex-wrap gap-2">
          {!isThere && (
            <Button weight="main" onClick={() => go.to(path)}>
              To this stop
            </Button>
          )}
          {at > 0 && <Button onClick={() => goTo(at - 1)}>Back</Button>}
          {isLast ? (
            <Button weight="main" onClick={leaveTour}>
              Done
            </Button>
          ) : (
            <>
              <Button weight={isThere ? 'main' : 'plain'} onClick={() => goTo(at + 1)}>
                Next
              </Button>
              <Button weight="quiet" onClick={leaveTour}>
                Leave the tour
              </Button>
            </>
          )}
        </div>
      </div>
    </aside>
  );
}
