import { IMPOSSIBLE_ABOVE_RIM_M } from '../../load/defaults';
import type { LoadedLine } from '../../spool/loadedLine';
import { spoolVolumeM3 } from '../../spool/spoolGeometry';
import { areaRelativeSd } from '../line/currentLine';
import type { RigRecord } from '../../record/record';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';

/** Line packed as tightly as circles can be (hexagonal lay): π / (2·√3). */
const TIGHTEST_PACKING = Math.PI / (2 * Math.sqrt(3));

/** A spool as large as its dimensions can be, by so many SDs. */
function largestSpool(record: RigRecord, sds: number) {
  const { arborDiameterM, widthM, fullDiameterM } = record.reel;
  return {
    arborDiameterM: Math.max(arborDiameterM.value - sds * arborDiameterM.sd, 0.1 * arborDiameterM.value),
    widthM: widthM.value + sds * widthM.sd,
    fullDiameterM: fullDiameterM.value + sds * fullDiameterM.sd,
  };
}

/** True for a level that lies deeper than the spool is, however its dimensions are off. */
export function isBeyondSpool(record: RigRecord, levelBelowRimM: number): boolean {
  const spool = largestSpool(record, 3);
  return levelBelowRimM > (spool.fullDiameterM - spool.arborDiameterM) / 2 + 0.0005;
}

/** True for line that no spool of this size holds, however thin its label is and however tightly it lies. */
export function isMoreThanAnyFill(record: RigRecord, line: LoadedLine): boolean {
  const spool = largestSpool(record, 3);
  const room = spoolVolumeM3(spool, spool.fullDiameterM + 2 * IMPOSSIBLE_ABOVE_RIM_M);
  const least = line.segments.reduce((sum, segment) => {
    if (!segment.wound) return sum;
    const { value, sd } = productOf(record, productIdNow(record, segment.id)).diameterM;
    const thinM = Math.max(value - 3 * sd, 0.5 * value);
    return sum + ((Math.PI / 4) * thinM ** 2 * segment.lengthM) / TIGHTEST_PACKING;
  }, 0);
  return least > room;
}

/** True for line that stands over the rim beyond what stays on, even if all of it lies two SDs tighter than believed. */
export function isMoreThanFits(record: RigRecord, line: LoadedLine): boolean {
  const spool = largestSpool(record, 2);
  const room = spoolVolumeM3(spool, spool.fullDiameterM + 2 * IMPOSSIBLE_ABOVE_RIM_M);
  const taken = line.segments.reduce((sum, segment) => {
    if (!segment.wound) return sum;
    const tighter = Math.max(1 - 2 * areaRelativeSd(record, segment.id), 0.5);
    return sum + segment.areaM2 * segment.lengthM * tighter;
  }, 0);
  return taken > room;
}
