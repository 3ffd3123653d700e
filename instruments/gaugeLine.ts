/** One sample of a force gauge that streams, not tared. */
export interface GaugeSample {
  readonly timeS: number;
  readonly forceN: number;
  readonly stretchM: number | null;
}

export type BreakPlace = 'middle' | 'grip' | 'knot';

/** The remark at the end of a stream: where the piece broke, as whoever stands by sees it. */
export function writeBreak(place: BreakPlace): string {
  return `# broke: ${place}\n`;
}

/** Reads that remark; null for any other line. */
export function readBreakPlace(line: string): BreakPlace | null {
  const place = /^# broke: (middle|grip|knot)$/.exec(line.trim())?.[1];
  return place === 'middle' || place === 'grip' || place === 'knot' ? place : null;
}

/** The head of a stream: which gauge it is, and the columns that follow. */
export function writeGaugeHead(name: string): string {
  return `# ${name}\ntime s;force N;stretch mm\n`;
}

/** One sample as a line of the stream: seconds, newtons and, where it is measured, millimetres. */
export function writeGaugeLine({ timeS, forceN, stretchM }: GaugeSample): string {
  const stretch = stretchM === null ? '' : `;${(1000 * stretchM).toFixed(3)}`;
  return `${timeS.toFixed(3)};${forceN.toFixed(3)}${stretch}\n`;
}

/**
 * Reads one line of a stream.
 *
 * @returns the sample; null for the head, a remark or an empty line
 * @throws RangeError for a line that is none of these: the stream is broken
 */
export function readGaugeLine(line: string): GaugeSample | null {
  const text = line.trim();
  if (text === '' || text.startsWith('#') || text.startsWith('time')) return null;
  const [timeS = NaN, forceN = NaN, stretchMm] = text.split(';').map(Number);
  if (!Number.isFinite(timeS) || !Number.isFinite(forceN)) {
    throw new RangeError(`readGaugeLine: "${text}" is no sample`);
  }
  return { timeS, forceN, stretchM: stretchMm === undefined ? null : stretchMm / 1000 };
}
