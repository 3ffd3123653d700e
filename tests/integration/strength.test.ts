import { rigView } from '../../core/rig/view/rigView';
import { productStrength } from '../../core/rig/strength/strengthOfRig';
import { sessionInput } from '../../usecases/strength/strengthInput';
import { chooseMeantPlace, movePull, planSession, readRigRecord, recordStrengthPull, withdraw } from './acts';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, type Bench } from './gear';

let b: Bench;
let other: Bench;

beforeAll(async () => {
  await freshDatabase();
  b = await bench('Second Thought');
  other = await bench('Halyard Lark');
});
afterAll(closeDatabase);

async function record() {
  const found = await readRigRecord(b.boatId, b.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}

const session = (productIds: readonly string[]) =>
  sessionInput.parse({
    name: 'Winter pulls',
    condition: 'soaked',
    gaugeLengthM: 0.5,
    pullsEach: 3,
    lines: productIds.map((productId) => ({ productId, expectedN: 120 })),
  });

describe('a session of pulls', () => {
  it('writes down what is expected of each line before the first pull, of this boat only', async () => {
    expect(await planSession(b.boatId, session([other.lineIds[0] ?? '']))).toMatchObject({ status: 404 });
    const { id } = must(await planSession(b.boatId, session(b.lineIds)));
    const { strengthSessions, strengthTests } = await record();
    expect(strengthSessions).toMatchObject([{ id, name: 'Winter pulls', pullsEach: 3 }]);
    expect(strengthTests).toHaveLength(2);
    expect(strengthTests.every((test) => test.sessionId === id && test.expectedN === 120)).toBe(true);
  });

  it('moves a pull to the spool that was really in the grips, and keeps both rows', async () => {
    const [first, second] = (await record()).strengthTests;
    if (!first || !second) throw new Error('no tests');
    const pull = { breakPlace: 'middle' as const, instrument: 'by hand' };
    for (const peakN of [118, 121, 240]) must(await recordStrengthPull(b.boatId, first.id, { ...pull, peakN }));
    const wrong = (await record()).strengthTests[0]?.pulls.at(-1);
    const move = { pullId: wrong?.id ?? '', reason: 'copper was in the grips' };
    expect(await movePull(b.boatId, first.id, move)).toMatchObject({ status: 409 });
    expect(await movePull(other.boatId, second.id, move)).toMatchObject({ status: 404 });
    must(await movePull(b.boatId, second.id, move));
    const [after, moved] = (await record()).strengthTests;
    expect(after?.pulls.map((each) => each.peakN)).toEqual([118, 121]);
    expect(moved?.pulls).toMatchObject([{ peakN: 240, note: 'copper was in the grips' }]);
    // Taken back, it is gone from both, and still on record.
    must(
      await withdraw(b.boatId, { kind: 'strengthPull', id: moved?.pulls[0]?.id ?? '', rigId: b.rigId, reason: 'slip' }),
    );
    expect((await record()).strengthTests[1]?.pulls).toEqual([]);
  });

  it('makes wet pulls count before dry ones', async () => {
    const rig = await record();
    const [productId = ''] = b.lineIds;
    expect(productStrength(rig, productId)).toMatchObject({ condition: 'soaked and dry', summary: { n: 2 } });
    const test = rig.strengthTests.find((each) => each.productId === productId);
    must(
      await recordStrengthPull(b.boatId, test?.id ?? '', { peakN: 119, breakPlace: 'middle', instrument: 'by hand' }),
    );
    expect(productStrength(await record(), productId)).toMatchObject({ condition: 'soaked', summary: { n: 3 } });
  });
});

describe('the place that is meant to break', () => {
  it('is one of this rig, and can be left to the outermost line', async () => {
    const { joins } = await record();
    const join = joins.find((each) => each.innerSegmentId !== null);
    must(await chooseMeantPlace(b.boatId, b.rigId, join?.id ?? ''));
    expect((await record()).meantPlaceId).toBe(join?.id);
    expect(await chooseMeantPlace(b.boatId, b.rigId, other.rigId)).toMatchObject({ status: 404 });
    must(await chooseMeantPlace(b.boatId, b.rigId, null));
    expect((await record()).meantPlaceId).toBeNull();
    expect(rigView(await record())?.strength?.weakest).toBeDefined();
  });
});
