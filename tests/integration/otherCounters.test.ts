import { adviceForRig } from '../../core/rig/count/adviceForRig';
import { countMarks } from '../../core/rig/count/countMarks';
import { rigView } from '../../core/rig/view/rigView';
import { stationStates } from '../../core/rig/stationStates';
import { trialInput } from '../../usecases/count/countInput';
import { finishInput, lineChangeInput, windingInput } from '../../usecases/load/loadInput';
import {
  acceptCalibration,
  beginWinding,
  changeLength,
  changeReel,
  finishWinding,
  markLine,
  noteWinding,
  readRigRecord,
  recordTrial,
  withdraw,
} from './acts';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

beforeAll(freshDatabase);
afterAll(closeDatabase);

const ROLLER = { ...REEL, counter: REEL.counter && { ...REEL.counter, drive: 'roller' as const, lengthPerTurnM: 1 } };
const BARE = { ...REEL, counter: null };

async function recordOf(of: Bench) {
  const found = await readRigRecord(of.boatId, of.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}

async function viewOf(of: Bench) {
  const view = rigView(await recordOf(of));
  if (!view) throw new Error('nothing to see');
  return view;
}

/** Winds as planned: every segment noted by what its reel has. */
async function windAll(of: Bench): Promise<string> {
  const { loadId } = must(
    await beginWinding(of.boatId, of.rigId, { version: (await recordOf(of)).version, levelBelowRimM: 0.002 }),
  );
  for (const segment of (await recordOf(of)).load?.segments ?? []) {
    const noted =
      segment.stopReading === null
        ? { reading: null, turnsCounted: Math.round(segment.plannedTurns) }
        : { reading: segment.stopReading };
    must(
      await noteWinding(of.boatId, of.rigId, loadId, windingInput.parse({ segmentId: segment.segmentId, ...noted })),
    );
  }
  must(await finishWinding(of.boatId, of.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.002 })));
  return loadId;
}

describe('a reel whose counter a roller drives', () => {
  let b: Bench;
  let loadId: string;
  beforeAll(async () => {
    b = await bench('Halyard Lark');
    must(await changeReel(b.boatId, b.reelId, 1, ROLLER));
    loadId = await windAll(b);
  });

  it('stops at the length itself: what people subtract in their head is right', async () => {
    const { load } = await recordOf(b);
    for (const segment of load?.segments ?? []) expect(segment.stopReading).toBe(segment.naiveStopReading);
  });

  it('learns its share from a walk, corrects the whole line by it, and closes the ways that cannot help', async () => {
    must(await recordTrial(b.boatId, b.rigId, walk(loadId, 31)));
    const view = await viewOf(b);
    const advice = adviceForRig(view);
    expect(advice?.top).toMatchObject({ ok: false, reason: 'roller-driven' });
    expect(advice?.reload).toMatchObject({ ok: false, reason: 'roller-driven' });
    // The log says 1.00 and slips otherwise, the walk says 31/30: between them, nearer to the walk's own line.
    expect(advice?.errorNow).toBeGreaterThan(0.003);
    expect(advice?.worstNow).toBeCloseTo(advice?.errorNow ?? NaN, 6);
    must(await acceptCalibration(b.boatId, b.rigId, { loadId, method: 'card' }));
    expect(stationStates(await recordOf(b)).count.state).toBe('done');
  });

  it('is not tested by turns of the spool', async () => {
    const turns = { kind: 'turns', loadId, turns: 100, betweenFlips: true, reading: 17, instrument: 'by hand' };
    expect(await recordTrial(b.boatId, b.rigId, trialInput.parse(turns))).toMatchObject({ status: 409 });
  });

  it('does not teach the spool that a metre is a turn', async () => {
    const { knowledge } = await recordOf(b);
    // What it learns is the roller's own share: log and walk say 1.00 and 1.03.
    expect(knowledge.lengthPerTurnM?.value).toBeGreaterThan(0.99);
    expect(knowledge.lengthPerTurnM?.value).toBeLessThan(1.04);
    expect(knowledge.evidence.every((each) => Math.abs(each.offBySds) < 3)).toBe(true);
  });
});

const walk = (loadId: string, reading: number) =>
  trialInput.parse({ kind: 'tape', loadId, trueLengthM: 30, reading, instrument: 'by hand' });

describe('a reel without a counter', () => {
  let b: Bench;
  let loadId: string;
  beforeAll(async () => {
    b = await bench('Second Thought');
    must(await changeReel(b.boatId, b.reelId, 1, BARE));
    loadId = await windAll(b);
  });

  it('is told in turns of the spool, and a walk with turns counted narrows them', async () => {
    const at = async () => countMarks(await viewOf(b), [30]).find((mark) => mark.kind === 'length')?.reading;
    const before = await at();
    expect(before?.value).toBeGreaterThan(100);
    must(await recordTrial(b.boatId, b.rigId, walk(loadId, Math.round(before?.value ?? 0))));
    expect((await at())?.plusMinus).toBeLessThan(before?.plusMinus ?? 0);
    expect(await acceptCalibration(b.boatId, b.rigId, { loadId, method: 'card' })).toMatchObject({ status: 409 });
    expect(stationStates(await recordOf(b)).count.state).toBe('not needed');
  });

  it('carries marks, which say less when line outside of them is lost', async () => {
    const mark = (lengthOutM: number) =>
      markLine(b.boatId, b.rigId, { loadId, kind: 'tied', looks: 'green thread', lengthOutM });
    expect(await mark(4000)).toMatchObject({ status: 422, fields: [{ path: 'lengthOutM' }] });
    must(await mark(15));
    must(await mark(30));
    const top = (await recordOf(b)).load?.segments.at(-1)?.segmentId ?? '';
    must(
      await changeLength(
        b.boatId,
        b.rigId,
        loadId,
        lineChangeInput.parse({ segmentId: top, changeM: -4, reason: 'lost' }),
      ),
    );
    const placed = countMarks(await viewOf(b), []).filter((each) => each.kind === 'mark');
    expect(placed.map((each) => Math.round(each.lengthOutM))).toEqual([11, 26]);
    const [first] = (await recordOf(b)).lineMarks;
    must(await withdraw(b.boatId, { kind: 'lineMark', id: first?.id ?? '', rigId: b.rigId, reason: 'frayed' }));
    expect((await recordOf(b)).lineMarks).toHaveLength(1);
  });
});
