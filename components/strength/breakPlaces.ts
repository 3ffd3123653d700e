import type { PullRecord } from '@/core/record/record';

/** Where a line may break, with the key for it in bench mode. */
export const BREAK_PLACES: readonly { value: PullRecord['breakPlace']; text: string; key: string }[] = [
  { value: 'middle', text: 'in the middle', key: '1' },
  { value: 'grip', text: 'at a grip', key: '2' },
  { value: 'knot', text: 'at a knot', key: '3' },
];
