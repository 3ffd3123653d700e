import type { SlipVerdict } from '@/core/joins/slipCheck';

/** How a look at the stroke is coloured. */
export const SLIP_LOOK: Readonly<Record<SlipVerdict['verdict'], string>> = {
  holds: 'text-go',
  bedding: 'text-warn',
  slips: 'text-stop font-semibold',
};
