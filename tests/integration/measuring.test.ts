import { randomUUID } from 'node:crypto';
import { NOBODY, withBoat } from '../../db/withBoat';
import { USUAL_RANGE } from '../../core/rig/line/workingRange';
import { readAtAGlance } from '../../usecases/rigs/locker';
import { readMeasuring } from '../../usecases/rigs/measuring';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { createRig, createReel, look, readRigRecord, saveStack } from './acts';
import { askOf } from './ask';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

let b: Bench;

beforeAll(freshDatabase);
beforeEach(async () => {
  b = await bench(`Boat ${Math.trunc(performance.now() * 1000)}`);
});
afterAll(closeDatabase);

const ask = async <N extends RequestName>(name: N, params: Omit<RequestParams<N>, 'boatId'>, body: unknown) =>
  (await askOf(b.boatId, name, params, body)).outcome;
const record = async () => {
  const read = await readRigRecord(b.boatId, b.rigId);
  if (!read) throw new Error('the rig is gone');
  return read;
};
const line = async () => {
  const found = (await record()).products.find((each) => each.id === b.lineIds[0]);
  if (!found) throw new Error('the line is gone');
  return found;
};
const measuring = (minutes: number) => look(readMeasuring)(b.boatId, '', 1, minutes);

/** A second rod with the same nylon on a reel of which only a capacity is known, its backing worked out. */
async function twin(): Promise<string> {
  const ratings = [{ label: '0.40', lineDiameterM: 0.0004, lengthM: 330 }];
  const unmeasured = { ...REEL, name: 'Twin', arborDiameterM: null, widthM: null, fullDiameterM: null, ratings };
  const reelId = must(await createReel(b.boatId, unmeasured)).id;
  const rigId = must(await createRig(b.boatId, { name: 'Twin rod', note: '', reelId })).id;
  const own = new Map(b.stack.segments.map(({ id }) => [id, randomUUID()]));
  const segments = b.stack.segments.map((segment) => ({ ...segment, id: own.get(segment.id) ?? '' }));
  const joins = b.stack.joins.map(({ innerSegmentId, outerSegmentId, kind, part }) => ({
    innerSegmentId: innerSegmentId === null ? null : (own.get(innerSegmentId) ?? ''),
    outerSegmentId: own.get(outerSegmentId) ?? '',
    kind,
    part,
  }));
  must(await saveStack(b.boatId, rigId, { version: 1, segments, joins, fill: null }));
  return rigId;
}

