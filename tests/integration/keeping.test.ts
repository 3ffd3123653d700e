import { randomUUID } from 'node:crypto';
import { NOBODY, withBoat } from '../../db/withBoat';
import { readBoats } from '../../usecases/boats/readBoats';
import { countsAtLength, rigView, type RigView } from '../../core/rig/view/rigView';
import { readActs } from '../../usecases/history/undoActs';
import { constraintOf } from '../../usecases/requests/trouble';
import { readLocker } from '../../usecases/rigs/locker';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { addSupplySpool, createReel, createRig, look, readGear, readRigRecord } from './acts';
import { askOf } from './ask';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

let b: Bench;

beforeAll(freshDatabase);
beforeEach(async () => {
  b = await bench(`Boat ${Math.trunc(performance.now() * 1000)}`);
});
afterAll(closeDatabase);

async function ask<N extends RequestName>(name: N, params: Omit<RequestParams<N>, 'boatId'>, body: unknown) {
  return (await askOf(b.boatId, name, params, body)).outcome;
}

const rig = () => ({ rigId: b.rigId });
const record = async () => {
  const read = await readRigRecord(b.boatId, b.rigId);
  if (!read) throw new Error('the rig is gone');
  return read;
};
const locker = look(readLocker);
const gear = async () => {
  const read = await readGear(b.boatId);
  if (!read) throw new Error('the boat is gone');
  return read;
};

/** Winds the plan onto the reel, accepts its counter and sets its drag. */
async function loadIt(): Promise<string> {
  const version = (await record()).version;
  const { loadId } = must(await ask('beginWinding', rig(), { version, levelBelowRimM: 0.002 })) as { loadId: string };
  for (const segment of (await record()).load?.segments ?? []) {
    must(
      await ask('noteWinding', { ...rig(), loadId }, { segmentId: segment.segmentId, reading: segment.stopReading }),
    );
  }
  must(await ask('finishWinding', { ...rig(), loadId }, { version: 1, levelBelowRimM: 0.002, supplies: [] }));
  must(await ask('acceptCalibration', rig(), { loadId, method: 'card' }));
  must(await ask('noteHang', rig(), { hangM: 0.3 }));
  const aim = { loadId, fraction: 0.2, strengthBasis: 'weakest', rodAngleRad: 1 };
  const { id: settingId } = must(await ask('startDragSetting', rig(), aim)) as { id: string };
  const target = (await record()).dragSession?.targetN ?? NaN;
  for (let pull = 0; pull < 3; pull += 1) {
    const body = { kind: 'bent rod', movingN: target, breakawayN: null, settingStep: 1, instrument: 'hand scale' };
    must(await ask('recordDragPull', { ...rig(), settingId }, body));
  }
  must(await ask('acceptSetting', { ...rig(), settingId }, {}));
  return loadId;
}

