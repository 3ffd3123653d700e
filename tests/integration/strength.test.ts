import { rigView } from '../../core/rig/view/rigView';
import { productStrength } from '../../core/rig/strength/strengthOfRig';
import { sessionInput } from '../../usecases/strength/strengthInput';
import { chooseMeantPlace, movePull, planSession, readRigRecord, recordStrengthPull, withdraw } from './acts';
import { closeDatabase, freshDatabase } from './database';
import { askOf } from './ask';
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
    const asked = (await record()).strengthTests[0];
    // Twice what the others broke at: it is asked about, and does not count.
    expect(asked?.pulls.map((each) => each.peakN)).toEqual([118, 121]);
    const wrongId = asked?.openPulls[0]?.id ?? '';
    const to = { expectedN: 200, reason: 'copper was in the grips' };
    const [firstLine, secondLine] = [first.productId, second.productId];
    expect(await movePull(b.boatId, wrongId, { ...to, productId: firstLine })).toMatchObject({ status: 409 });
    expect(await movePull(other.boatId, wrongId, { ...to, productId: secondLine })).toMatchObject({ status: 404 });
    must(await movePull(b.boatId, wrongId, { ...to, productId: secondLine }));
    const [after, moved] = (await record()).strengthTests;
    expect(after).toMatchObject({ pulls: [{ peakN: 118 }, { peakN: 121 }], openPulls: [] });
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

describe('a pull far from what is expected', () => {
  const odd = { breakPlace: 'middle' as const, instrument: 'by hand' };

  it('counts for nothing until somebody has said that it is right', async () => {
    const test = (await record()).strengthTests[0];
    const noted = must(await recordStrengthPull(b.boatId, test?.id ?? '', { ...odd, peakN: 30 }));
    expect(noted.heldOut).toBe(true);
    const before = test?.pulls.length ?? 0;
    expect((await record()).strengthTests[0]?.pulls).toHaveLength(before);
    const said = { kind: 'strengthPull', id: noted.id, rigId: b.rigId };
    expect((await askOf(other.boatId, 'answer', {}, { ...said, rigId: other.rigId })).outcome).toMatchObject({
      status: 404,
    });
    must((await askOf(b.boatId, 'answer', {}, said)).outcome);
    const after = (await record()).strengthTests[0];
    expect(after).toMatchObject({ openPulls: [] });
    expect(after?.pulls.at(-1)?.peakN).toBe(30);
    expect((await askOf(b.boatId, 'answer', {}, said)).outcome).toMatchObject({ status: 404 });
  });

  it('or an earlier one can be corrected, with a reason, and both rows stay', async () => {
    const wrong = (await record()).strengthTests[0]?.pulls.at(-1);
    const right = { peakN: 120, breakPlace: 'grip', reason: 'read in the wrong unit' };
    must((await askOf(b.boatId, 'correctPull', { pullId: wrong?.id ?? '' }, right)).outcome);
    const pulls = (await record()).strengthTests[0]?.pulls ?? [];
    expect(pulls.at(-1)).toMatchObject({ peakN: 120, breakPlace: 'grip', note: 'read in the wrong unit' });
    expect(pulls.some((pull) => pull.id === wrong?.id)).toBe(false);
    expect((await askOf(b.boatId, 'correctPull', { pullId: wrong?.id ?? '' }, right)).outcome).toMatchObject({
      status: 404,
    });
  });

  it('can be moved to a line that has no test yet', async () => {
    const { outcome } = await askOf(
      b.boatId,
      'createLine',
      {},
      {
        ...{ name: 'Never tested', material: 'nylon', diameterM: 0.0005, diameterSource: 'label', labelStrengthN: 150 },
      },
    );
    const { id: productId } = must(outcome) as { id: string };
    const pull = (await record()).strengthTests[0]?.pulls.at(-1);
    const to = { productId, expectedN: 180, reason: 'the new spool was in the grips' };
    must((await askOf(b.boatId, 'movePull', { pullId: pull?.id ?? '' }, to)).outcome);
    const test = (await record()).strengthTests.find((each) => each.productId === productId);
    expect(test).toMatchObject({ expectedN: 180, condition: 'soaked', pulls: [{ peakN: 120 }] });
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
