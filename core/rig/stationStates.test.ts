import { calibrated, plannedRig, pulls, woundRig } from '../../tests/rigFixture';
import { dragBasis, loadBasis } from './bases';
import { currentLine } from './line/currentLine';
import type { DragSettingRecord, RigRecord } from '../record/record';
import { stationStates } from './stationStates';
import { strengthOfRig } from './strength/strengthOfRig';

function lineOf(rig: RigRecord) {
  const current = currentLine(rig);
  if (!current.ok) throw new Error(current.reason);
  return current.value.line;
}

function dragSet(rig: RigRecord): RigRecord {
  const strength = strengthOfRig(rig, lineOf(rig));
  if (!strength) throw new Error('the fixture has no strength');
  const dragSetting: DragSettingRecord = {
    id: 'd',
    loadId: 'load',
    fraction: 0.25,
    strengthBasis: 'weakest',
    targetN: 12,
    rodAngleRad: 1,
    basis: dragBasis(rig, lineOf(rig), strength),
    startedAt: '',
    acceptedAt: '2026-03-01T13:00:00.000Z',
    pulls: [],
  };
  return { ...rig, dragSetting };
}

const TIED = {
  id: 'tie',
  school: 'any',
  seatedN: null,
  pullTested: true,
  person: null,
  note: '',
  hasPhoto: false,
  drags: 0,
  fish: 0,
  at: '2026-03-01T09:00:00.000Z',
};

const complete = (): RigRecord =>
  dragSet(
    calibrated({
      ...woundRig(),
      joins: woundRig().joins.map((join) => ({ ...join, lastTie: TIED, pullTested: true })),
      readAt: '2026-03-05T10:00:00.000Z',
      strengthTests: [pulls('nylon', [140, 142, 139]), pulls('lead', [80, 82, 78]), pulls('top', [85, 84, 86])],
    }),
  );

describe('stationStates', () => {
  it('has everything due on a planned rig, and a reason for each', () => {
    const states = stationStates(plannedRig());
    expect(Object.values(states).map((state) => state.state)).toEqual([
      ...['due', 'due', 'due', 'due', 'due'],
      'not needed',
    ]);
    expect(states.joins.why).toEqual({ reason: 'joins-not-tied', figures: { missing: 3, joins: 3 } });
    expect(states.load.why.reason).toBe('planned-not-wound');
    expect(states.count.why.reason).toBe('load-first');
    expect(states.strength.why.figures).toMatchObject({ tested: 0, lines: 3 });
  });

  it('counts the segments that are on while winding', () => {
    const wound = woundRig();
    const winding = woundRig({ status: 'winding', winding: wound.load?.winding.slice(0, 1) ?? [] });
    expect(stationStates(winding).load).toEqual({
      state: 'due',
      why: { reason: 'winding-so-far', figures: { noted: 1, wound: 3 } },
    });
  });

  it('has everything done when everything is', () => {
    expect(Object.values(stationStates(complete())).map((state) => state.state)).toEqual([
      'done',
      'done',
      'done',
      'done',
      'done',
      'not needed',
    ]);
  });

  it('wants a drag pulled again before a trip once it was set a fortnight ago', () => {
    const rig = complete();
    const state = (readAt: string) => stationStates({ ...rig, readAt }).drag;
    expect(state('2026-03-16T10:00:00.000Z').state).toBe('done');
    expect(state('2026-03-30T10:00:00.000Z')).toMatchObject({
      state: 'due',
      why: { reason: 'set-days-ago' },
    });
  });

  it('needs no count without a counter', () => {
    const rig = plannedRig();
    expect(stationStates({ ...rig, reel: { ...rig.reel, counter: null } }).count.state).toBe('not needed');
  });

  it('makes count and drag stale when line is lost, and names the line', () => {
    const rig = complete();
    if (!rig.load) throw new Error('the fixture has no load');
    const lost = {
      ...rig,
      load: {
        ...rig.load,
        changes: [
          { id: 'c', segmentId: 's2', changeM: -14, reason: 'lost' as const, note: '', at: '2026-03-04T00:00:00.000Z' },
        ],
      },
    };
    const states = stationStates(lost);
    expect(states.count).toEqual({
      state: 'stale',
      why: { reason: 'changed-since', figures: { what: ['length of Top shot'] } },
    });
    expect(states.drag.state).toBe('stale');
    expect(states.load.state).toBe('done');
    expect(states.strength.state).toBe('done');
  });

  it('makes the drag stale when a strength changes, and nothing else', () => {
    const rig = complete();
    const retested = { ...rig, strengthTests: [...rig.strengthTests, pulls('top', [70, 71, 69])] };
    const states = stationStates(retested);
    expect(states.drag.state).toBe('stale');
    expect(states.drag.why.figures).toMatchObject({
      what: expect.arrayContaining(['strength of Top shot']) as string[],
    });
    expect(states.count.state).toBe('done');
  });

  it('makes the load stale when the plan changes after winding', () => {
    const rig = complete();
    const changed = { ...rig, segments: rig.segments.map((s) => (s.id === 's2' ? { ...s, lengthM: 45 } : s)) };
    expect(stationStates(changed).load).toEqual({
      state: 'stale',
      why: { reason: 'changed-since', figures: { what: ['length of Top shot'] } },
    });
  });

  it('does not go stale by a better constant: nothing has moved', () => {
    const rig = complete();
    if (!rig.calibration) throw new Error('the fixture has no calibration');
    const better = {
      ...rig,
      calibration: { ...rig.calibration, lengthPerTurnM: { value: 0.183, sd: 0.001, source: 'measured' as const } },
    };
    expect(stationStates(better).count.state).toBe('done');
  });

  it('is done only with three pulls of every line', () => {
    const rig = complete();
    const two = { ...rig, strengthTests: [pulls('nylon', [140, 142]), ...rig.strengthTests.slice(1)] };
    expect(stationStates(two).strength).toEqual({
      state: 'due',
      why: { reason: 'lines-pulled', figures: { tested: 2, lines: 3, times: 3 } },
    });
  });
});

describe('loadBasis', () => {
  it('speaks of segments and lines by name', () => {
    expect(loadBasis(plannedRig())).toMatchObject({
      'length of Backing': 'solved',
      'length of Top shot': '60',
      'line of Lead core': 'lead line',
    });
  });
});