describe('a thing that is put away', () => {
  it('is not offered any more, keeps what rests on it, and comes back', async () => {
    const [lineId = ''] = b.lineIds;
    must(await ask('putAway', {}, { thing: 'line', id: lineId, isAway: true }));
    expect((await gear()).lines.find((line) => line.id === lineId)?.archivedAt).not.toBeNull();
    expect((await record()).segments.map((segment) => segment.productId)).toContain(lineId);
    must(await ask('putAway', {}, { thing: 'line', id: lineId, isAway: false }));
    expect((await gear()).lines.every((line) => line.archivedAt === null)).toBe(true);
  });

  it('is no reel that carries a rig, and a rig that leaves its reel to another one', async () => {
    const away = { thing: 'reel', id: b.reelId, isAway: true };
    expect(await ask('putAway', {}, away)).toMatchObject({ status: 409, why: { reason: 'reel-in-use' } });
    const loadId = await loadIt();
    must(await ask('putAway', {}, { thing: 'rig', id: b.rigId, isAway: true }));
    expect(await locker(b.boatId, '', 1)).toMatchObject({ total: 0, putAway: [{ id: b.rigId, name: 'Test rod' }] });
    expect((await record()).load?.id).toBe(loadId);
    const other = must(await createRig(b.boatId, { name: 'Heir', note: '', reelId: b.reelId })).id;
    // The reel has kept what its load taught.
    expect((await readRigRecord(b.boatId, other))?.knowledge.loadsSeen).toBe(1);
    const back = { thing: 'rig', id: b.rigId, isAway: false };
    expect(await ask('putAway', {}, back)).toMatchObject({ status: 409, why: { figures: { rig: 'Heir' } } });
    // The same by undoing: the database says no, and the sender is told why.
    const [newest] = await withBoat(NOBODY, b.boatId, 'read', (db) => readActs(db, b.rigId));
    const undone = ask('undoActs', rig(), { fromId: newest?.id, newestId: newest?.id });
    await expect(undone.catch((error: unknown) => constraintOf(error))).resolves.toMatchObject([
      409,
      { reason: 'reel-carries-another-rig' },
    ]);
    must(await ask('putAway', {}, { thing: 'rig', id: other, isAway: true }));
    must(await ask('putAway', {}, back));
    expect((await locker(b.boatId, '', 1)).rigs).toHaveLength(1);
  });

  it('is not a rig at the bench', async () => {
    must(await ask('beginWinding', rig(), { version: 2, levelBelowRimM: 0.002 }));
    const away = await ask('putAway', {}, { thing: 'rig', id: b.rigId, isAway: true });
    expect(away).toMatchObject({ status: 409, why: { reason: 'finish-winding-first' } });
  });

  it('is of this boat', async () => {
    const other = await bench(`Other ${randomUUID()}`);
    for (const [thing, id] of [
      ['rig', other.rigId],
      ['reel', other.reelId],
      ['line', other.lineIds[0]],
      ['boat', other.boatId],
    ]) {
      expect(await ask('putAway', {}, { thing, id, isAway: true })).toMatchObject({ ok: false });
      expect(await ask('rename', {}, { thing, id, name: 'Ours now' })).toMatchObject({ status: 404 });
    }
    const boats = await readBoats(NOBODY);
    expect(boats.find(({ id }) => id === other.boatId)?.name).toMatch(/^Other/);
  });
});

describe('a name', () => {
  it('can be another one for everything that has one', async () => {
    const personId = (must(await ask('addPerson', {}, { name: 'Mate', hand: 'left' })) as { id: string }).id;
    const supply = { label: 'One', lineProductId: b.lineIds[0] ?? '', boughtLengthM: 300, remainingLengthM: 300 };
    const supplyId = must(await addSupplySpool(b.boatId, supply)).id;
    const things = {
      boat: b.boatId,
      person: personId,
      reel: b.reelId,
      line: b.lineIds[0],
      supply: supplyId,
      rig: b.rigId,
    };
    for (const [thing, id] of Object.entries(things)) {
      must(await ask('rename', {}, { thing, id, name: `New ${thing} ${b.boatId}` }));
    }
    const { boat, reels, lines, people, supplySpools, rigs } = await gear();
    const named = [boat, ...reels, ...people, ...rigs].map(({ name }) => name);
    const of = (thing: string): string => `New ${thing} ${b.boatId}`;
    expect(named).toEqual([of('boat'), of('reel'), of('person'), of('rig')]);
    expect(lines.map(({ name }) => name)).toContain(of('line'));
    expect(supplySpools[0]?.label).toBe(of('supply'));
    // A plan that is being edited elsewhere is not thrown away by it.
    expect((await record()).version).toBe(2);
  });

  it('of a boat is its own', async () => {
    const other = await bench(`Taken ${randomUUID()}`);
    const taken = (await readBoats(NOBODY)).find(({ id }) => id === other.boatId)?.name ?? '';
    const asked = await ask('rename', {}, { thing: 'boat', id: b.boatId, name: taken.toUpperCase() });
    expect(asked).toMatchObject({ status: 422, fields: [{ path: 'name', why: { reason: 'boat-name-taken' } }] });
  });
});

describe('taking out for good', () => {
  it('takes what nothing rests on, and nothing else', async () => {
    const reelId = must(
      await createReel(b.boatId, { ...REEL, ratings: [{ label: '20/350', lineDiameterM: 0.00045, lengthM: 320 }] }),
    ).id;
    must(await ask('remove', {}, { thing: 'reel', id: reelId }));
    expect((await gear()).reels.map(({ id }) => id)).toEqual([b.reelId]);
    for (const [thing, id] of [
      ['reel', b.reelId],
      ['line', b.lineIds[0]],
    ]) {
      expect(await ask('remove', {}, { thing, id })).toMatchObject({ status: 409, why: { reason: 'rests-on-it' } });
    }
    expect((await gear()).lines).toHaveLength(2);
  });

  it('takes a rig that was made by mistake, and leaves one that has a history', async () => {
    const reelId = must(await createReel(b.boatId, REEL)).id;
    const id = must(await createRig(b.boatId, { name: 'Mistake', note: '', reelId })).id;
    must(await ask('remove', {}, { thing: 'rig', id }));
    expect((await gear()).freeReelIds).toEqual([reelId]);
    await loadIt();
    expect(await ask('remove', {}, { thing: 'rig', id: b.rigId })).toMatchObject({ status: 409 });
    expect((await record()).load).not.toBeNull();
  });
});

