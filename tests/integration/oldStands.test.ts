import { randomUUID } from 'node:crypto';
import { acceptedForceN } from '../../core/record/acceptedDrag';
import type { RigRecord } from '../../core/record/record';
import { stationStates } from '../../core/rig/stationStates';
import { strengthOfRig } from '../../core/rig/strength/strengthOfRig';
import { currentLine } from '../../core/rig/line/currentLine';
import { atBench } from '../../core/rig/line/atBench';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { schoolsOf } from '../../core/joins/schools';
import { readRigRecord } from './acts';
import { askOf } from './ask';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, type Bench } from './gear';

let b: Bench;
let loadId: string;

async function record(): Promise<RigRecord> {
  const found = await readRigRecord(b.boatId, b.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}

async function ask<N extends RequestName>(name: N, params: object, body: unknown): Promise<unknown> {
  const named = { rigId: b.rigId, ...params } as unknown as Omit<RequestParams<N>, 'boatId'>;
  return must((await askOf(b.boatId, name, named, body)).outcome);
}

const lineNow = async () => {
  const line = currentLine(await record());
  if (!line.ok) throw new Error(line.reason);
  return line.value.line;
};

async function begin(): Promise<string> {
  const { version } = await record();
  return ((await ask('beginWinding', {}, { version, levelBelowRimM: 0.002 })) as { loadId: string }).loadId;
}

async function noteNext(id: string): Promise<void> {
  const { load } = atBench(await record());
  const next = load?.segments.find((each) => !load.winding.some((entry) => entry.segmentId === each.segmentId));
  await ask('noteWinding', { loadId: id }, { segmentId: next?.segmentId, reading: next?.stopReading });
}

/** A scale session that three pulls agree in. */
async function setDrag(forceN: number): Promise<void> {
  const open = (await ask(
    'startDragSetting',
    {},
    { loadId, fraction: 0.2, strengthBasis: 'weakest', rodAngleRad: 1 },
  )) as { id: string };
  const pull = { breakawayN: forceN, settingStep: 0, instrument: 'scale' };
  for (const kind of ['warm-up', 'warm-up', 'bent rod', 'bent rod', 'bent rod']) {
    await ask('recordDragPull', { settingId: open.id }, { ...pull, kind, movingN: forceN });
  }
  await ask('acceptSetting', { settingId: open.id }, {});
}

beforeAll(async () => {
  await freshDatabase();
});
beforeEach(async () => {
  b = await bench(`Boat ${Math.trunc(performance.now() * 1000)}`);
  loadId = await begin();
  for (let each = 0; each < 3; each += 1) await noteNext(loadId);
  await ask('finishWinding', { loadId }, { version: 1, levelBelowRimM: 0.002 });
  await ask('recordTrial', {}, { kind: 'tape', loadId, trueLengthM: 30, reading: 29, instrument: 'tape' });
  await ask('acceptCalibration', {}, { loadId, method: 'card' });
});
afterAll(closeDatabase);

describe('a finished load', () => {
  it('stays in force while its successor has nothing on yet, and both are there', async () => {
    const before = await record();
    const made = await begin();
    const now = await record();
    expect(now.load).toEqual(before.load);
    expect(now.trials).toEqual(before.trials);
    expect(now.making).toMatchObject({ id: made, status: 'winding', winding: [] });
    expect(currentLine(now)).toEqual(currentLine(before));
    expect(stationStates(now).count).toEqual(stationStates(before).count);
    expect(atBench(now).load?.id).toBe(made);
  });

  it('is off the reel with the first segment of its successor, and back exactly when that is called off', async () => {
    const before = await record();
    const made = await begin();
    await noteNext(made);
    expect((await record()).load).toMatchObject({ id: made, status: 'winding' });
    await ask('cancelWinding', { loadId: made }, { noted: 1 });
    const now = await record();
    expect(now.load).toEqual(before.load);
    expect(now.making).toBeNull();
    expect(now.calibration).toEqual(before.calibration);
    expect(now.log[0]?.entry.reason).toBe('winding-cancelled');
  });

  it('stays off where that first note was only taken back: line is on the reel, whatever its reading was', async () => {
    const made = await begin();
    await noteNext(made);
    const noted = (await record()).load?.winding[0]?.id;
    await ask('withdraw', {}, { kind: 'winding', id: noted, rigId: b.rigId, reason: 'read wrongly' });
    expect(await record()).toMatchObject({ load: { id: made, winding: [] }, making: null });
  });

  it('is called off over nothing that was not seen', async () => {
    const made = await begin();
    await noteNext(made);
    const stale = await askOf(b.boatId, 'cancelWinding', { rigId: b.rigId, loadId: made }, { noted: 0 });
    expect(stale.outcome).toMatchObject({ status: 409 });
    expect((await record()).load?.id).toBe(made);
  });

  it('is gone when the spool was emptied', async () => {
    const made = await begin();
    await ask('abandonWinding', { loadId: made }, {});
    const now = await record();
    expect(now.load).toBeNull();
    expect(now.trials).toEqual([]);
  });

  it('keeps its joins when another line is planned, and takes a new one when it is tied', async () => {
    const holds = async () => strengthOfRig(await record(), await lineNow())?.weakest;
    const [before, weakest] = [await record(), await holds()];
    const { version, segments } = { version: before.version, segments: b.stack.segments };
    const leader = { ...segments[2], id: randomUUID(), name: 'Other leader', lengthM: 3 };
    const joins = [...b.stack.joins.slice(0, 2), { ...b.stack.joins[2], outerSegmentId: leader.id }];
    await ask('saveStack', {}, { version, segments: [...segments.slice(0, 2), leader], joins });
    expect((await record()).joins).toEqual(before.joins);
    expect(await holds()).toEqual(weakest);
    expect((await record()).planJoins.at(-1)?.outerSegmentId).toBe(leader.id);
  });

  it('has the old join until the new one is tied', async () => {
    const place = async () => {
      const now = await record();
      return { on: now.joins[1], planned: now.planJoins[1] };
    };
    const { on: old } = await place();
    await ask('changeJoinKind', { joinId: old?.id }, { kind: 'double-sliding-knot' });
    const chosen = await place();
    expect(chosen.on).toEqual(old);
    expect(chosen.planned?.kind).toBe('double-sliding-knot');
    const [school] = schoolsOf('double-sliding-knot');
    await ask(
      'tieJoin',
      { joinId: chosen.planned?.id },
      {
        school: school?.id,
        stepsDone: school?.steps.map((step) => step.id),
        personId: null,
        seatedN: 20,
        pullTested: true,
        note: '',
      },
    );
    expect((await place()).on).toMatchObject({ id: chosen.planned?.id, kind: 'double-sliding-knot' });
    // The old one is on no line and in no plan any more: a page that still shows it ties nothing with it.
    const [swivel] = schoolsOf('small-swivel');
    const stale = await askOf(
      b.boatId,
      'tieJoin',
      { rigId: b.rigId, joinId: old?.id ?? '' },
      {
        school: swivel?.id,
        stepsDone: swivel?.steps.map((step) => step.id),
        personId: null,
        seatedN: null,
        pullTested: false,
        note: '',
      },
    );
    expect(stale.outcome).toMatchObject({ status: 404 });
  });
});

describe('line lost from the hook', () => {
  it('goes through segments and joins in one act, and is back by undoing it', async () => {
    const before = await record();
    const whole = await lineNow();
    const topM = whole.segments.at(-1)?.lengthM ?? NaN;
    const lost = await askOf(
      b.boatId,
      'loseLine',
      { rigId: b.rigId, loadId },
      { lengthM: topM + 5, reason: 'lost', note: 'wreck' },
    );
    must(lost.outcome);
    const after = await lineNow();
    expect(after.segments.map((segment) => segment.name)).toEqual(['Backing', 'Copper']);
    expect(after.totalLengthM).toBeCloseTo(whole.totalLengthM - topM - 5, 6);
    expect((await record()).log.slice(0, 2).map((entry) => entry.entry.reason)).toEqual(['line-lost', 'line-lost']);
    await ask('undoActs', {}, { fromId: lost.id, newestId: lost.id });
    expect((await record()).load).toEqual(before.load);
  });

  it('is refused where it is all there is, and while a load is being wound', async () => {
    const { totalLengthM } = await lineNow();
    const lose = (id: string, lengthM: number) =>
      askOf(b.boatId, 'loseLine', { rigId: b.rigId, loadId: id }, { lengthM, reason: 'lost' });
    expect((await lose(loadId, totalLengthM + 1)).outcome).toMatchObject({
      status: 422,
      why: { reason: 'longer-than-line' },
    });
    const made = await begin();
    await noteNext(made);
    expect((await lose(made, 1)).outcome).toMatchObject({ status: 409 });
  });
});

describe('an accepted drag', () => {
  it('stays set while a session goes on, until the drag is turned in it, and after it was called off', async () => {
    const targetN = 0.2 * (strengthOfRig(await record(), await lineNow())?.weakest.strengthN.value ?? NaN);
    await setDrag(targetN);
    const setN = acceptedForceN(await record());
    expect(setN).toBeCloseTo(targetN, 6);
    const session = (await ask(
      'startDragSetting',
      {},
      { loadId, fraction: 0.25, strengthBasis: 'weakest', rodAngleRad: 1 },
    )) as { id: string };
    const open = await record();
    expect(open.dragSession?.id).toBe(session.id);
    expect(acceptedForceN(open)).toBe(setN);
    expect(stationStates(open).drag.state).toBe('done');

    // Another session would hide what is turned in this one.
    const second = { loadId, fraction: 0.2, strengthBasis: 'weakest', rodAngleRad: 1 };
    const refused = await askOf(b.boatId, 'startDragSetting', { rigId: b.rigId }, second);
    expect(refused.outcome).toMatchObject({ status: 409, why: { reason: 'session-open' } });

    const pull = { kind: 'bent rod', movingN: 9, breakawayN: 10, instrument: 'scale' };
    await ask('recordDragPull', { settingId: session.id }, { ...pull, settingStep: 1 });
    // Turned: what was accepted is not what the drag pulls now, and nobody is told that it is.
    expect(acceptedForceN(await record())).toBeNull();
    expect(stationStates(await record()).drag.state).toBe('stale');

    await ask('dropSession', { settingId: session.id }, {});
    expect((await record()).dragSession).toBeNull();
    expect(acceptedForceN(await record())).toBe(setN);
    const again = await askOf(b.boatId, 'dropSession', { rigId: b.rigId, settingId: session.id }, {});
    expect(again.outcome).toMatchObject({ status: 404 });
  });
});
