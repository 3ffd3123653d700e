import 'server-only';
import { because } from '../../core/reasons';
import type { JoinKind } from '../../core/joins/joinKinds';
import { schoolById } from '../../core/joins/schools';
import type { PersonRecord } from '../../core/record/crew';
import { insertPerson, listPeople } from '../../db/queries/boats';
import {
  insertDrill,
  insertTie,
  listDrills,
  listTestedEfficiencies,
  placeJoin,
  removeJoin,
  type DrillRow,
} from '../../db/queries/joins';
import { insertLoadJoin } from '../../db/queries/loads';
import { insertLogEntry } from '../../db/queries/log';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, type UseCaseOutcome } from '../outcome';
import { joinToWrite } from './joinToWrite';
import type { DrillInput, PersonInput, TieInput } from './joinInput';

/** What the joins bench needs beside the rig: hands, tested efficiencies, drills. */
export interface JoinsBench {
  readonly people: readonly PersonRecord[];
  readonly tested: readonly { readonly kind: JoinKind; readonly efficiency: number }[];
  readonly drills: readonly DrillRow[];
  /** Today (ms since 1970). */
  readonly nowMs: number;
}

export async function readJoinsBench(db: BoatDb): Promise<JoinsBench> {
  const { boatId } = db;
  const [people, tested, drills] = await Promise.all([
    listPeople(db, boatId),
    listTestedEfficiencies(db, boatId),
    listDrills(db, boatId),
  ]);
  return { people: people.filter(({ archivedAt }) => archivedAt === null), tested, drills, nowMs: Date.now() };
}

/** Keeps a join as tied: by whom, by which school, how hard it was seated. No seating pull, no join. */
export async function tieJoin(
  db: BoatDb,
  rigId: string,
  joinId: string,
  input: TieInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await joinToWrite(db, rigId, joinId);
  if (!found.ok) return found;
  const { record, join } = found.value;
  const school = schoolById(input.school);
  if (school?.join !== join.kind) return invalid('school', because('school-of-another-join'));
  const missing = school.steps.find((step) => !input.stepsDone.includes(step.id));
  if (missing) return invalid('stepsDone', because('step-left-out', { step: missing.says }));
  const people = await listPeople(db, boatId);
  if (input.personId !== null && !people.some((person) => person.id === input.personId)) {
    return invalid('personId', because('not-of-the-crew'));
  }
  await insertTie(db, boatId, { ...input, joinId });
  const { load } = record;
  const place = load?.segments.find((segment) => segment.segmentId === join.outerSegmentId);
  // A join that was tied at a place of the line that is on is the join of that place from now on.
  if (load?.status === 'wound' && place && !record.making && !record.joins.some((each) => each.id === joinId)) {
    await insertLoadJoin(db, boatId, load.id, join);
  }
  const outer = place?.name ?? record.segments.find((segment) => segment.id === join.outerSegmentId)?.name ?? '';
  await insertLogEntry(db, boatId, rigId, 'join', because('tied', { outer, school: school.id }));
  return done({ done: true });
}

/**
 * Plans another kind of join for a place. On a line that is on the old join stays in force until the new one is tied; what the
 * old one was tested to stays with the old one.
 */
export async function changeJoinKind(
  db: BoatDb,
  rigId: string,
  joinId: string,
  kind: JoinKind,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await joinToWrite(db, rigId, joinId);
  if (!found.ok) return found;
  const { record, join } = found.value;
  const planned = record.planJoins.find((each) => each.outerSegmentId === join.outerSegmentId);
  if (!planned) return conflict(because('join-not-planned'));
  if (planned.kind === kind) return conflict(because('same-join'));
  await removeJoin(db, boatId, planned.id);
  await placeJoin(db, boatId, rigId, { ...join, kind });
  return done({ done: true });
}

export async function recordDrill(db: BoatDb, input: DrillInput): Promise<UseCaseOutcome<{ done: true }>> {
  await insertDrill(db, db.boatId, input);
  return done({ done: true });
}

export async function addPerson(db: BoatDb, input: PersonInput): Promise<UseCaseOutcome<{ id: string }>> {
  return done({ id: await insertPerson(db, db.boatId, input.name, input.hand) });
}