describe('a rig like another one', () => {
  it('has its plan, joins, fill and aims as its own, and none of its measurements', async () => {
    const fill = { target: { kind: 'mark', diameterM: 0.06 }, soonGoneM: 4 };
    must(await ask('saveStack', rig(), { ...b.stack, version: 2, fill }));
    await loadIt();
    must(await ask('chooseMeantPlace', rig(), { placeId: b.stack.segments[2]?.id }));
    const reelId = must(await createReel(b.boatId, REEL)).id;
    const like = { from: 'rig', id: b.rigId };
    const { id } = must(await ask('createRig', {}, { name: 'Twin', note: '', reelId, like })) as { id: string };
    const [twin, first] = [await readRigRecord(b.boatId, id), await record()];
    const bare = (of: typeof twin) => of?.segments.map((segment) => ({ ...segment, id: '', rigId: '' }));
    expect(bare(twin)).toEqual(bare(first));
    expect(twin?.segments.some((segment) => first.segments.some((each) => each.id === segment.id))).toBe(false);
    expect(twin?.planJoins.map(({ kind }) => kind)).toEqual(first.planJoins.map(({ kind }) => kind));
    expect(twin).toMatchObject({ fill, hangM: 0.3, load: null, calibration: null, dragSetting: null });
    expect(twin?.dragAim).toEqual({ fraction: 0.2, strengthBasis: 'weakest' });
    expect(twin?.meantPlaceId).toBe(twin?.segments[2]?.id);
  });

  it('may begin with a plan that was kept under a name', async () => {
    const { segments, joins } = b.stack;
    const stack = { segments, joins, fill: { target: { kind: 'depth-share', share: 0.9 }, soonGoneM: 0 } };
    const { id: planId } = must(await ask('keepPlan', {}, { name: 'Copper, long top', stack })) as { id: string };
    expect((await record()).keptPlans).toMatchObject([{ id: planId, name: 'Copper, long top', stack }]);
    const reelId = must(await createReel(b.boatId, REEL)).id;
    const body = { name: 'From a plan', note: '', reelId, like: { from: 'plan', id: planId } };
    const { id } = must(await ask('createRig', {}, body)) as { id: string };
    expect(await readRigRecord(b.boatId, id)).toMatchObject({ fill: stack.fill, segments: [{}, {}, {}] });
    const strange = { ...stack, segments: segments.map((each) => ({ ...each, productId: randomUUID() })) };
    expect(await ask('keepPlan', {}, { name: 'Not ours', stack: strange })).toMatchObject({ status: 422 });
  });
});

describe('a rig that is moved', () => {
  it('to another reel leaves load, counter and drag with the old one, and undoing brings them back', async () => {
    const loadId = await loadIt();
    const before = await record();
    const reelId = must(await createReel(b.boatId, { ...REEL, name: 'Another reel' })).id;
    const { id: actId, outcome } = await askOf(b.boatId, 'moveRig', rig(), { to: 'reel', reelId });
    must(outcome);
    const moved = await record();
    expect(moved).toMatchObject({ load: null, calibration: null, dragSetting: null, hangM: 0.3 });
    expect(moved.reel.id).toBe(reelId);
    expect(moved.segments).toEqual(before.segments);
    expect(moved.knowledge.loadsSeen).toBe(0);
    // What the load taught stays with the reel on which it was wound.
    const heir = must(await createRig(b.boatId, { name: 'Heir', note: '', reelId: b.reelId })).id;
    expect((await readRigRecord(b.boatId, heir))?.knowledge.loadsSeen).toBe(1);
    must(await ask('remove', {}, { thing: 'rig', id: heir }));
    const [newest] = await withBoat(NOBODY, b.boatId, 'read', (db) => readActs(db, b.rigId));
    must(await ask('undoActs', rig(), { fromId: actId, newestId: newest?.id }));
    const back = await record();
    expect(back.load?.id).toBe(loadId);
    expect(back).toMatchObject({ calibration: before.calibration, dragSetting: before.dragSetting, reel: before.reel });
  });

  it('to a reel that is taken, its own, or from the bench, stays where it is', async () => {
    const taken = must(await createReel(b.boatId, REEL)).id;
    must(await createRig(b.boatId, { name: 'There', note: '', reelId: taken }));
    expect(await ask('moveRig', rig(), { to: 'reel', reelId: taken })).toMatchObject({
      why: { reason: 'reel-in-use' },
    });
    expect(await ask('moveRig', rig(), { to: 'reel', reelId: b.reelId })).toMatchObject({
      why: { reason: 'same-reel' },
    });
    must(await ask('beginWinding', rig(), { version: 2, levelBelowRimM: 0.002 }));
    const free = must(await createReel(b.boatId, REEL)).id;
    expect(await ask('moveRig', rig(), { to: 'reel', reelId: free })).toMatchObject({ status: 409 });
  });

  it('to another rod keeps the load and its counter, and asks for the drag anew', async () => {
    const loadId = await loadIt();
    const before = await record();
    must(await ask('moveRig', rig(), { to: 'rod', name: 'Second rod' }));
    const moved = await record();
    expect(moved).toMatchObject({
      name: 'Second rod',
      hangM: null,
      dragSetting: null,
      calibration: before.calibration,
    });
    expect(moved.load?.id).toBe(loadId);
  });
});

