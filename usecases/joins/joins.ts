import 'server-only';
import { because } from '../../core/reasons';
import type { CrewKnows } from '../../core/joins/chooseJoin';
import { meanShare } from '../../core/joins/joinEfficiency';
import type { JoinKind } from '../../core/joins/joinKinds';
import { canBeOwn, countsTurns, type OwnFigure } from '../../core/joins/ownFigures';
import { schoolById } from '../../core/joins/schools';
import type { PersonRecord } from '../../core/record/crew';
import { JOIN_PLACE_PARTS } from '../../core/joins/placeParts';
import { insertPerson, listPeople } from '../../db/queries/boats';
import {
  insertDrill,
  insertTie,
  insertOwnFigure,
  listDrills,
  listOwnFigures,
  listTestedKinds,
  listTiedTimes,
  placeJoin,
  removeJoin,
  setSmallestOpening,
  type DrillRow,
} from '../../db/queries/joins';
import { insertLoadJoin } from '../../db/queries/loads';
import { insertLogEntry } from '../../db/queries/log';
import { findRig } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { joinToWrite } from './joinToWrite';
import type { DrillInput, OwnFigureInput, PersonInput, TieInput } from './joinInput';

/** What the joins bench needs beside the rig: hands, tested efficiencies, drills. */
export interface JoinsBench {
  readonly people: readonly PersonRecord[];
  /** What this boat knows of joins by its own pulls and ties. */
  readonly crew: CrewKnows;
  readonly drills: readonly DrillRow[];
  /** Figures of guides that this crew has put in the place of the schools'. */
  readonly ownFigures: readonly OwnFigure[];
  /** Today (ms since 1970). */
  readonly nowMs: number;
}

export async function readJoinsBench(db: BoatDb): Promise<JoinsBench> {
  const { boatId } = db;
  const [people, tested, tied, drills, ownFigures] = await Promise.all([
    listPeople(db, boatId),
    listTestedKinds(db, boatId),
    listTiedTimes(db, boatId),
    listDrills(db, boatId),
    listOwnFigures(db, boatId),
  ]);
  const crew: CrewKnows = {
    tested: Object.fromEntries(tested.map((each) => [each.kind, meanShare(each)])),
    tied: Object.fromEntries(tied.map(({ kind, times }) => [kind, times])),
  };
  return {
    people: people.filter(({ archivedAt }) => archivedAt === null),
    crew,
    drills,
    ownFigures,
    nowMs: Date.now(),
  };
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
 * Plans another join for a place, with what its ends are made. On a line that is on the old join stays in force until the new one is tied; what the
 * old one was tested to stays with the old one.
 */
export async function changeJoinKind(
  db: BoatDb,
  rigId: string,
  joinId: string,
  kind: JoinKind,
  ends: { readonly inner: JoinKind | null; readonly outer: JoinKind | null } = { inner: null, outer: null },
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await joinToWrite(db, rigId, joinId);
  if (!found.ok) return found;
  const { record, join } = found.value;
  const planned = record.planJoins.filter((each) => each.outerSegmentId === join.outerSegmentId);
  if (planned.length === 0) return conflict(because('join-not-planned'));
  const wanted = { join: kind, inner: ends.inner, outer: ends.outer };
  if (join.innerSegmentId === null && (ends.inner ?? ends.outer) !== null)
    return invalid('inner', because('arbor-has-no-ends'));
  const isSame = JOIN_PLACE_PARTS.every(
    (part) => (planned.find((each) => each.part === part)?.kind ?? null) === wanted[part],
  );
  if (isSame) return conflict(because('same-join'));
  for (const { id } of planned) await removeJoin(db, boatId, id);
  for (const part of JOIN_PLACE_PARTS) {
    const of = wanted[part];
    if (of !== null) await placeJoin(db, boatId, rigId, { ...join, kind: of, part });
  }
  return done({ done: true });
}

/** Notes that a fish was fought on a rig: every join on it bore that. */
export async function noteFish(db: BoatDb, rigId: string): Promise<UseCaseOutcome<{ done: true }>> {
  if (!(await findRig(db, db.boatId, rigId))) return notFound('rig');
  await insertLogEntry(db, db.boatId, rigId, 'note', because('fish-fought'));
  return done({ done: true });
}

/** Notes the smallest opening that joins have to pass on the rod of a rig (m). */
export async function noteOpening(
  db: BoatDb,
  rigId: string,
  openingM: number,
): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setSmallestOpening(db, db.boatId, rigId, openingM)) ? done({ done: true }) : notFound('rig');
}

/** Keeps a figure of a guide as this crew has it; without one, the school's own counts again. */
export async function noteOwnFigure(db: BoatDb, input: OwnFigureInput): Promise<UseCaseOutcome<{ done: true }>> {
  const step = schoolById(input.school)?.steps.find((each) => each.id === input.step);
  if (!step || !canBeOwn(step)) return invalid('step', because('no-figure-of-ones-own'));
  const { own } = input;
  if (own && countsTurns(step) && !(Number.isInteger(own.least) && Number.isInteger(own.most)))
    return invalid('own', because('turns-are-whole'));
  if (own && !countsTurns(step) && own.most > 5) return invalid('own', because('longer-than-any-step'));
  await insertOwnFigure(db, db.boatId, {
    ...{ school: input.school, step: input.step, least: own?.least ?? null, most: own?.most ?? null },
  });
  return done({ done: true });
}

export async function recordDrill(db: BoatDb, input: DrillInput): Promise<UseCaseOutcome<{ done: true }>> {
  await insertDrill(db, db.boatId, input);
  return done({ done: true });
}

export async function addPerson(db: BoatDb, input: PersonInput): Promise<UseCaseOutcome<{ id: string }>> {
  return done({ id: await insertPerson(db, db.boatId, input.name, input.hand) });
}
