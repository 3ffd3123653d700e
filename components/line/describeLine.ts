import type { LoadedLine } from '@/core/spool/loadedLine';

/** A line in words, for those who do not see its drawing. */
export function describeLine(line: LoadedLine, format: { length(m: number): string }): string {
  const parts = line.segments.toReversed().map((segment) => `${segment.name} ${format.length(segment.lengthM)}`);
  return `The line from hook to arbor: ${parts.join(', ')}.`;
}
