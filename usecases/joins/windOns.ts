import 'server-only';
import { because } from '../../core/reasons';
import { currentLine } from '../../core/rig/line/currentLine';
import type { RigRecord } from '../../core/record/record';
import { listPeople } from '../../db/queries/boats';
import { listLines } from '../../db/queries/lines';
import { insertWindOn, listWindOns, retireWindOn, setWindOnLength, type WindOnRow } from '../../db/queries/windOns';
import type { BoatDb, Queryable } from '../../db/withBoat';
import { putOn } from '../load/putOn';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { insertLoadJoin } from '../../db/queries/loads';
import { rigToWrite } from '../rigs/readRigs';
import type { SwapInput, WindOnInput } from './windOnInput';

/** The ready leaders of a boat, each with the rig on which it is. */
export async function readWindOns(db: BoatDb): Promise<readonly WindOnRow[]> {
  return listWindOns(db, db.boatId);
}

export async function makeWindOn(db: BoatDb, input: WindOnInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === input.productId))
    return invalid('productId', because('not-a-line-of-this-boat'));
  const people = await listPeople(db, boatId);
  if (input.personId !== null && !people.some((person) => person.id === input.personId)) {
    return invalid('personId', because('not-of-the-crew'));
  }
  const all = await listWindOns(db, boatId);
  if (all.some((each) => each.name === input.name)) return invalid('name', because('wind-on-name-taken'));
  return done({ id: await insertWindOn(db, boatId, input) });
}

/** Takes a ready leader out of use: worn, cut up, given away. One that is on a rig comes off first. */
export async function retireWindOnOf(db: BoatDb, windOnId: string): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const windOn = (await listWindOns(db, boatId)).find((each) => each.id === windOnId);
  if (!windOn) return notFound('ready leader');
  if (windOn.onRig) return conflict(because('wind-on-in-use', { rig: windOn.onRig.name }));
  await retireWindOn(db, boatId, windOnId);
  return done({ done: true });
}

/** Puts a ready leader on in place of the one that is on: line, counter table, strength and drag follow in one act. */
export async function swapWindOn(db: BoatDb, rigId: string, input: SwapInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  const { load } = record;
  if (load?.status !== 'wound') return conflict(because('wind-on-needs-load'));
  const top = load.segments.findLast((segment) => segment.wound);
  // Loops that were planned for this place are made with the first leader that goes on by them.
  const join = [...record.joins, ...record.planJoins].find(
    (candidate) => candidate.outerSegmentId === top?.segmentId && candidate.kind === 'loop-to-loop',
  );
  if (!top || !join) return conflict(because('top-not-looped'));
  const all = await listWindOns(db, boatId);
  const windOn = all.find((each) => each.id === input.windOnId);
  if (!windOn) return invalid('windOnId', because('not-a-wind-on'));
  if (windOn.onRig?.id === rigId) return conflict(because('wind-on-is-on'));
  if (windOn.onRig) return conflict(because('wind-on-elsewhere', { name: windOn.name, rig: windOn.onRig.name }));
  await keepLengthOfOld(db, record, top.segmentId);
  const { productId, lengthM } = windOn;
  const line = { segmentId: top.segmentId, productId, lengthM, windOnId: windOn.id, note: '' };
  await putOn(db, record, load, line, windOn.name);
  if (!record.joins.some((each) => each.id === join.id)) await insertLoadJoin(db, boatId, load.id, join);
  return done({ done: true });
}

/** The leader that comes off goes back to the library as long as it is by now. */
async function keepLengthOfOld(db: Queryable, record: RigRecord, segmentId: string): Promise<void> {
  const old = record.load?.replacements.findLast((each) => each.segmentId === segmentId)?.windOnId;
  const now = currentLine(record);
  const left = now.ok ? now.value.line.segments.find((segment) => segment.id === segmentId)?.lengthM : undefined;
  if (old && left !== undefined && left > 0) await setWindOnLength(db, record.boat.id, old, left);
}
