'use client';

import { PERSON_COOKIE } from '@/components/crew/personCookie';
import { keepDeviceText, useDeviceText } from '@/components/ui/deviceStore';
import { TOUR_STEPS } from './tourSteps';

/** A tour that is under way: of which rig, and at which stop. */
interface Tour {
  readonly rigPath: string;
  readonly at: number;
}

/** A tour belongs to who is at the bench on this device. */
function key(): string {
  const person = document.cookie.split('; ').find((each) => each.startsWith(`${PERSON_COOKIE}=`));
  return `tour 1:${person?.split('=')[1] ?? ''}`;
}

const keep = (tour: Tour | null): void => keepDeviceText(key(), tour && JSON.stringify(tour));

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

/** The tour that is under way; null while there is none. It outlives a reload, and ends where it is left. */
export const useTour = (): Tour | null => read(useDeviceText(key));

export const goToStop = (rigPath: string, at: number): void => keep({ rigPath, at });

export const leaveTour = (): void => keep(null);
