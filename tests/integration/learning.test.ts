import { reelInput } from '../../usecases/gear/gearInput';
import { finishInput, windingInput } from '../../usecases/load/loadInput';
import {
  addSupplySpool,
  beginWinding,
  changeLength,
  createReel,
  createRig,
  finishWinding,
  forgetReel,
  noteColour,
  noteWinding,
  readGear,
  readRigRecord,
  recordReverseFill,
  replaceSegment,
  saveStack,
  withdraw,
} from './acts';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

let b: Bench;

beforeAll(freshDatabase);
beforeEach(async () => {
  b = await bench(`Boat ${Math.trunc(performance.now() * 1000)}`);
});
afterAll(closeDatabase);

async function record() {
  const found = await readRigRecord(b.boatId, b.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}

async function begin(): Promise<string> {
  const { version } = await record();
  return must(await beginWinding(b.boatId, b.rigId, { version, levelBelowRimM: 0.002 })).loadId;
}

async function windAll(loadId: string): Promise<void> {
  const { load } = await record();
  for (const segment of load?.segments ?? []) {
    const note = windingInput.parse({ segmentId: segment.segmentId, reading: segment.stopReading });
    must(await noteWinding(b.boatId, b.rigId, loadId, note));
  }
}

const finish = (loadId: string, levelBelowRimM: number, supplies: unknown[] = []) =>
  finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM, supplies }));

const idOf = (index: number): string => b.stack.segments[index]?.id ?? '';

const shelf = async (lineIndex: number, lengthM: number): Promise<string> =>
  must(
    await addSupplySpool(b.boatId, {
      lineProductId: b.lineIds[lineIndex] ?? '',
      label: `Shelf ${lineIndex} ${lengthM}`,
      boughtLengthM: lengthM,
      remainingLengthM: lengthM,
    }),
  ).id;

describe('learning', () => {
  it('begins with the first finished load and ends with a reset', async () => {
    expect((await record()).knowledge.depth).toBe('measured');
    const loadId = await begin();
    await windAll(loadId);
    must(await finish(loadId, 0.0028));
    const learned = await record();
    expect(learned.knowledge).toMatchObject({ depth: 'learned', loadsSeen: 1 });
    expect(learned.products.some((product) => product.packing.source === 'learned')).toBe(true);
    must(await forgetReel(b.boatId, b.reelId, 'a new spool'));
    const forgotten = await record();
    expect(forgotten.knowledge).toMatchObject({ depth: 'measured', loadsSeen: 0 });
    expect(forgotten.knowledge.resetAt).not.toBeNull();
    expect(forgotten.load?.status).toBe('wound');
    expect(await forgetReel(b.boatId, b.rigId, 'no such reel')).toMatchObject({ status: 404 });
  });

  it('takes a reverse fill as capacity, and its withdrawal', async () => {
    const fill = {
      levelBelowRimM: 0.002,
      evenTension: true,
      laidBy: null,
      tensionN: null,
      note: '',
      segments: [
        { productId: b.lineIds[1] ?? '', lengthM: 45 },
        { productId: b.lineIds[0] ?? '', lengthM: 160 },
      ],
    };
    const { id } = must(await recordReverseFill(b.boatId, b.reelId, fill));
    expect((await record()).knowledge.depth).toBe('learned');
    expect((await record()).reverseFills[0]?.segments).toEqual(fill.segments);
    must(await withdraw(b.boatId, { kind: 'reverseFill', id, rigId: b.rigId, reason: 'wrong spool' }));
    expect((await record()).knowledge.depth).toBe('measured');
    const strange = { ...fill, segments: [{ productId: b.rigId, lengthM: 10 }] };
    expect(await recordReverseFill(b.boatId, b.reelId, strange)).toMatchObject({ status: 422 });
  });

  it('plans on a reel that only its ratings tell of', async () => {
    const rated = { ...REEL, name: 'Rated only', arborDiameterM: null, widthM: null, fullDiameterM: null };
    expect(reelInput.safeParse(rated).success).toBe(false);
    const ratings = [
      { label: '0.40 mm / 300 m', lineDiameterM: 0.0004, lengthM: 300 },
      { label: '0.35 mm / 410 m', lineDiameterM: 0.00035, lengthM: 410 },
    ];
    const reelId = must(await createReel(b.boatId, reelInput.parse({ ...rated, ratings }))).id;
    const rigId = must(await createRig(b.boatId, { name: 'Rated rod', note: '', reelId })).id;
    const [first] = b.stack.segments;
    if (!first) throw new Error('the fixture is broken');
    const segment = { ...first, id: crypto.randomUUID(), name: 'Nylon' };
    must(await saveStack(b.boatId, rigId, { version: 1, segments: [segment], joins: [], fill: null }));
    const rig = await readRigRecord(b.boatId, rigId);
    expect(rig?.knowledge.depth).toBe('ratings');
    expect(rig?.reel.measured.fullDiameterM).toBeNull();
    expect(rig?.knowledge.evidence.map((each) => each.name)).toEqual(['0.35 mm / 410 m', '0.40 mm / 300 m']);
    const { loadId } = must(await beginWinding(b.boatId, rigId, { version: 2, levelBelowRimM: 0.002 }));
    const loaded = await readRigRecord(b.boatId, rigId);
    // 300 m of 0.40 fill it, so 0.40 nylon wants about that.
    expect(loaded?.load?.id).toBe(loadId);
    expect(loaded?.load?.segments[0]?.plannedLengthM).toBeGreaterThan(230);
    expect(loaded?.load?.segments[0]?.plannedLengthM).toBeLessThan(330);
  });
});

