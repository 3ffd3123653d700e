import { requirePositive } from '../result';
import { buildLoadedLine, type LoadedLine } from './loadedLine';

/**
 * The line as it would be if its outer diameter were a little off and its lines took a little more or
 * less space per metre: what error propagation varies. The outer diameter is what was measured, so the
 * line is laid from the outside inwards and the arbor becomes whatever is left below it.
 *
 * @param line the loaded line
 * @param diameterFactor factor on the outer wound diameter
 * @param areaFactors factor on each segment's area per turn, in the order of the segments
 */
export function reshaped(line: LoadedLine, diameterFactor: number, areaFactors: readonly number[]): LoadedLine {
  requirePositive('reshaped', { diameterFactor });
  if (diameterFactor === 1 && areaFactors.every((factor) => factor === 1)) return line;
  const factorOf = (index: number): number => areaFactors[index] ?? 1;
  const segments = line.segments.map((segment, index) => ({ ...segment, packing: segment.packing / factorOf(index) }));
  const volumeM3 = line.segments.reduce(
    (sum, segment, index) => sum + (segment.wound ? segment.areaM2 * factorOf(index) * segment.lengthM : 0),
    0,
  );
  const { arborDiameterM, widthM } = line.spool;
  const arborSquared = (line.fullDiameterM * diameterFactor) ** 2 - (4 * volumeM3) / (Math.PI * widthM);
  // A tenth of the real arbor only guards the square root; no plausible error gets there.
  const insideM = Math.sqrt(Math.max(arborSquared, (0.1 * arborDiameterM) ** 2));
  return buildLoadedLine({ widthM, arborDiameterM: insideM }, segments);
}