describe('a measurement that was made', () => {
  it('of a line takes the place of its label, with the ± of that very measurement', async () => {
    const lineId = b.lineIds[0] ?? '';
    const { version } = await line();
    must(await ask('measureLine', { lineId }, { version, read: { way: 'wraps', wraps: 25, rowWidthM: 0.0105 } }));
    const wrapped = await line();
    expect(wrapped.diameterM).toMatchObject({ source: 'measured', value: expect.closeTo(0.00042, 9) as number });
    // 0.3 mm over 25 wraps, and 3 % for how they flatten.
    expect(wrapped.diameterM.sd).toBeCloseTo(Math.hypot(0.0003 / 25, 0.03 * 0.00042), 9);
    const stale = await ask(
      'measureLine',
      { lineId },
      { version, read: { way: 'caliper', readingsM: [0.0004, 0.0004] } },
    );
    expect(stale).toMatchObject({ ok: false, status: 409 });
    const read = { way: 'caliper', readingsM: [0.00041, 0.00043, 0.00042] };
    must(await ask('measureLine', { lineId }, { version: wrapped.version, read }));
    expect((await line()).diameterM).toMatchObject({ value: expect.closeTo(0.00042, 9) as number, sd: 0.00001 });
    expect(await ask('measureLine', { lineId: randomUUID() }, { version: 1, read })).toMatchObject({ status: 404 });
  });

  it('of a line on a scale is kept as the weight of a metre', async () => {
    const lineId = b.lineIds[0] ?? '';
    const { version, diameterM } = await line();
    must(await ask('measureLine', { lineId }, { version, read: { way: 'weighed', massKgPerM: 0.0031 } }));
    expect(await line()).toMatchObject({ massKgPerM: 0.0031, diameterM, version: version + 1 });
    const again = ask('measureLine', { lineId }, { version, read: { way: 'weighed', massKgPerM: 0.002 } });
    expect(await again).toMatchObject({ ok: false, status: 409 });
    await expect(ask('measureLine', { lineId }, { version, read: { way: 'weighed', massKgPerM: 40 } })).rejects.toThrow(
      /weight of a metre/i,
    );
  });

  it('of a line that no line can have is refused with a sentence', async () => {
    const [lineId, { version }] = [b.lineIds[0] ?? '', await line()];
    const wraps = { way: 'wraps', wraps: 20, rowWidthM: 0.2 };
    await expect(ask('measureLine', { lineId }, { version, read: wraps })).rejects.toThrow(/no line is so thin/i);
    const once = { way: 'caliper', readingsM: [0.0004] };
    await expect(ask('measureLine', { lineId }, { version, read: once })).rejects.toThrow(/two places/);
  });

  it('of a reel of which only a capacity is known brings its figures, and an arbor wider than the rim is refused', async () => {
    const rigId = await twin();
    const read = async () => {
      const twinRig = await readRigRecord(b.boatId, rigId);
      if (!twinRig) throw new Error('the twin is gone');
      return twinRig.reel;
    };
    const { id: reelId, version, measured } = await read();
    expect(measured.fullDiameterM).toBeNull();
    must(await ask('measureReel', { reelId }, { version, what: 'rim', valueM: 0.062 }));
    const after = await read();
    expect(after.measured).toMatchObject({ fullDiameterM: 0.062, arborDiameterM: null });
    const wide = await ask('measureReel', { reelId }, { version: after.version, what: 'arbor', valueM: 0.07 });
    expect(wide).toMatchObject({ ok: false, why: { reason: 'arbor-above-rim' } });
    const stale = await ask('measureReel', { reelId }, { version, what: 'width', valueM: 0.03 });
    expect(stale).toMatchObject({ ok: false, status: 409 });
    await expect(ask('measureReel', { reelId }, { version: 1, what: 'rim', valueM: 3 })).rejects.toThrow(/more than/);
  });
});

describe('the list of what to measure next', () => {
  it('joins what teaches several rods, and fits the time', async () => {
    await twin();
    const { version, name, labelStrengthN, family, colours, colourLengthM } = await line();
    const labelled = { name, material: 'nylon', diameterM: 0.0004, diameterSource: 'label', labelStrengthN };
    const asIs = { version, line: { ...labelled, family, colours, colourLengthM } };
    must(await ask('changeLine', { lineId: b.lineIds[0] ?? '' }, asIs));
    const { options, set, figures, first } = await measuring(12);
    expect(first).toEqual([]);
    expect(new Set(figures.map(({ rigName }) => rigName))).toEqual(new Set(['Test rod', 'Twin rod']));
    const caliper = options.find((each) => each.kind === 'line-caliper' && each.of === b.lineIds[0]);
    expect(new Set(caliper?.narrows.map(({ figureId }) => figureId.split(' ')[0])).size).toBe(2);
    expect(options.some((each) => each.kind === 'rim')).toBe(true);
    expect(set.steps.length).toBeGreaterThan(1);
    expect(set.minutes).toBeLessThanOrEqual(12);
    for (const { plusMinus, plusMinusAfter } of set.figures) expect(plusMinusAfter).toBeLessThanOrEqual(plusMinus);
  });

  it('gives another order to rods with other evidence', async () => {
    await twin();
    const { options, figures } = await measuring(30);
    const orderOf = (rod: string): readonly string[] => {
      const ids = figures.filter(({ rigName, kind }) => rigName === rod && kind === 'length').map(({ id }) => id);
      return options
        .filter(({ narrows }) => narrows.some(({ figureId }) => ids.includes(figureId)))
        .map(({ kind }) => kind);
    };
    // One was calipered, of the other only a capacity is known.
    expect(orderOf('Test rod')).not.toContain('rim');
    expect(orderOf('Twin rod')).toContain('rim');
  });

  it('reckons with the minutes that the crew says, and refuses a time of nothing', async () => {
    const before = (await measuring(30)).options[0];
    must(await ask('setMinutes', {}, { minutes: { [before?.kind ?? 'walk']: 200 } }));
    const { options, minutes } = await measuring(30);
    expect(minutes).toEqual([{ kind: before?.kind, minutes: 200, from: 'said' }]);
    expect(options.at(-1)?.kind).toBe(before?.kind);
    await expect(ask('setMinutes', {}, { minutes: { walk: 0 } })).rejects.toThrow(/less than anything/);
    must(await ask('setMinutes', {}, { minutes: {} }));
    expect((await measuring(30)).minutes).toEqual([]);
  });

  it('learns from the crew’s own log how long a walk takes them', async () => {
    const at = Date.parse('2026-05-01T09:00:00Z');
    await withBoat(NOBODY, b.boatId, 'write', async (db) => {
      for (const [minutes, instrument] of [
        [0, 'read by eye'],
        [7, 'read by eye'],
        [13, 'read by eye'],
        [19.5, 'read by eye'],
        // A reading that was streamed took no walk, and a night in between no measurement.
        [20, 'virtual counter reel'],
        [700, 'read by eye'],
      ] as const) {
        const asked = JSON.stringify({ kind: 'tape', instrument });
        await db.query(
          `INSERT INTO acts (id, boat_id, rig_id, request, asked, noted_at) VALUES ($1, $2, $3, 'recordTrial', $4, $5)`,
          [randomUUID(), b.boatId, b.rigId, asked, new Date(at + 60_000 * minutes).toISOString()],
        );
      }
    });
    expect((await record()).minutes).toEqual([
      { kind: 'walk', minutes: expect.closeTo(6.5, 6) as number, from: 'log' },
    ]);
  });
});

