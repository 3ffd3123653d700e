import 'server-only';
import type { Known } from '../../core/provenance/source';
import { because } from '../../core/reasons';
import { diameterFromCaliper, diameterFromWraps } from '../../core/gear/lineDiameter';
import { listLines, setDiameter, setMass } from '../../db/queries/lines';
import { findReel, setDimension } from '../../db/queries/reels';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import type { MeasuredLineInput, MeasuredReelInput } from './gearInput';

/** Keeps a line's thickness as a row of wraps or a caliper had it, with the ± of that very measurement; or what a metre of it weighs. */
export async function measureLine(
  db: BoatDb,
  lineId: string,
  { version, read }: MeasuredLineInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === lineId)) return notFound('line');
  const written =
    read.way === 'weighed'
      ? await setMass(db, boatId, lineId, version, read.massKgPerM)
      : await setDiameter(db, boatId, lineId, version, diameterOf(read));
  return written ? done({ id: lineId }) : conflict(because('changed-elsewhere'));
}

type ThicknessRead = Exclude<MeasuredLineInput['read'], { readonly way: 'weighed' }>;

const diameterOf = (read: ThicknessRead): Known =>
  read.way === 'wraps' ? diameterFromWraps(read.rowWidthM, read.wraps) : diameterFromCaliper(read.readingsM);

/** Keeps one dimension of a spool as a caliper had it. */
export async function measureReel(
  db: BoatDb,
  reelId: string,
  { version, what, valueM }: MeasuredReelInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const reel = await findReel(db, boatId, reelId);
  if (!reel) return notFound('reel');
  const { arborDiameterM, fullDiameterM } = reel.measured;
  const [arborM, rimM] = [what === 'arbor' ? valueM : arborDiameterM, what === 'rim' ? valueM : fullDiameterM];
  if (arborM !== null && rimM !== null && arborM >= rimM) return invalid('valueM', because('arbor-above-rim'));
  const written = await setDimension(db, boatId, reelId, version, what, valueM);
  return written ? done({ id: reelId }) : conflict(because('changed-elsewhere'));
}
