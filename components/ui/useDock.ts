'use client';

import { useCallback } from 'react';

/**
 * For a bar at the foot of the window: as long as it is there, page and bench mode end above it (`--dock`), so that it covers nothing that
 * could not be brought into view.
 *
 * @returns the ref of that bar
 */
export function useDock(): (bar: HTMLElement | null) => (() => void) | undefined {
  return useCallback((bar) => {
    if (!bar) return;
    const root = document.documentElement;
    const measure = (): void => root.style.setProperty('--dock', `${bar.offsetHeight}px`);
    const watch = new ResizeObserver(measure);
    watch.observe(bar);
    measure();
    return () => {
      watch.disconnect();
      root.style.removeProperty('--dock');
    };
  }, []);
}
