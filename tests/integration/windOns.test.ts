import { currentLine } from '../../core/rig/line/currentLine';
import { strengthOfRig } from '../../core/rig/strength/strengthOfRig';
import { windOnInput } from '../../usecases/joins/windOnInput';
import { finishInput, lineChangeInput, windingInput } from '../../usecases/load/loadInput';
import {
  beginWinding,
  changeJoinKind,
  changeLength,
  finishWinding,
  makeWindOn,
  noteWinding,
  readRigRecord,
  readWindOns,
  retireWindOnOf,
  swapWindOn,
} from './acts';
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

async function record(of: Bench = b) {
  const found = await readRigRecord(of.boatId, of.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}

const make = (name: string, lengthM: number, lineIndex = 0) =>
  makeWindOn(b.boatId, windOnInput.parse({ name, productId: b.lineIds[lineIndex], lengthM, personId: null }));

async function windAll(): Promise<string> {
  const { version } = await record();
  const { loadId } = must(await beginWinding(b.boatId, b.rigId, { version, levelBelowRimM: 0.002 }));
  for (const segment of (await record()).load?.segments ?? []) {
    const input = windingInput.parse({ segmentId: segment.segmentId, reading: segment.stopReading });
    must(await noteWinding(b.boatId, b.rigId, loadId, input));
  }
  must(await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.002 })));
  return loadId;
}

const topLengthM = async (): Promise<number> => {
  const now = currentLine(await record());
  return now.ok ? (now.value.line.segments.at(-1)?.lengthM ?? 0) : 0;
};

describe('ready leaders', () => {
  it('are named once, of a line of the boat', async () => {
    must(await make('Red', 6));
    expect(await make('Red', 7)).toMatchObject({ status: 422 });
    const strange = { name: 'Odd', productId: other.lineIds[0] ?? '', lengthM: 5, personId: null };
    expect(await makeWindOn(b.boatId, strange)).toMatchObject({ status: 422 });
    expect(await readWindOns(other.boatId)).toEqual([]);
  });

  it('go on a loaded reel whose end is a loop, and on no other', async () => {
    const [red] = await readWindOns(b.boatId);
    const swap = () => swapWindOn(b.boatId, b.rigId, { windOnId: red?.id ?? '' });
    expect(await swap()).toMatchObject({ status: 409, why: { reason: 'wind-on-needs-load' } });
    await windAll();
    expect(await swap()).toMatchObject({ status: 409, why: { reason: 'top-not-looped' } });
    const top = (await record()).segments.at(-1)?.id;
    const join = (await record()).joins.find((each) => each.outerSegmentId === top);
    must(await changeJoinKind(b.boatId, b.rigId, join?.id ?? '', 'loop-to-loop'));
    must(await swap());
    expect(await swap()).toMatchObject({ status: 409 });
  });

  it('change line, strength and log in one act, and are where they are said to be', async () => {
    const rig = await record();
    expect(await topLengthM()).toBeCloseTo(6);
    expect(rig.log.map((entry) => entry.entry)).toContainEqual(
      expect.objectContaining({
        reason: 'ready-leader-on',
        figures: expect.objectContaining({ leader: 'Red' }) as unknown,
      }),
    );
    const [red] = await readWindOns(b.boatId);
    expect(red?.onRig).toMatchObject({ id: b.rigId });
    expect(await retireWindOnOf(b.boatId, red?.id ?? '')).toMatchObject({ status: 409 });
    const now = currentLine(rig);
    expect(now.ok && strengthOfRig(rig, now.value.line)).toBeTruthy();
  });

  it('come back as long as they are by then', async () => {
    const rig = await record();
    const segmentId = rig.load?.segments.at(-1)?.segmentId ?? '';
    const cut = lineChangeInput.parse({ segmentId, changeM: -0.75, reason: 'lost', note: '' });
    must(await changeLength(b.boatId, b.rigId, rig.load?.id ?? '', cut));
    const { id } = must(await make('Blue', 9, 1));
    must(await swapWindOn(b.boatId, b.rigId, { windOnId: id }));
    expect(await topLengthM()).toBeCloseTo(9);
    const [blue, red] = await readWindOns(b.boatId);
    expect(blue?.onRig).toMatchObject({ id: b.rigId });
    expect(red).toMatchObject({ name: 'Red', onRig: null });
    expect(red?.lengthM).toBeCloseTo(5.25);
    must(await retireWindOnOf(b.boatId, red?.id ?? ''));
    expect(await readWindOns(b.boatId)).toHaveLength(1);
  });
});
