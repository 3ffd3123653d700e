import { randomUUID } from 'node:crypto';
import type { RigRecord } from '../../core/record/record';
import { NOBODY, withBoat } from '../../db/withBoat';
import { readActs } from '../../usecases/history/undoActs';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { addSupplySpool, readRigRecord } from './acts';
import { askOf } from './ask';
import { asOwner, closeDatabase, freshDatabase } from './database';
import { bench, must, type Bench } from './gear';

let b: Bench;

beforeAll(freshDatabase);
beforeEach(async () => {
  b = await bench(`Boat ${Math.trunc(performance.now() * 1000)}`);
});
afterAll(closeDatabase);

const ask = <N extends RequestName>(name: N, params: Omit<RequestParams<N>, 'boatId'>, body: unknown) =>
  askOf(b.boatId, name, params, body);

const rig = () => ({ rigId: b.rigId });
const acts = () => withBoat(NOBODY, b.boatId, 'read', (db) => readActs(db, b.rigId));

async function undo(fromId: string) {
  const [newest] = await acts();
  return ask('undoActs', rig(), { fromId, newestId: newest?.id });
}

/** All that is read of the rig, without what counts readings and writings. */
async function state(): Promise<unknown> {
  const record = await readRigRecord(b.boatId, b.rigId);
  if (!record) throw new Error('the rig is gone');
  const { readAt, version, log, load, ...rest } = record;
  expect([typeof readAt, typeof version, Array.isArray(log)]).toEqual(['string', 'number', true]);
  return { ...rest, load: load && { ...load, version: 0 } };
}

/** Everything from a plan to an accepted counter; what the rig was before each act, by the act's id. */
async function walkThrough(): Promise<readonly { readonly id: string; readonly before: unknown }[]> {
  const done: { id: string; before: unknown }[] = [];
  const step = async <N extends RequestName>(
    name: N,
    params: Omit<RequestParams<N>, 'boatId'>,
    body: unknown,
  ): Promise<unknown> => {
    const before = await state();
    const { id, outcome } = await ask(name, params, body);
    const value = must(outcome);
    done.push({ id, before });
    return value;
  };
  const spoolId = must(
    await addSupplySpool(b.boatId, {
      label: 'Shelf one',
      lineProductId: b.lineIds[0] ?? '',
      boughtLengthM: 300,
      remainingLengthM: 300,
    }),
  ).id;
  const { segments } = b.stack;
  await step('saveStack', rig(), {
    ...b.stack,
    version: 2,
    segments: segments.map((segment) => (segment.name === 'Top shot' ? { ...segment, lengthM: 35 } : segment)),
  });
  await step('noteHang', rig(), { hangM: 0.3 });
  const { loadId } = (await step('beginWinding', rig(), { version: 3, levelBelowRimM: 0.002 })) as { loadId: string };
  const record = await readRigRecord(b.boatId, b.rigId);
  for (const segment of record?.load?.segments ?? []) {
    await step('noteWinding', { ...rig(), loadId }, { segmentId: segment.segmentId, reading: segment.stopReading });
  }
  const top = segments.at(-1)?.id ?? '';
  await step(
    'finishWinding',
    { ...rig(), loadId },
    {
      version: 1,
      levelBelowRimM: 0.002,
      supplies: [{ segmentId: top, supplySpoolId: spoolId }],
    },
  );
  await step('recordTrial', rig(), { kind: 'tape', loadId, trueLengthM: 30, reading: 29, instrument: 'read by eye' });
  await step('acceptCalibration', rig(), { loadId, method: 'card' });
  const joins = (await readRigRecord(b.boatId, b.rigId))?.joins ?? [];
  await step('changeJoinKind', { ...rig(), joinId: joins.at(-1)?.id ?? '' }, { kind: 'double-sliding-knot' });
  await step('changeLength', { ...rig(), loadId }, { segmentId: top, changeM: 5, reason: 'lost' });
  return done;
}