describe('a working range of its own', () => {
  it('is kept with the rig, goes back to the usual one, and is refused the wrong way round', async () => {
    const rig = { rigId: b.rigId };
    expect((await record()).workingRange).toBeNull();
    must(await ask('noteWorkingRange', rig, { range: { fromM: 25, toM: 45 } }));
    expect((await record()).workingRange).toEqual({ fromM: 25, toM: 45 });
    await expect(ask('noteWorkingRange', rig, { range: { fromM: 45, toM: 25 } })).rejects.toThrow(/farther out/);
    must(await ask('chooseReach', rig, { kind: 'run', runM: 80 }));
    expect((await record()).reach).toEqual({ kind: 'run', runM: 80 });
    await expect(ask('chooseReach', rig, { kind: 'ocean', runM: null })).rejects.toThrow(/option/);
    must(await ask('noteWorkingRange', rig, { range: null }));
    expect((await record()).workingRange).toBeNull();
    expect(USUAL_RANGE).toEqual({ fromM: 18.288, toM: 76.2 });
  });
});

describe('where a rod stands', () => {
  it('is kept with the rig and shown at a glance, can be taken back, is no place that a boat has not, and goes to no twin', async () => {
    const rig = { rigId: b.rigId };
    const seen = async () => (await look(readAtAGlance)(b.boatId)).rods.find(({ id }) => id === b.rigId)?.position;
    expect(await seen()).toBeNull();
    must(await ask('noteRodPosition', rig, { position: 'starboard' }));
    expect(await seen()).toBe('starboard');
    expect((await record()).rodPosition).toBe('starboard');
    await expect(ask('noteRodPosition', rig, { position: 'crow’s nest' })).rejects.toThrow(/option/);
    const { id: reelId } = must(await createReel(b.boatId, { ...REEL, name: 'Of the twin' }));
    const twin = must(
      await createRig(b.boatId, { name: 'Twin', note: '', reelId, like: { from: 'rig', id: b.rigId } }),
    );
    // One place, one rod: where the twin stands is for somebody to say.
    expect((await readRigRecord(b.boatId, twin.id))?.rodPosition).toBeNull();
    must(await ask('noteRodPosition', rig, { position: null }));
    expect(await seen()).toBeNull();
  });
});
