import { ERRORS } from '../measurement/errors';
import { spoolStateAt, type LoadedLine } from './loadedLine';

/**
 * How far the one turn that leaves lies from the smooth spool, as a relative SD of its diameter: a layer is on or off, which is a line's
 * thickness of radius either way, and the lay is crowned, the more so the higher it stands.
 *
 * @param paidOutM line off the spool (m)
 */
export function turnSpreadSd(line: LoadedLine, paidOutM: number): number {
  const { diameterM, segment } = spoolStateAt(line, paidOutM);
  const layerSd = segment.lineDiameterM / diameterM / Math.sqrt(3);
  const crownSd = (ERRORS.crownShare.sd * (diameterM - line.spool.arborDiameterM)) / diameterM;
  return Math.hypot(layerSd, crownSd);
}