describe('what was done on a rig', () => {
  it('is one history, in its order, with what was asked', async () => {
    const done = await walkThrough();
    const history = await acts();
    expect(history.map((act) => act.id)).toEqual(done.map((act) => act.id).toReversed());
    expect(history[0]).toMatchObject({
      request: 'changeLength',
      undoneBy: null,
      asked: { changeM: 5, reason: 'lost' },
    });
  });

  it('can be undone up to any point: everything is then what it was there, and comes back by undoing that', async () => {
    const done = await walkThrough();
    const end = await state();
    for (const { id, before } of done.toReversed()) {
      const undone = await undo(id);
      must(undone.outcome);
      expect(await state()).toEqual(before);
      must((await undo(undone.id)).outcome);
      expect(await state()).toEqual(end);
    }
  });

  it('can be undone step by step, and nothing of it is deleted', async () => {
    const done = await walkThrough();
    const rows = await asOwner<{ n: string }>('SELECT count(*) AS n FROM winding_entries WHERE boat_id = $1', [
      b.boatId,
    ]);
    for (const { id, before } of done.toReversed()) {
      must((await undo(id)).outcome);
      expect(await state()).toEqual(before);
    }
    const kept = await asOwner<{ n: string }>('SELECT count(*) AS n FROM winding_entries WHERE boat_id = $1', [
      b.boatId,
    ]);
    expect(kept.rows).toEqual(rows.rows);
    expect((await acts()).every((act) => act.request === 'undoActs' || act.undoneBy !== null)).toBe(true);
  });

  it('goes on from where it was undone: the same rod is wound again', async () => {
    const done = await walkThrough();
    must((await undo(done[2]?.id ?? '')).outcome);
    const begun = must((await ask('beginWinding', rig(), { version: 4, levelBelowRimM: 0.003 })).outcome) as {
      loadId: string;
    };
    const record: RigRecord | null = await readRigRecord(b.boatId, b.rigId);
    expect(record?.load).toMatchObject({ id: begun.loadId, status: 'winding', winding: [] });
    expect(record?.calibration).toBeNull();
    expect(record?.trials).toEqual([]);
  });

  it('is never undone over what was not seen', async () => {
    const done = await walkThrough();
    const [last, before] = [done.at(-1)?.id, done.at(-2)?.id];
    expect((await ask('undoActs', rig(), { fromId: before, newestId: before })).outcome).toMatchObject({ status: 409 });
    expect((await ask('undoActs', rig(), { fromId: randomUUID(), newestId: last })).outcome).toMatchObject({
      status: 404,
    });
    must((await undo(last ?? '')).outcome);
    expect((await undo(last ?? '')).outcome).toMatchObject({ status: 409, why: { reason: 'undone-already' } });
  });

  it('gives a spool back what was taken, and is not brought back when others have taken it since', async () => {
    const done = await walkThrough();
    const left = async () => (await readRigRecord(b.boatId, b.rigId))?.supplySpools[0]?.remainingLengthM;
    const after = await left();
    expect(after).toBeGreaterThan(255);
    expect(after).toBeLessThan(270);
    const finish = (await acts()).find((act) => act.request === 'finishWinding')?.id ?? '';
    const undone = await undo(finish);
    must(undone.outcome);
    expect(await left()).toBe(300);
    await asOwner(
      `INSERT INTO supply_debits (boat_id, supply_spool_id, load_id, segment_id, length_m)
       SELECT boat_id, supply_spool_id, load_id, segment_id, 290 FROM supply_debits WHERE boat_id = $1 LIMIT 1`,
      [b.boatId],
    );
    expect((await undo(undone.id)).outcome).toMatchObject({ status: 409, why: { reason: 'spool-used-since' } });
    expect(await left()).toBeCloseTo(10, 9);
    expect(done).toHaveLength(11);
  });
});

describe('an act', () => {
  it('cannot be changed or taken out, only undone', async () => {
    await walkThrough();
    await expect(asOwner("UPDATE acts SET request = 'x'")).rejects.toThrow(/stays as it was done/);
    await expect(asOwner('DELETE FROM acts')).rejects.toThrow(/stays as it was done/);
  });

  it('that was refused is none', async () => {
    const refused = await ask('beginWinding', rig(), { version: 99, levelBelowRimM: 0.002 });
    expect(refused.outcome.ok).toBe(false);
    expect(await acts()).toEqual([]);
  });
});
