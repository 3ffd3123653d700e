import 'server-only';
import { because, type LogKind, type Reason } from '../../core/reasons';
import { stepPreset, type PresetAct } from '../../core/drag/presetState';
import { presetOf } from '../../core/rig/drag/leverOfRig';
import { insertLeverPoint, insertPlanerLook, insertPresetAct } from '../../db/queries/lever';
import { insertLogEntry } from '../../db/queries/log';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { LeverPointInput, PlanerLookInput } from './dragInput';

/** Keeps a pull with the lever at one place of its sweep, at the preset as it stands. */
export async function recordLeverPoint(
  db: BoatDb,
  rigId: string,
  input: LeverPointInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.load?.id !== input.loadId || record.load.status !== 'wound') {
    return conflict(because('wound-again-lever'));
  }
  if (record.reel.dragKind !== 'lever') return conflict(because('no-lever'));
  const preset = presetOf(record.presetActs);
  if (preset.wrongTurns !== 0) return conflict(because('undo-first', { wrongTurns: preset.wrongTurns }));
  await insertLeverPoint(db, boatId, { ...input, presetTurns: preset.turns });
  return done({ done: true });
}

/** Steps lever and preset on, where that is allowed; what is refused is not done. */
export async function workPreset(db: BoatDb, rigId: string, act: PresetAct): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.reel.dragKind !== 'lever') return conflict(because('no-preset'));
  const next = stepPreset(presetOf(record.presetActs), act);
  if (!next.ok) return conflict(next);
  await insertPresetAct(db, boatId, rigId, act);
  await insertLogEntry(db, boatId, rigId, 'drag', logged(act));
  return done({ done: true });
}

function logged(act: PresetAct): Reason<LogKind> {
  switch (act.act) {
    case 'to-free':
      return because('lever-to-free');
    case 'into-gear':
      return because('lever-into-gear');
    case 'turn':
      return because('preset-turned', { turns: act.turns });
    case 'was-turned-in-gear':
      return because('preset-turned-in-gear', { turns: act.turns });
  }
}

/** Keeps a look at a towed planer. */
export async function recordPlanerLook(
  db: BoatDb,
  rigId: string,
  input: PlanerLookInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  const { turns } = presetOf(record.presetActs);
  const presetTurns = record.reel.dragKind === 'lever' ? turns : null;
  await insertPlanerLook(db, boatId, { ...input, presetTurns, rigId });
  return done({ done: true });
}
