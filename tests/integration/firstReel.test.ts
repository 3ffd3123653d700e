import { planForRig } from '../../core/rig/line/planForRig';
import { plannedLevelM } from '../../core/rig/line/fillOfRig';
import { firstReelInput } from '../../usecases/firstReel/firstReelInput';
import { makeBoat, makeFirstRig, readRigRecord } from './acts';
import { asOwner, closeDatabase, freshDatabase } from './database';
import { must } from './gear';

let boatId: string;
beforeAll(async () => {
  await freshDatabase();
  boatId = await makeBoat('Halyard Lark', 'Ormund Sound');
});
afterAll(closeDatabase);

const ASKED = {
  ...{ name: 'Counter reel 30', holdsM: 240, ofThicknessM: 0.00038, countsIn: 'feet', material: 'braid' },
  ...{ thicknessM: 0.00026, lengthM: 150, backingThicknessM: 0.0004 },
} as const;
const make = (over: object = {}) => makeFirstRig(boatId, firstReelInput.parse({ ...ASKED, ...over }));
const rowsOf = async (table: string): Promise<number> => (await asOwner(`SELECT 1 FROM ${table}`)).rowCount ?? 0;

describe('a first reel', () => {
  it('is a reel by its box, two lines, a rig and a plan whose backing is worked out, with its ±', async () => {
    const { id } = must(await make());
    const record = await readRigRecord(boatId, id);
    if (!record) throw new Error('the rig is gone');
    expect(record.reel).toMatchObject({ name: 'Counter reel 30', counter: { unitM: 0.3048 } });
    expect(record.reel.ratings).toMatchObject([{ lineDiameterM: 0.00038, lengthM: 240 }]);
    expect(record.products.map(({ material }) => material).toSorted()).toEqual(['braid', 'nylon']);
    const plan = planForRig(record, plannedLevelM(record));
    if (!plan.ok) throw new Error(plan.reason);
    const backing = plan.value.segments[0]?.lengthM;
    // By hand, all packed alike: 240 m of 0.38 mm less 150 m of 0.26 mm leave room for about 153 m of 0.40 mm; a level under the rim takes some of it.
    expect(backing?.value).toBeGreaterThan(100);
    expect(backing?.value).toBeLessThan(165);
    expect(backing?.plusMinus).toBeGreaterThan(5);
    expect(record.planJoins.map(({ kind }) => kind)).toEqual(['arbor-sliding-knot', 'double-sliding-knot']);
  });

  it('takes one line for both where they are alike, and needs no counter', async () => {
    const alike = {
      name: 'Plain reel',
      countsIn: 'no counter',
      material: 'nylon',
      thicknessM: 0.0003,
      backingThicknessM: null,
    };
    const { id } = must(await make({ ...alike, lengthM: 40 }));
    const record = await readRigRecord(boatId, id);
    expect(new Set(record?.segments.map(({ productId }) => productId)).size).toBe(1);
    expect(record?.reel.counter).toBeNull();
  });

  it('is refused whole where the line does not fit: nothing of it stays', async () => {
    const before = await Promise.all(['reels', 'line_products', 'rigs'].map(rowsOf));
    expect(await make({ name: 'Too small', lengthM: 2000 })).toMatchObject({ ok: false });
    expect(await Promise.all(['reels', 'line_products', 'rigs'].map(rowsOf))).toEqual(before);
  });
});
