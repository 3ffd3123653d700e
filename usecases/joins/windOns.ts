import 'server-only';
import { currentLine } from '../../core/rig/currentLine';
import type { RigRecord } from '../../core/rig/record';
import { listPeople } from '../../db/queries/boats';
import { listLines } from '../../db/queries/lines';
import { insertWindOn, listWindOns, retireWindOn, setWindOnLength, type WindOnRow } from '../../db/queries/windOns';
import type { BoatDb, Queryable } from '../../db/withBoat';
import { putOn } from '../load/putOn';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { SwapInput, WindOnInput } from './windOnInput';

/** The ready leaders of a boat, each with the rig on which it is. */
export async function readWindOns(db: BoatDb): Promise<readonly WindOnRow[]> {
  return listWindOns(db, db.boatId);
}

export async function makeWindOn(db: BoatDb, input: WindOnInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === input.productId)) return invalid('productId', 'Choose a line of this boat.');
  const people = await listPeople(db, boatId);
  if (input.personId !== null && !people.some((person) => person.id === input.personId)) {
    return invalid('personId', 'Choose one of the crew.');
  }
  const all = await listWindOns(db, boatId);
  if (all.some((each) => each.name === input.name)) return invalid('name', 'There is one of that name already.');
  return done({ id: await insertWindOn(db, boatId, input) });
}

/** Takes a ready leader out of use: worn, cut up, given away. One that is on a rig comes off first. */
export async function retireWindOnOf(db: BoatDb, windOnId: string): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const windOn = (await listWindOns(db, boatId)).find((each) => each.id === windOnId);
  if (!windOn) return notFound('ready leader');
  if (windOn.onRig) return conflict(`It is on ${windOn.onRig.name}: swap it off first.`);
  await retireWindOn(db, boatId, windOnId);
  return done({ done: true });
}

/** Puts a ready leader on in place of the one that is on: line, counter table, strength and drag follow in one act. */
export async function swapWindOn(db: BoatDb, rigId: string, input: SwapInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  const { load } = record;
  if (load?.status !== 'wound') return conflict('Finish winding first: a ready leader goes on a loaded reel.');
  const top = load.segments.findLast((segment) => segment.wound);
  const join = record.joins.find((candidate) => candidate.outerSegmentId === top?.segmentId);
  if (!top || join?.kind !== 'loop-to-loop') {
    return conflict('The outermost line of this rig is not joined loop to loop.');
  }
  const all = await listWindOns(db, boatId);
  const windOn = all.find((each) => each.id === input.windOnId);
  if (!windOn) return invalid('windOnId', 'Choose one of the ready leaders.');
  if (windOn.onRig?.id === rigId) return conflict('That is the one that is on.');
  if (windOn.onRig) return conflict(`${windOn.name} is on ${windOn.onRig.name}.`);
  await keepLengthOfOld(db, record, top.segmentId);
  await putOn(db, record, load, {
    segmentId: top.segmentId,
    productId: windOn.productId,
    lengthM: windOn.lengthM,
    windOnId: windOn.id,
    note: `Ready leader ${windOn.name}.`,
  });
  return done({ done: true });
}

/** The leader that comes off goes back to the library as long as it is by now. */
async function keepLengthOfOld(db: Queryable, record: RigRecord, segmentId: string): Promise<void> {
  const old = record.load?.replacements.findLast((each) => each.segmentId === segmentId)?.windOnId;
  const now = currentLine(record);
  const left = now.ok ? now.value.line.segments.find((segment) => segment.id === segmentId)?.lengthM : undefined;
  if (old && left !== undefined && left > 0) await setWindOnLength(db, record.boat.id, old, left);
}
