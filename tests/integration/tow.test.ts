import { randomUUID } from 'node:crypto';
import { towedRig, USUAL_TOW } from '../../core/rig/tow/towedRig';
import { stationStates } from '../../core/rig/stationStates';
import { rigView } from '../../core/rig/view/rigView';
import { towedInput, waterMarkInput } from '../../usecases/tow/towInput';
import { changeLength, noteLurePull, noteTowed, noteWaterMark, readRigRecord, withdraw } from './acts';
import { asOwner, closeDatabase, freshDatabase } from './database';
import { bench, must, windWhole, type Bench } from './gear';

let b: Bench;
let loadId: string;

const MARK = {
  ...{ kind: 'sonar', reading: 40, laps: 0, lengthOutM: null, depthM: 6.5, speedMS: 1.1, lure: 'shallow plug' },
  ...{ side: 'port', turn: 'straight', note: 'over the ledge', instrument: 'sounder' },
} as const;
const TOWED = {
  ...USUAL_TOW,
  speedMS: 1.1,
  lure: 'shallow plug',
  rule: { perColourM: 1.4, otherwiseM: -0.5 },
} as const;

beforeAll(async () => {
  await freshDatabase();
  b = await bench('Halyard Lark');
  loadId = await windWhole(b);
});
afterAll(closeDatabase);

async function record() {
  const found = await readRigRecord(b.boatId, b.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}
const mark = (over: object = {}) =>
  noteWaterMark(b.boatId, b.rigId, waterMarkInput.parse({ ...MARK, loadId, ...over }));

describe('how a rig is towed', () => {
  it('is kept whole, and what stood before stays as a former row', async () => {
    expect((await record()).towed).toBeNull();
    must(await noteTowed(b.boatId, b.rigId, towedInput.parse(TOWED)));
    must(await noteTowed(b.boatId, b.rigId, towedInput.parse({ ...TOWED, bottomM: 22 })));
    expect((await record()).towed).toEqual({ ...TOWED, bottomM: 22 });
    const former = await asOwner(
      `SELECT was -> 'towed' ->> 'lure' AS lure FROM former_rows WHERE of_table = 'rigs' ORDER BY number DESC LIMIT 1`,
    );
    expect(former.rows).toEqual([{ lure: 'shallow plug' }]);
  });

  it('takes the pull of its lure by itself, and of no lure or speed that it is not towed with any more', async () => {
    const pull = { lure: TOWED.lure, speedMS: TOWED.speedMS, lurePullN: 7.5 } as const;
    expect(await noteLurePull(b.boatId, b.rigId, { ...pull, lure: 'spoon' })).toMatchObject({
      status: 409,
      why: { reason: 'towed-otherwise' },
    });
    must(await noteTowed(b.boatId, b.rigId, towedInput.parse(TOWED)));
    // Another device notes the bottom meanwhile: the pull takes nothing of that back.
    must(await noteTowed(b.boatId, b.rigId, towedInput.parse({ ...TOWED, bottomM: 22 })));
    must(await noteLurePull(b.boatId, b.rigId, pull));
    expect((await record()).towed).toEqual({ ...TOWED, bottomM: 22, lurePullN: 7.5 });
    must(
      await noteTowed(b.boatId, b.rigId, towedInput.parse({ ...TOWED, speedMS: 2 * TOWED.speedMS, lurePullN: null })),
    );
    expect(await noteLurePull(b.boatId, b.rigId, pull)).toMatchObject({
      status: 409,
      why: { reason: 'towed-otherwise' },
    });
    expect((await record()).towed?.lurePullN).toBeNull();
  });

  it.each([
    ['a speed of nothing', { speedMS: 0 }],
    ['water as hot as tea', { temperatureC: 70 }],
    ['a lure that nobody knows', { lure: 'broomstick' }],
    ['a tip under water', { tipHeightM: -0.5 }],
  ])('is not taken: %s', (_, over) => expect(towedInput.safeParse({ ...TOWED, ...over }).success).toBe(false));
});

describe('the water log', () => {
  it('keeps a mark as it was noted, tunes the depth by it, and takes it back by a new row', async () => {
    must(await mark());
    must(await mark({ kind: 'strike', depthM: null, turn: 'inside', reading: 25 }));
    const [first, second] = (await record()).waterMarks;
    expect(first).toMatchObject({ ...MARK, loadId });
    expect(second).toMatchObject({ kind: 'strike', depthM: null, turn: 'inside' });
    const view = rigView(await record());
    expect(view && towedRig(view).marks.map(({ depthM }) => depthM)).toEqual([6.5]);
    expect(stationStates(await record()).depth).toMatchObject({ state: 'due', why: { figures: { seen: 1 } } });
    must(await mark({ reading: 60, depthM: 8 }));
    expect(stationStates(await record()).depth.state).toBe('done');
    const reason = 'a fish, not the bottom';
    must(await withdraw(b.boatId, { kind: 'waterMark', id: first?.id ?? '', rigId: b.rigId, reason }));
    expect((await record()).waterMarks).toHaveLength(2);
    expect((await asOwner('SELECT 1 FROM water_marks')).rowCount).toBe(4);
  });

  it('belongs to the line that is on: of another load it is refused, and lost line ends what it teaches', async () => {
    expect(await mark({ loadId: randomUUID() })).toMatchObject({ ok: false, status: 409 });
    const top = (await record()).load?.segments.findLast((segment) => segment.wound)?.segmentId ?? '';
    must(await changeLength(b.boatId, b.rigId, loadId, { segmentId: top, changeM: 3, reason: 'lost', note: '' }));
    const view = rigView(await record());
    expect(view && towedRig(view).marks).toEqual([]);
  });

  it.each([
    ['neither a reading nor a length', { reading: null }, /counter showed/],
    ['both', { lengthOutM: 30 }, /counter showed/],
    ['bottom at no depth', { kind: 'bottom', depthM: null }, /how deep/],
  ])('is not taken: %s', (_, over, message) => {
    const parsed = waterMarkInput.safeParse({ ...MARK, loadId, ...over });
    expect(parsed.error?.issues[0]?.message).toMatch(message);
  });
});
