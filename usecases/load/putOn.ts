import 'server-only';
import { because } from '../../core/reasons';
import type { LoadRecord, RigRecord } from '../../core/record/record';
import { insertReplacement } from '../../db/queries/lineChanges';
import { insertLogEntry } from '../../db/queries/log';
import { findVirtualLine, findVirtualReel, updateVirtualReel } from '../../db/queries/virtualBench';
import type { Queryable } from '../../db/withBoat';

/** A line that goes on in place of the outermost wound one. */
export type PutOn = Omit<LoadRecord['replacements'][number], 'id' | 'at'>;

/** Keeps what went on in place of the outermost wound segment, a ready leader by its name; the virtual reel follows. */
export async function putOn(
  db: Queryable,
  record: RigRecord,
  load: LoadRecord,
  line: PutOn,
  leader: string | null = null,
): Promise<void> {
  const boatId = record.boat.id;
  await insertReplacement(db, boatId, { ...line, loadId: load.id });
  await followOnVirtualReel(db, boatId, record.id, line);
  const name = load.segments.find((segment) => segment.segmentId === line.segmentId)?.name ?? '';
  const product = record.products.find((candidate) => candidate.id === line.productId)?.name ?? '';
  const figures = { segment: name, lengthM: line.lengthM, product };
  const entry =
    leader === null
      ? because('line-replaced', { ...figures, note: line.note })
      : because('ready-leader-on', { ...figures, leader });
  await insertLogEntry(db, boatId, record.id, 'load', entry);
}

/** The virtual reel carries the new line too, where its bench has one. */
async function followOnVirtualReel(db: Queryable, boatId: string, rigId: string, line: PutOn): Promise<void> {
  const virtual = await findVirtualReel(db, boatId, rigId);
  const truth = await findVirtualLine(db, boatId, line.productId);
  if (!virtual || !truth || virtual.reelState.wound.length === 0) return;
  const wound = [...virtual.reelState.wound.slice(0, -1), { ...truth.windingTruth, lengthM: line.lengthM }];
  await updateVirtualReel(db, boatId, rigId, virtual.version, {
    reelState: { ...virtual.reelState, wound, turnsOut: 0, zeroTurns: 0, handlings: virtual.reelState.handlings + 1 },
    dragClicks: virtual.dragClicks,
  });
}