describe('line that is pulled off', () => {
  it('and kept lies on a spool of its own, goes on another reel from there, and undoing asks what was taken', async () => {
    const loadId = await loadIt();
    const { id: actId, outcome } = await askOf(
      b.boatId,
      'loseLine',
      { ...rig(), loadId },
      { lengthM: 40, reason: 'kept', note: '' },
    );
    must(outcome);
    const kept = (await gear()).supplySpools;
    expect(kept).toMatchObject([{ label: 'Top shot, Test rod', boughtLengthM: 40, remainingLengthM: 40 }]);
    const other = await loadedTwin();
    const top = (await readRigRecord(b.boatId, other))?.load;
    const body = {
      ...{ segmentId: top?.segments[2]?.segmentId, productId: b.lineIds[0], lengthM: 38, note: '' },
      supplySpoolId: kept[0]?.id,
    };
    must(await ask('replaceSegment', { rigId: other, loadId: top?.id ?? '' }, body));
    expect((await gear()).supplySpools[0]?.remainingLengthM).toBeCloseTo(2, 9);
    // What was pulled off is on another reel: it does not come back by an undo here.
    const undo = { fromId: actId, newestId: actId };
    expect(await ask('undoActs', rig(), undo)).toMatchObject({ why: { reason: 'spool-used-since' } });
    const [newest] = await withBoat(NOBODY, b.boatId, 'read', (db) => readActs(db, other));
    must(await ask('undoActs', { rigId: other }, { fromId: newest?.id, newestId: newest?.id }));
    must(await ask('undoActs', rig(), undo));
    expect((await gear()).supplySpools).toEqual([]);
  });

  it('and turned end for end keeps its length, and its joins are to be tied anew', async () => {
    const loadId = await loadIt();
    const before = await record();
    const top = before.load?.segments[2]?.segmentId ?? '';
    must(await ask('turnSegment', { ...rig(), loadId }, { segmentId: top }));
    const after = await record();
    const length = (of: typeof after) => rigView(of)?.current.line.segments.find(({ id }) => id === top)?.lengthM;
    expect(length(after)).toBeCloseTo(length(before) ?? NaN, 9);
    expect(after.load?.replacements).toMatchObject([
      { segmentId: top, productId: before.load?.segments[2]?.productId },
    ]);
    const backing = before.load?.segments[0]?.segmentId ?? '';
    expect(await ask('turnSegment', { ...rig(), loadId }, { segmentId: backing })).toMatchObject({ status: 409 });
  });
});

/** Another rig like the bench's, loaded. */
async function loadedTwin(): Promise<string> {
  const reelId = must(await createReel(b.boatId, REEL)).id;
  const like = { from: 'rig', id: b.rigId };
  const { id } = must(await ask('createRig', {}, { name: 'Twin', note: '', reelId, like })) as { id: string };
  const twin = await readRigRecord(b.boatId, id);
  const { loadId } = must(
    await ask('beginWinding', { rigId: id }, { version: twin?.version, levelBelowRimM: 0.002 }),
  ) as {
    loadId: string;
  };
  for (const segment of (await readRigRecord(b.boatId, id))?.load?.segments ?? []) {
    const noted = { segmentId: segment.segmentId, reading: segment.stopReading };
    must(await ask('noteWinding', { rigId: id, loadId }, noted));
  }
  must(await ask('finishWinding', { rigId: id, loadId }, { version: 1, levelBelowRimM: null, supplies: [] }));
  return id;
}

