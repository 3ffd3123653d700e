/** One line of a bench report. */
export function row(what: string, figure: string): void {
  console.log(`  ${what.padEnd(62)} ${figure}`);
}

export function percentile(values: readonly number[], share: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}
