import 'server-only';
import { because } from '../../core/reasons';
import type { ActRecord } from '../../core/record/history';
import { listActs, thisAct, undoAct } from '../../db/queries/acts';
import { insertLogEntry } from '../../db/queries/log';
import { lockRig } from '../../db/queries/rigs';
import { findOverdrawnSpool } from '../../db/queries/supplies';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import type { UndoInput } from './historyInput';

/** How many acts of a rig are shown, and can be undone in one go. */
export const MOST_ACTS = 500;

/** The history of a rig, newest first. */
export function readActs(db: BoatDb, rigId: string): Promise<readonly ActRecord[]> {
  return listActs(db, db.boatId, rigId, MOST_ACTS);
}

/**
 * Undoes every act on a rig from one on, newest first: the record is then what it was before that act. It is an act itself, and
 * can be undone in the same way. What others built on since is not pulled from under them: then nothing is undone.
 */
export async function undoActs(
  db: BoatDb,
  rigId: string,
  input: UndoInput,
): Promise<UseCaseOutcome<{ readonly undone: number }>> {
  const { boatId } = db;
  if (!(await lockRig(db, boatId, rigId))) return notFound('rig');
  const outcome = await undoFrom(db, rigId, input.fromId, input.newestId);
  if (!outcome.ok) return outcome;
  await insertLogEntry(db, boatId, rigId, 'note', because('acts-undone', { acts: outcome.value.undone }));
  return outcome;
}

/**
 * Undoes the acts on a locked rig from one on, as part of the act of this transaction.
 *
 * @param newestId the newest act that was seen, where that matters
 */
export async function undoFrom(
  db: BoatDb,
  rigId: string,
  fromId: string,
  newestId?: string,
): Promise<UseCaseOutcome<{ readonly undone: number }>> {
  const { boatId } = db;
  const self = await thisAct(db);
  const acts = (await listActs(db, boatId, rigId, MOST_ACTS)).filter((act) => act.id !== self);
  if (newestId !== undefined && acts[0]?.id !== newestId) return conflict(because('changed-elsewhere'));
  const from = acts.findIndex((act) => act.id === fromId);
  if (from < 0) return notFound('act');
  let undone = 0;
  for (let index = 0; index <= from; index += 1) {
    const act = acts[index];
    if (!act) break;
    // An undoing and all that it undid come to nothing together: there is nothing to take back of either.
    const back = acts.findLastIndex((each) => each.undoneBy === act.id);
    const isNothing = act.undoneBy === null && back > index && back <= from;
    const outcome = await undoAct(db, boatId, act.id, isNothing ? 'mark only' : 'take back');
    if (typeof outcome === 'object') return conflict(because('others-built-on-it'));
    if (isNothing) index = back;
    else if (outcome === 'undone') undone += 1;
  }
  if (undone === 0) return conflict(because('undone-already'));
  const spool = await findOverdrawnSpool(db, boatId);
  if (spool !== null) return conflict(because('spool-used-since', { spool }));
  return done({ undone });
}
