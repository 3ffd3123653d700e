'use client';

import { useEffect } from 'react';
import { deviceText, keepDeviceText, useDeviceText } from './deviceStore';

/** What a device remembers of folds: those that were opened or closed by hand, and whether all are open until then. */
interface Folds {
  readonly all: boolean;
  readonly byHand: Readonly<Record<string, boolean>>;
}

const KEY = 'folds 1';
const NOTHING: Folds = { all: false, byHand: {} };

function read(text: string | null): Folds {
  if (text === null) return NOTHING;
  try {
    const { all, byHand } = JSON.parse(text) as Partial<Folds>;
    return { all: all === true, byHand: typeof byHand === 'object' && byHand !== null ? byHand : {} };
  } catch {
    return NOTHING;
  }
}

const keep = (folds: Folds): void => keepDeviceText(KEY, JSON.stringify(folds));

const useFolds = (): Folds => read(useDeviceText(KEY));

/** Opens or closes every fold of every page, until one is opened or closed by hand. */
export const openAll = (all: boolean): void => keep({ all, byHand: {} });

/** Whether all folds are open until somebody closes one. */
export const useAllOpen = (): boolean => useFolds().all;

/**
 * Whether a fold is open: as it was left on this device, else as the page has it. Its address (`#id`) opens it.
 *
 * @param fresh how the page has it while nobody has opened or closed it by hand
 */
export function useFold(id: string, fresh: boolean): readonly [open: boolean, set: (open: boolean) => void] {
  const { all, byHand } = useFolds();
  useEffect(() => {
    const onAddress = (): void => {
      if (window.location.hash !== `#${id}`) return;
      setFold(id, true);
      // The content is there a moment later.
      requestAnimationFrame(() => document.getElementById(id)?.scrollIntoView({ block: 'start' }));
    };
    onAddress();
    window.addEventListener('hashchange', onAddress);
    return () => window.removeEventListener('hashchange', onAddress);
  }, [id]);
  return [byHand[id] ?? (all || fresh), (open) => setFold(id, open)];
}

function setFold(id: string, open: boolean): void {
  const now = read(deviceText(KEY));
  keep({ ...now, byHand: { ...now.byHand, [id]: open } });
}

/** Folds away what was opened by hand and has done its work; where all are kept open it stays open. */
export function foldAway(id: string): void {
  if (!read(deviceText(KEY)).all) setFold(id, false);
}

/** Opens a fold from elsewhere on its page, and brings it into view with the focus on its head. */
export function showFold(id: string): void {
  setFold(id, true);
  requestAnimationFrame(() => {
    const fold = document.getElementById(id);
    fold?.scrollIntoView({ block: 'start' });
    fold?.querySelector('button')?.focus({ preventScroll: true });
  });
}
