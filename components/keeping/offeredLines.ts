import type { LineProductRecord } from '@/core/record/record';

/** The lines of a boat to choose from: those that are not put away, and the one that is chosen already. */
export function offeredLines(
  lines: readonly LineProductRecord[],
  chosenId?: string,
): readonly { readonly value: string; readonly text: string }[] {
  return lines
    .filter((line) => line.archivedAt === null || line.id === chosenId)
    .map((line) => ({ value: line.id, text: line.name }));
}
