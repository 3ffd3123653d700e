import 'server-only';
import { randomUUID } from 'node:crypto';
import { because } from '../../core/reasons';
import type { PlannedStack } from '../../core/record/record';
import { placeJoin } from '../../db/queries/joins';
import { listKeptPlans } from '../../db/queries/keeping';
import { lockReel } from '../../db/queries/reels';
import { keepAims } from '../../db/queries/rigAims';
import { findRig, insertRig, keepFill, listRigs, placeSegment, rigOnReel } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { readRig } from './readRigs';
import type { RigFormInput } from './rigInput';

/** Makes a rig on a reel that carries none, with the plan of another rig or a kept plan where that was asked for. */
export async function createRig(db: BoatDb, input: RigFormInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const { like = null, name, note = '', reelId } = input;
  if (!(await lockReel(db, boatId, reelId))) return notFound('reel');
  if (await rigOnReel(db, boatId, reelId)) return conflict(because('reel-carries-another-rig'));
  const lockerOrder = (await listRigs(db, boatId)).length;
  const plan = like && (like.from === 'rig' ? await planOfRig(db, like.id) : await keptPlan(db, like.id));
  if (like && !plan) return notFound(like.from);
  const id = await insertRig(db, boatId, { name, note, reelId, lockerOrder });
  if (plan) await takeUp(db, id, plan);
  return done({ id });
}

async function keptPlan(db: BoatDb, planId: string): Promise<PlannedStack | null> {
  return (await listKeptPlans(db, db.boatId)).find((plan) => plan.id === planId)?.stack ?? null;
}

/** The plan of a rig with what it aims at. */
async function planOfRig(db: BoatDb, rigId: string): Promise<(PlannedStack & { readonly ofRig: string }) | null> {
  const record = await readRig(db, rigId);
  if (!record) return null;
  return { segments: record.segments, joins: record.planJoins, fill: record.fill, ofRig: rigId };
}

/** Gives a new rig a plan: the same segments and joins, as rows of its own. */
async function takeUp(db: BoatDb, rigId: string, plan: PlannedStack & { readonly ofRig?: string }): Promise<void> {
  const { boatId } = db;
  const own = new Map(plan.segments.map((segment) => [segment.id, randomUUID()]));
  const ownId = (id: string): string => own.get(id) ?? id;
  await keepFill(db, boatId, rigId, plan.fill);
  for (const [position, segment] of plan.segments.entries()) {
    await placeSegment(db, boatId, rigId, position, { ...segment, id: ownId(segment.id) });
  }
  for (const { innerSegmentId, outerSegmentId, kind, part } of plan.joins) {
    const inner = innerSegmentId === null ? null : ownId(innerSegmentId);
    await placeJoin(db, boatId, rigId, { innerSegmentId: inner, outerSegmentId: ownId(outerSegmentId), kind, part });
  }
  const from = plan.ofRig === undefined ? null : await findRig(db, boatId, plan.ofRig);
  if (!from) return;
  // Joins get new rows: only a segment that is meant to break can be named again.
  const meantPlaceId = from.meantPlaceId === null ? null : (own.get(from.meantPlaceId) ?? null);
  await keepAims(db, boatId, rigId, {
    ...{ hangM: from.hangM, workingRange: from.workingRange, reach: from.reach, guides: from.guides },
    smallestOpeningM: from.smallestOpeningM,
    ...{ meantPlaceId, dragAim: from.dragAim, towed: from.towed },
  });
}
