import { changedSince } from '../provenance/basis';
import { because } from '../reasons';
import { countBasis, dragBasis, loadBasis } from './bases';
import { isBeingWound } from './line/atBench';
import { marksThatTeach } from './tow/marksThatTeach';
import { currentLine } from './line/currentLine';
import { differsFromPlan } from './load/differsFromPlan';
import { joinsState } from './joins/joinsOfRig';
import type { RigRecord } from '../record/record';
import type { StationState } from '../record/stationState';
import { STATIONS, type Station } from '../record/stations';
import { wasTurnedSince } from '../record/acceptedDrag';
import { productStrength, PULLS_FOR_A_MEAN, strengthOfRig } from './strength/strengthOfRig';

const DAY_MS = 86_400_000;

/** Crews set their drags before every trip (common practice, no source); a setting is taken to be good for so long. */
const GOOD_FOR_DAYS = 14;

function stale(what: readonly string[]): StationState {
  return { state: 'stale', why: because('changed-since', { what }) };
}

/** How the state of each station follows from the record. */
const STATES: Readonly<Record<Station, (record: RigRecord) => StationState>> = {
  load: loadState,
  joins: joinsState,
  count: countState,
  strength: strengthState,
  drag: dragState,
  depth: depthState,
};

/** The state of every station, computed from what each result was based on. */
export function stationStates(record: RigRecord): Readonly<Record<Station, StationState>> {
  return Object.fromEntries(STATIONS.map(({ id }) => [id, STATES[id](record)])) as Record<Station, StationState>;
}

function loadState(record: RigRecord): StationState {
  const { load } = record;
  if (isBeingWound(record) && load?.status === 'wound')
    return { state: 'due', why: because('successor-in-the-making') };
  if (!load)
    return { state: 'due', why: because(record.segments.length === 0 ? 'no-line-planned' : 'planned-not-wound') };
  if (load.status === 'winding') {
    const noted = new Set(load.winding.map((entry) => entry.segmentId)).size;
    const wound = load.segments.filter((segment) => segment.wound).length;
    return { state: 'due', why: because('winding-so-far', { noted, wound }) };
  }
  const changed = changedSince(load.basis, loadBasis(record));
  return changed.length > 0
    ? stale(changed)
    : { state: 'done', why: differsFromPlan(record, load) ?? because('wound-as-planned') };
}

function countState(record: RigRecord): StationState {
  if (!record.reel.counter) return { state: 'not needed', why: because('reel-without-counter') };
  if (record.load?.status !== 'wound') return { state: 'due', why: because('load-first') };
  const { calibration } = record;
  if (calibration?.loadId !== record.load.id) return { state: 'due', why: because('no-test-accepted') };
  const line = currentLine(record);
  if (!line.ok) return { state: 'stale', why: line };
  const changed = changedSince(calibration.basis, countBasis(record, line.value.line));
  if (changed.length > 0) return stale(changed);
  return {
    state: 'done',
    why: because(calibration.method === 'true' ? 'made-true' : 'left-with-card'),
  };
}

function strengthState(record: RigRecord): StationState {
  const ids = [...new Set(record.segments.map((segment) => segment.productId))];
  if (ids.length === 0) return { state: 'due', why: because('no-line-planned') };
  const tested = ids.filter((id) => (productStrength(record, id).summary?.n ?? 0) >= PULLS_FOR_A_MEAN).length;
  if (tested < ids.length)
    return { state: 'due', why: because('lines-pulled', { tested, lines: ids.length, times: PULLS_FOR_A_MEAN }) };
  return { state: 'done', why: because('all-lines-pulled', { lines: ids.length, times: PULLS_FOR_A_MEAN }) };
}

/** Depths seen with what is on, so that line and lure are told apart. */
const DEPTHS_SEEN = 2;

function depthState(record: RigRecord): StationState {
  if (!record.towed) return { state: 'not needed', why: because('not-towed') };
  if (record.load?.status !== 'wound') return { state: 'due', why: because('load-first') };
  const seen = marksThatTeach(record).length;
  return seen < DEPTHS_SEEN
    ? { state: 'due', why: because('depth-unseen', { seen }) }
    : { state: 'done', why: because('depth-seen', { seen }) };
}

function dragState(record: RigRecord): StationState {
  const { dragSetting: setting, dragSession } = record;
  if (!setting?.acceptedAt)
    return { state: 'due', why: because(dragSession ? 'scale-not-finished' : 'scale-not-used') };
  if (wasTurnedSince(record)) return { state: 'stale', why: because('drag-turned-since') };
  const line = currentLine(record);
  if (!line.ok) return { state: 'stale', why: line };
  const strength = strengthOfRig(record, line.value.line);
  if (!strength) return { state: 'stale', why: because('strength-unknown') };
  const changed = changedSince(setting.basis, dragBasis(record, line.value.line, strength));
  if (changed.length > 0) return stale(changed);
  const days = Math.floor((Date.parse(record.readAt) - Date.parse(setting.acceptedAt)) / DAY_MS);
  return days > GOOD_FOR_DAYS
    ? { state: 'due', why: because('set-days-ago', { days }) }
    : { state: 'done', why: because('set-with-scale') };
}
