import type { FillTarget } from '@/core/load/fillTarget';
import { plannedFillOf, type FillDraft } from './fillDraft';

/** The ways in which a person thinks of it. */
export const FILL_KINDS: readonly { value: FillTarget['kind']; text: string }[] = [
  { value: 'below-rim', text: 'so far under the rim' },
  { value: 'depth-share', text: 'a share of the depth' },
  { value: 'mark', text: "a mark: maker's line, groove" },
  { value: 'own-mark', text: 'backing to its own mark, the rest above it' },
  { value: 'counter-true', text: 'so that the counter is true' },
];

/** Where the fill is to end, in a line. */
export function fillWords(fill: FillDraft): string {
  const isDefault = fill.kind === 'below-rim' && fill.level === null && !fill.stored;
  const over = plannedFillOf(fill, 1);
  return [
    FILL_KINDS.find(({ value }) => value === fill.kind)?.text ?? '',
    ...(isDefault ? ['by default'] : []),
    ...(over.ok && (over.value?.soonGoneM ?? 0) > 0 ? ['filled over for line that will soon be gone'] : []),
  ].join('; ');
}
