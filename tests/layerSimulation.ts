/**
 * An independent reckoning of a loaded spool for the tests: whole layers, each of as many turns as fit
 * between the flanges, a half-filled layer going on at its own height. It shares no code with the core
 * and none with the virtual bench.
 */
export interface SimulatedLine {
  readonly lineDiameterM: number;
  readonly packing: number;
  readonly lengthM: number;
}

interface Turn {
  readonly lengthM: number;
  readonly part: number;
}

/** Turns from the arbor outwards; `part` is below 1 where a segment ends within a turn. */
export function simulateLayers(
  arborDiameterM: number,
  widthM: number,
  lines: readonly SimulatedLine[],
): readonly Turn[] {
  const turns: Turn[] = [];
  // Space that lies under the layer being wound, as an area of the half section (m²).
  let filledM2 = 0;
  for (const line of lines) {
    const areaM2 = (Math.PI * line.lineDiameterM ** 2) / 4 / line.packing;
    // Lay: square pitch scaled so that a turn takes its area; a layer is as high as it is wide a pitch.
    const pitchM = Math.sqrt(areaM2);
    const perLayer = Math.max(1, Math.floor(widthM / pitchM));
    const heightM = areaM2 / (widthM / perLayer);
    let left = line.lengthM;
    while (left > 1e-12) {
      const baseM = arborDiameterM / 2 + filledM2 / widthM;
      for (let turn = 0; turn < perLayer && left > 1e-12; turn += 1) {
        const whole = 2 * Math.PI * (baseM + heightM / 2);
        const part = Math.min(1, left / whole);
        turns.push({ lengthM: whole * part, part });
        left -= whole * part;
        filledM2 += areaM2 * part;
      }
    }
  }
  return turns;
}

/** Turns that a length takes coming off. */
export function turnsOffSimulated(turns: readonly Turn[], lengthM: number): number {
  let left = lengthM;
  let count = 0;
  for (const turn of [...turns].reverse()) {
    if (left <= turn.lengthM) return count + (left / turn.lengthM) * turn.part;
    left -= turn.lengthM;
    count += turn.part;
  }
  return count;
}
