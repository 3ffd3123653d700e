import 'server-only';
import { because } from '../../core/reasons';
import { dragTarget } from '../../core/drag/dragTarget';
import type { Guides } from '../../core/drag/guideFactor';
import { judgeScaleSession } from '../../core/drag/scaleSession';
import { dragBasis } from '../../core/rig/bases';
import { currentLine } from '../../core/rig/line/currentLine';
import { growthInReach } from '../../core/rig/drag/growthInReach';
import { weakestHolds } from '../../core/rig/drag/weakestHolds';
import { dragBases } from '../../core/rig/drag/dragBases';
import { sessionPulls } from '../../core/record/sessionPulls';
import { reachOf } from '../../core/rig/strength/reach';
import { withinReach } from '../../core/strength/rigStrength';
import { strengthOfRig } from '../../core/rig/strength/strengthOfRig';
import { acceptDragSetting, dropDragSession, insertDragPull, insertDragSetting } from '../../db/queries/drag';
import { insertLogEntry } from '../../db/queries/log';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import type { SaidReach } from '../../core/record/reach';
import { keepDragAim, setGuides, setReach } from '../../db/queries/rigAims';
import { lockRig } from '../../db/queries/rigs';
import { rigToWrite } from '../rigs/readRigs';
import type { DragPullInput, SettingInput } from './dragInput';

/** Begins a scale session: the target and what it rests on are fixed now. */
export async function startDragSetting(
  db: BoatDb,
  rigId: string,
  input: SettingInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.load?.id !== input.loadId || record.load.status !== 'wound') {
    return conflict(because('load-before-drag'));
  }
  // A second session would hide that the drag was turned in the first.
  if (record.dragSession?.loadId === input.loadId) return conflict(because('session-open'));
  const line = currentLine(record);
  if (!line.ok) return conflict(line);
  const strength = strengthOfRig(record, line.value.line);
  const basis = dragBases(record, line.value.line).find((choice) => choice.basis === input.strengthBasis);
  if (!strength || !basis?.strengthN)
    return invalid(
      'strengthBasis',
      because('basis-not-known', { because: basis?.why ?? because('basis-weakest-unknown') }),
    );
  const reach = reachOf(record, line.value.line);
  const weakest = weakestHolds(record, withinReach(strength, reach.outM));
  const target = dragTarget(
    basis.strengthN,
    input.fraction,
    record.reel.dragLimitN,
    weakest,
    growthInReach(record, line.value.line, reach),
  );
  if (!target.ok) return invalid('fraction', target);
  const id = await insertDragSetting(db, boatId, rigId, {
    ...input,
    targetN: target.value.targetN.value,
    basis: dragBasis(record, line.value.line, strength),
  });
  await keepDragAim(db, boatId, rigId, { fraction: input.fraction, strengthBasis: input.strengthBasis });
  return done({ id });
}

export async function recordDragPull(
  db: BoatDb,
  rigId: string,
  settingId: string,
  input: DragPullInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (record?.dragSetting?.id === settingId) return conflict(because('setting-accepted-pull'));
  if (record?.dragSession?.id !== settingId) return notFound('scale session');
  await insertDragPull(db, boatId, { ...input, settingId });
  return done({ done: true });
}

/** Keeps how much of its line a rig is reckoned with. */
export async function chooseReach(
  db: BoatDb,
  rigId: string,
  reach: SaidReach,
): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setReach(db, db.boatId, rigId, reach)) ? done({ done: true }) : notFound('rig');
}

/** Keeps what line runs over on the rod. */
export async function noteGuides(db: BoatDb, rigId: string, guides: Guides): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setGuides(db, db.boatId, rigId, guides)) ? done({ done: true }) : notFound('rig');
}

/** Accepts a setting whose last pulls agree with each other and with the target. */
export async function acceptSetting(
  db: BoatDb,
  rigId: string,
  settingId: string,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (record?.dragSetting?.id === settingId) return conflict(because('setting-accepted-already'));
  const setting = record?.dragSession;
  if (!record || setting?.id !== settingId) return notFound('scale session');
  const session = judgeScaleSession(sessionPulls(setting), setting.targetN);
  if (session?.verdict !== 'set') return conflict(because('pulls-do-not-agree'));
  if (!(await acceptDragSetting(db, boatId, settingId))) return conflict(because('setting-accepted-already'));
  await insertLogEntry(db, boatId, rigId, 'drag', because('drag-set', { forceN: session.medianN }));
  return done({ done: true });
}

/** Calls an open scale session off: the drag that was accepted before it stays set, and its pulls stay on record. */
export async function dropSession(
  db: BoatDb,
  rigId: string,
  settingId: string,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  if (!(await lockRig(db, boatId, rigId))) return notFound('rig');
  if (!(await dropDragSession(db, boatId, rigId, settingId))) return notFound('scale session');
  await insertLogEntry(db, boatId, rigId, 'drag', because('session-dropped'));
  return done({ done: true });
}