describe('the shelf', () => {
  it('is debited with the finish, by what went on', async () => {
    const spoolId = await shelf(1, 100);
    const loadId = await begin();
    await windAll(loadId);
    must(await finish(loadId, 0.002, [{ segmentId: idOf(1), supplySpoolId: spoolId }]));
    const gear = await readGear(b.boatId);
    expect(gear?.supplySpools.find((spool) => spool.id === spoolId)?.remainingLengthM).toBeCloseTo(55, 6);
  });

  it('refuses the whole finish when a spool cannot have given it, and keeps nothing of it', async () => {
    const enough = await shelf(0, 500);
    const short = await shelf(1, 20);
    const loadId = await begin();
    await windAll(loadId);
    const refused = await finish(loadId, 0.002, [
      { segmentId: idOf(0), supplySpoolId: enough },
      { segmentId: idOf(1), supplySpoolId: short },
    ]);
    expect(refused).toMatchObject({
      ok: false,
      status: 409,
      why: { reason: 'spool-has-less', figures: { remainingM: 20 } },
    });
    const { load, supplySpools } = await record();
    expect(load?.status).toBe('winding');
    expect(supplySpools.find((spool) => spool.id === enough)?.remainingLengthM).toBe(500);
    const other = await finish(loadId, 0.002, [{ segmentId: idOf(1), supplySpoolId: enough }]);
    expect(other).toMatchObject({ status: 422, why: { reason: 'spool-of-another-line' } });
  });
});

describe('while winding', () => {
  it('keeps colour changes, corrects them, and refuses what cannot be', async () => {
    const segments = b.stack.segments.map((s, i) => (i === 1 ? { ...s, colours: ['red', 'green', 'blue'] } : s));
    must(await saveStack(b.boatId, b.rigId, { ...b.stack, version: 2, segments }));
    const loadId = await begin();
    const first = (await record()).load?.segments[0];
    must(
      await noteWinding(
        b.boatId,
        b.rigId,
        loadId,
        windingInput.parse({ segmentId: idOf(0), reading: first?.stopReading }),
      ),
    );
    const colour = (coloursOn: number, reading: number, index = 1) =>
      noteColour(b.boatId, b.rigId, loadId, { segmentId: idOf(index), coloursOn, reading, instrument: 'eye' });
    must(await colour(1, 983));
    must(await colour(1, 982));
    expect((await record()).load?.colourReadings.map((each) => each.reading)).toEqual([982]);
    expect(await colour(3, 950)).toMatchObject({ status: 422 });
    expect(await colour(2, 1000)).toMatchObject({ status: 422 });
    expect(await colour(1, 900, 2)).toMatchObject({ status: 404 });
    const id = (await record()).load?.colourReadings[0]?.id ?? '';
    must(await withdraw(b.boatId, { kind: 'colour', id, rigId: b.rigId, reason: 'looked too late' }));
    expect((await record()).load?.colourReadings).toEqual([]);
  });

  it('takes a meter as true length and counted turns as turns', async () => {
    const loadId = await begin();
    const [backing] = (await record()).load?.segments ?? [];
    const entry = { segmentId: idOf(0), reading: backing?.stopReading, meteredLengthM: 123.4, turnsCounted: 900 };
    must(await noteWinding(b.boatId, b.rigId, loadId, windingInput.parse(entry)));
    const noted = (await record()).load?.winding[0];
    expect(noted).toMatchObject({ meteredLengthM: 123.4, turnsCounted: 900 });
  });
});

describe('a worn top shot', () => {
  it('is replaced in one act: line, shelf and log', async () => {
    const spoolId = await shelf(0, 150);
    const loadId = await begin();
    await windAll(loadId);
    must(await finish(loadId, 0.002));
    must(await changeLength(b.boatId, b.rigId, loadId, { segmentId: idOf(2), changeM: 12, reason: 'lost', note: '' }));
    const replace = (change: object) =>
      replaceSegment(b.boatId, b.rigId, loadId, {
        segmentId: idOf(2),
        productId: b.lineIds[0] ?? '',
        lengthM: 40,
        supplySpoolId: spoolId,
        note: '',
        ...change,
      });
    expect(await replace({ segmentId: idOf(1) })).toMatchObject({ status: 409 });
    expect(await replace({ lengthM: 400 })).toMatchObject({ status: 409 });
    expect((await record()).load?.replacements).toEqual([]);
    must(await replace({}));
    const after = await record();
    expect(after.load?.replacements[0]).toMatchObject({ lengthM: 40, segmentId: idOf(2) });
    expect(after.supplySpools.find((spool) => spool.id === spoolId)?.remainingLengthM).toBeCloseTo(110, 6);
    expect(after.log[0]?.entry).toMatchObject({
      reason: 'line-replaced',
      figures: { segment: 'Top shot', lengthM: 40, product: expect.stringContaining('Nylon 0.40') as string },
    });
  });
});
