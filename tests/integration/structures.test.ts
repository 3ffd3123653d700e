import { schoolsOf } from '../../core/joins/schools';
import type { JoinKind } from '../../core/joins/joinKinds';
import type { JoinRecord, RigRecord } from '../../core/record/record';
import { standingOnRig } from '../../core/rig/joins/joinsOfRig';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { beginWinding, changeJoinKind, createRig, createReel, readRigRecord, readTieLists, tieJoin } from './acts';
import { askOf } from './ask';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

let b: Bench;

beforeAll(async () => {
  await freshDatabase();
  b = await bench('Second Thought');
});
afterAll(closeDatabase);

const record = async (rigId = b.rigId): Promise<RigRecord> => {
  const found = await readRigRecord(b.boatId, rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
};
async function ask<N extends RequestName>(name: N, params: object, body: unknown): Promise<void> {
  const named = { rigId: b.rigId, ...params } as unknown as Omit<RequestParams<N>, 'boatId'>;
  must((await askOf(b.boatId, name, named, body)).outcome);
}
const outer = (): string => b.stack.segments[2]?.id ?? '';
const at = (joins: readonly JoinRecord[]) => joins.filter((join) => join.outerSegmentId === outer());
const told = (joins: readonly JoinRecord[]) => at(joins).map(({ part, kind }) => `${part} ${kind}`);

async function tie(join: JoinRecord | undefined, seatedN: number) {
  const [school] = schoolsOf(join?.kind ?? 'loop-to-loop');
  const stepsDone = school?.steps.map((step) => step.id) ?? [];
  const tied = { school: school?.id ?? '', personId: null, seatedN, stepsDone, pullTested: true, note: '' };
  return tieJoin(b.boatId, b.rigId, join?.id ?? '', tied);
}

async function change(kind: JoinKind, ends: { inner: JoinKind | null; outer: JoinKind | null }) {
  const [first] = at((await record()).planJoins);
  return changeJoinKind(b.boatId, b.rigId, first?.id ?? '', kind, ends);
}

describe('several structures at one place', () => {
  it('are planned together, and the same again is refused', async () => {
    must(await change('loop-to-loop', { inner: 'wire-loop', outer: 'tied-loop' }));
    expect(told((await record()).planJoins)).toEqual(['inner wire-loop', 'outer tied-loop', 'join loop-to-loop']);
    expect(await change('loop-to-loop', { inner: 'wire-loop', outer: 'tied-loop' })).toMatchObject({ status: 409 });
    must(await change('loop-to-loop', { inner: 'wire-loop', outer: 'long-loop-twist' }));
    expect(told((await record()).planJoins)).toEqual(['inner wire-loop', 'outer long-loop-twist', 'join loop-to-loop']);
  });

  it('are none at the arbor', async () => {
    const arbor = (await record()).planJoins.find(({ innerSegmentId }) => innerSegmentId === null);
    expect(
      await changeJoinKind(b.boatId, b.rigId, arbor?.id ?? '', 'loop-to-loop', { inner: null, outer: 'tied-loop' }),
    ).toMatchObject({ status: 422, why: { reason: 'arbor-has-no-ends' } });
  });

  it('go on with the load, and are tied, seated and aged each on its own', async () => {
    const planned = await record();
    const { loadId } = must(await beginWinding(b.boatId, b.rigId, { version: planned.version, levelBelowRimM: 0.002 }));
    for (const segment of (await record()).load?.segments ?? []) {
      await ask('noteWinding', { loadId }, { segmentId: segment.segmentId, reading: segment.stopReading });
    }
    await ask('finishWinding', { loadId }, { version: 1, levelBelowRimM: 0.002 });
    const loaded = await record();
    expect(told(loaded.joins)).toEqual(['inner wire-loop', 'outer long-loop-twist', 'join loop-to-loop']);
    const [loop, twist] = at(loaded.joins);
    must(await tie(loop, 50));
    // A seating pull that closes no such loop leaves this one under-seated, and no other.
    must(await tie(twist, 1));
    const tied = await record();
    const standings = at(tied.joins).map((join) => standingOnRig(tied, join, Date.parse(tied.readAt)).standing);
    expect(standings).toEqual(['good', 'under-seated', 'not tied']);
  });

  it('stay as they are while another join is planned, and give way to it as it is tied', async () => {
    must(await change('wraps-over-fold', { inner: null, outer: null }));
    const planned = await record();
    expect(told(planned.joins)).toEqual(['inner wire-loop', 'outer long-loop-twist', 'join loop-to-loop']);
    expect(told(planned.planJoins)).toEqual(['join wraps-over-fold']);
    must(await tie(at(planned.planJoins)[0], 40));
    expect(told((await record()).joins)).toEqual(['join wraps-over-fold']);
  });

  it('bear the fish that are fought after they were tied, and no others, and are listed before a trip', async () => {
    const fish = async () => at((await record()).joins).map(({ lastTie }) => lastTie?.fish ?? null);
    expect(await fish()).toEqual([0]);
    for (let count = 0; count < 3; count += 1) await ask('noteFish', {}, {});
    expect(await fish()).toEqual([3]);
    const [join] = at((await record()).joins);
    must(await tie(join, 40));
    expect(await fish()).toEqual([0]);
    const lists = await readTieLists(b.boatId);
    expect(lists).toHaveLength(1);
    // Tied and pulled a moment ago: on the list are the two that nobody has noted.
    expect(lists[0]?.rows.map(({ standing }) => standing)).toEqual(['not tied', 'not tied']);
    expect((await askOf(b.boatId, 'noteFish', { rigId: b.boatId }, {})).outcome).toMatchObject({ status: 404 });
  });

  it('are taken over by a rod that is planned like this one, and stand in a stack that is stored', async () => {
    must(await change('loop-to-loop', { inner: 'wire-loop', outer: 'tied-loop' }));
    const reelId = must(await createReel(b.boatId, { ...REEL, name: 'Second reel' })).id;
    const like = { from: 'rig' as const, id: b.rigId };
    const twin = await record(must(await createRig(b.boatId, { name: 'Twin', note: '', reelId, like })).id);
    expect(twin.planJoins.map(({ part }) => part)).toEqual(['join', 'join', 'inner', 'outer', 'join']);
    const { version, planJoins } = await record();
    const { segments } = b.stack;
    const joins = planJoins.map(({ innerSegmentId, outerSegmentId, kind, part }) => ({
      ...{ innerSegmentId, outerSegmentId, kind, part },
    }));
    await ask('saveStack', {}, { version, segments, joins });
    // Stored as it is, every structure keeps its row, and with it how it was tied.
    expect((await record()).planJoins.map(({ id }) => id)).toEqual(planJoins.map(({ id }) => id));
  });
});
