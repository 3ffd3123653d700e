import type { GuideStep } from '@/core/joins/schools';

/** How often a counted step is done. */
export const countWords = ({ times }: GuideStep): string =>
  times ? ` Count: ${times.least === times.most ? times.least : `${times.least} to ${times.most}`}.` : '';
