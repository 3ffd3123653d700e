import { changedSince } from '../provenance/basis';
import { countBasis, dragBasis, loadBasis } from './bases';
import { currentLine } from './currentLine';
import { joinsState } from './joins/joinsOfRig';
import type { RigRecord } from './record';
import type { StationState } from './stationState';
import { productStrength, PULLS_FOR_A_MEAN, strengthOfRig } from './strength/strengthOfRig';

const DAY_MS = 86_400_000;

/** Crews set their drags before every trip (common practice, no source); a setting is taken to be good for so long. */
const GOOD_FOR_DAYS = 14;

function stale(what: readonly string[]): StationState {
  return { state: 'stale', why: `changed since: ${what.join('; ')}` };
}

/**
 * The stations in the order of the work. A station is one entry here and its folder in the interface: tabs, locker, palette
 * and addresses follow.
 */
export const STATIONS = [
  { id: 'load', title: 'Load', state: loadState },
  { id: 'joins', title: 'Joins', state: joinsState },
  { id: 'count', title: 'Count', state: countState },
  { id: 'strength', title: 'Strength', state: strengthState },
  { id: 'drag', title: 'Drag', state: dragState },
] as const satisfies readonly {
  /** Its place in addresses, too. */
  readonly id: string;
  readonly title: string;
  state(record: RigRecord): StationState;
}[];

export type Station = (typeof STATIONS)[number]['id'];

/** The state of every station, computed from what each result was based on. */
export function stationStates(record: RigRecord): Readonly<Record<Station, StationState>> {
  return Object.fromEntries(STATIONS.map(({ id, state }) => [id, state(record)])) as Record<Station, StationState>;
}

function loadState(record: RigRecord): StationState {
  const { load } = record;
  if (!load)
    return { state: 'due', why: record.segments.length === 0 ? 'no line planned yet' : 'planned, not wound yet' };
  if (load.status === 'winding') {
    const noted = new Set(load.winding.map((entry) => entry.segmentId)).size;
    const wound = load.segments.filter((segment) => segment.wound).length;
    return { state: 'due', why: `winding: ${noted} of ${wound} segments on` };
  }
  const changed = changedSince(load.basis, loadBasis(record));
  return changed.length > 0 ? stale(changed) : { state: 'done', why: 'wound as planned' };
}

function countState(record: RigRecord): StationState {
  if (!record.reel.counter) return { state: 'not needed', why: 'this reel has no counter' };
  if (record.load?.status !== 'wound') return { state: 'due', why: 'load the reel first' };
  const { calibration } = record;
  if (calibration?.loadId !== record.load.id) return { state: 'due', why: 'no test of this load accepted yet' };
  const line = currentLine(record);
  if (!line.ok) return { state: 'stale', why: line.message };
  const changed = changedSince(calibration.basis, countBasis(record, line.value.line));
  if (changed.length > 0) return stale(changed);
  return {
    state: 'done',
    why: calibration.method === 'true' ? 'made true and accepted' : 'left as it is, with a card',
  };
}

function strengthState(record: RigRecord): StationState {
  const ids = [...new Set(record.segments.map((segment) => segment.productId))];
  if (ids.length === 0) return { state: 'due', why: 'no line planned yet' };
  const tested = ids.filter((id) => (productStrength(record, id).summary?.n ?? 0) >= PULLS_FOR_A_MEAN).length;
  if (tested < ids.length)
    return { state: 'due', why: `${tested} of ${ids.length} lines pulled ${PULLS_FOR_A_MEAN} times` };
  return { state: 'done', why: `all ${ids.length} lines pulled ${PULLS_FOR_A_MEAN} times or more` };
}

function dragState(record: RigRecord): StationState {
  const setting = record.dragSetting;
  if (!setting?.acceptedAt)
    return { state: 'due', why: setting ? 'scale session not finished' : 'not set with a scale yet' };
  const line = currentLine(record);
  if (!line.ok) return { state: 'stale', why: line.message };
  const strength = strengthOfRig(record, line.value.line);
  if (!strength) return { state: 'stale', why: 'the strength of the rig is no longer known' };
  const changed = changedSince(setting.basis, dragBasis(record, line.value.line, strength));
  if (changed.length > 0) return stale(changed);
  const days = Math.floor((Date.parse(record.readAt) - Date.parse(setting.acceptedAt)) / DAY_MS);
  return days > GOOD_FOR_DAYS
    ? { state: 'due', why: `set ${days} days ago: pull it with a scale before the next trip` }
    : { state: 'done', why: 'set with a scale' };
}