describe('a walk that contradicts everything else', () => {
  it('is asked about, counts for nothing, and holds acceptance up until it is answered', async () => {
    const loadId = await loadIt();
    const walk = { kind: 'tape', loadId, trueLengthM: 30 };
    const ruler = async () => rigView(await record())?.ruler.constantM.value ?? NaN;
    const honest = Math.round(countsAtLength(rigView(await record()) as RigView, 30));
    const good = must(await ask('recordTrial', rig(), { ...walk, reading: honest })) as { heldOut: boolean };
    expect(good.heldOut).toBe(false);
    const before = await ruler();
    const bad = must(await ask('recordTrial', rig(), { ...walk, reading: honest - 8 })) as {
      id: string;
      heldOut: boolean;
    };
    expect(bad.heldOut).toBe(true);
    expect(await ruler()).toBeCloseTo(before, 12);
    expect(await ask('acceptCalibration', rig(), { loadId, method: 'card' })).toMatchObject({
      why: { reason: 'answer-first' },
    });
    must(await ask('answer', {}, { kind: 'trial', id: bad.id, rigId: b.rigId }));
    expect(await ruler()).not.toBeCloseTo(before, 6);
    expect((await record()).openTrials).toEqual([]);
    must(await ask('acceptCalibration', rig(), { loadId, method: 'card' }));
  });
});

describe('gear as it is sold', () => {
  it('keeps a counter that nobody knows yet as a default from the size of its spool', async () => {
    if (!REEL.counter) throw new Error('the fixture has no counter');
    const counter = { ...REEL.counter, lengthPerTurnM: null };
    const { id } = must(await ask('createReel', {}, { ...REEL, counter, gearRatio: 4.2 })) as { id: string };
    const reel = (await gear()).reels.find((each) => each.id === id);
    expect(reel?.counter?.lengthPerTurnM).toMatchObject({ source: 'default' });
    // Nearly full, a spool of 61.8 mm takes 0.16 to 0.19 m a turn.
    expect(reel?.counter?.lengthPerTurnM.value).toBeGreaterThan(0.16);
    expect(reel?.counter?.lengthPerTurnM.value).toBeLessThan(0.19);
    expect(reel?.gearRatio).toBe(4.2);
  });

  it('keeps colours of a line, and of a segment that was typed in them, through load and history', async () => {
    const line = {
      ...{ name: 'Lead core 18', material: 'lead core', diameterM: 0.0008, diameterSource: 'label' },
      ...{ labelStrengthN: 80, family: '', colourLengthM: 9, colours: ['red', 'blue'] },
    };
    const { id: productId } = must(await ask('createLine', {}, line)) as { id: string };
    expect((await gear()).lines.find(({ id }) => id === productId)).toMatchObject({
      colourLengthM: 9,
      colours: ['red', 'blue'],
    });
    const [backing, lead, top] = b.stack.segments;
    const coloured = { ...lead, productId, lengthM: 22.5, colours: ['red', 'blue', 'red'], colourLengthM: 9 };
    const segments = [{ ...backing, purpose: 'abrasion' }, coloured, top];
    must(await ask('saveStack', rig(), { ...b.stack, version: 2, segments }));
    await loadIt();
    const read = await record();
    expect(read.load?.segments[1]).toMatchObject({ colours: ['red', 'blue', 'red'], colourLengthM: 9 });
    expect(read.load?.segments[0]?.purpose).toBe('abrasion');
  });

  it('keeps how a load was laid on', async () => {
    const { loadId } = must(await ask('beginWinding', rig(), { version: 2, levelBelowRimM: 0.002 })) as {
      loadId: string;
    };
    for (const segment of (await record()).load?.segments ?? []) {
      must(
        await ask('noteWinding', { ...rig(), loadId }, { segmentId: segment.segmentId, reading: segment.stopReading }),
      );
    }
    const laid = { laidBy: 'cloth', tensionN: 8, shims: 1 };
    must(await ask('finishWinding', { ...rig(), loadId }, { version: 1, levelBelowRimM: null, supplies: [], laid }));
    expect((await record()).load).toMatchObject(laid);
  });
});
