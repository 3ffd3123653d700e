import 'server-only';
import { stepPreset, undoWords, type PresetAct } from '../../core/drag/presetState';
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
    return conflict('The line was wound again since: pull at the load that is on now.');
  }
  if (record.reel.dragKind !== 'lever') return conflict('This reel has no lever.');
  const preset = presetOf(record.presetActs);
  if (preset.wrongTurns !== 0) return conflict(undoWords(preset.wrongTurns));
  const { position, forceN, instrument } = input;
  await insertLeverPoint(db, boatId, input.loadId, { position, forceN, instrument, presetTurns: preset.turns });
  return done({ done: true });
}

/** Steps lever and preset on, where that is allowed; what is refused is not done. */
export async function workPreset(db: BoatDb, rigId: string, act: PresetAct): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.reel.dragKind !== 'lever') return conflict('This reel has no preset.');
  const next = stepPreset(presetOf(record.presetActs), act);
  if (!next.ok) return conflict(next.message);
  await insertPresetAct(db, boatId, rigId, act);
  await insertLogEntry(db, boatId, rigId, 'drag', wordsOf(act));
  return done({ done: true });
}

function wordsOf(act: PresetAct): string {
  switch (act.act) {
    case 'to-free':
      return 'Lever back to free spool.';
    case 'into-gear':
      return 'Lever into gear.';
    case 'turn':
      return `Preset turned ${Math.abs(act.turns)} ${act.turns > 0 ? 'tighter' : 'looser'} in free spool.`;
    case 'was-turned-in-gear':
      return `Preset was turned ${Math.abs(act.turns)} ${act.turns > 0 ? 'tighter' : 'looser'} in gear: to be undone.`;
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
  await insertPlanerLook(db, boatId, rigId, input);
  return done({ done: true });
}
