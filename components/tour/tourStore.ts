'use client';

import { useSyncExternalStore } from 'react';
import { PERSON_COOKIE } from '@/components/crew/personCookie';
import { TOUR_STEPS } from './tourSteps';

/** A tour that is under way: of which rig, and at which stop. */
interface Tour {
  readonly rigPath: string;
  readonly at: number;
}

const listeners = new Set<() => void>();
/** What storage would not take: it holds as long as the page lives. */
let untaken: string | null = null;

/** A tour belongs to who is at the bench on this device. */
function key(): string {
  const person = document.cookie.split('; ').find((each) => each.startsWith(`${PERSON_COOKIE}=`));
  return `tour 1:${person?.split('=')[1] ?? ''}`;
}

function kept(): string | null {
  try {
    return untaken ?? window.localStorage.getItem(key());
  } catch {
    return untaken;
  }
}

function keep(tour: Tour | null): void {
  untaken = null;
  try {
    if (tour) window.localStorage.setItem(key(), JSON.stringify(tour));
    else window.localStorage.removeItem(key());
  } catch {
    untaken = tour && JSON.stringify(tour);
  }
  for (const listener of listeners) listener();
}

function read(text: string | null): Tour | null {
  if (text === null) return null;
  try {
    const { rigPath, at } = JSON.parse(text) as Partial<Tour>;
    const isTour = typeof rigPath === 'string' && rigPath.startsWith('/boats/') && at !== undefined && at in TOUR_STEPS;
    return isTour ? { rigPath, at } : null;
  } catch {
    return null;
  }
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

/** The tour that is under way; null while there is none. It outlives a reload, and ends where it is left. */
export const useTour = (): Tour | null => read(useSyncExternalStore(subscribe, kept, () => null));

export const goToStop = (rigPath: string, at: number): void => keep({ rigPath, at });

export const leaveTour = (): void => keep(null);
