import { heldOutPieces } from '../../core/rig/heldOut';
import { stationStates } from '../../core/rig/stationStates';
import { windingOutlook } from '../../core/rig/line/windingOutlook';
import { finishInput, windingInput } from '../../usecases/load/loadInput';
import { readLocker } from '../../usecases/rigs/locker';
import {
  abandonWinding,
  acceptCalibration,
  acceptSetting,
  beginWinding,
  changeLength,
  changeLine,
  changeReel,
  createRig,
  finishWinding,
  look,
  noteDisplay,
  noteHang,
  noteLevel,
  noteWinding,
  readGear,
  readRigRecord,
  recordDragPull,
  recordStrengthPull,
  recordTrial,
  saveStack,
  startDragSetting,
  startStrengthTest,
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

const note = (loadId: string, index: number, reading: number | null, corrects: string | null = null) =>
  noteWinding(
    b.boatId,
    b.rigId,
    loadId,
    windingInput.parse({ segmentId: b.stack.segments[index]?.id, reading, corrects }),
  );

async function begin(): Promise<string> {
  const rig = await record();
  return must(await beginWinding(b.boatId, b.rigId, { version: rig.version, levelBelowRimM: 0.002 })).loadId;
}

/** Winds exactly as planned and finishes with the level that was meant. */
async function windAll(): Promise<string> {
  const loadId = await begin();
  const { load } = await record();
  for (const [index, segment] of (load?.segments ?? []).entries()) must(await note(loadId, index, segment.stopReading));
  must(await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.002 })));
  return loadId;
}

describe('a stack', () => {
  it('comes back as it was stored, with its joins', async () => {
    const rig = await record();
    expect(rig.segments.map(({ name, lengthM }) => [name, lengthM])).toEqual([
      ['Backing', null],
      ['Copper', 45],
      ['Top shot', 40],
    ]);
    expect(rig.joins).toHaveLength(3);
  });

  it('is refused whole when it cannot fit, with a sentence, and nothing changes', async () => {
    const before = await record();
    const heavy = b.stack.segments.map((s) => (s.name === 'Copper' ? { ...s, lengthM: 900 } : s));
    const refused = await saveStack(b.boatId, b.rigId, { ...b.stack, version: before.version, segments: heavy });
    expect(refused).toMatchObject({
      ok: false,
      status: 422,
      fields: [{ path: 'segments', why: { reason: 'does-not-fit' } }],
    });
    expect({ ...(await record()), readAt: '' }).toEqual({ ...before, readAt: '' });
  });

  it('is refused when all lengths are given and stand above the rim', async () => {
    const all = b.stack.segments.map((s) => ({ ...s, lengthM: s.lengthM ?? 400 }));
    const refused = await saveStack(b.boatId, b.rigId, { ...b.stack, version: 2, segments: all });
    expect(refused).toMatchObject({ ok: false, status: 422, why: { reason: 'stack-over-rim-top' } });
  });

  it('notices a concurrent edit instead of losing it', async () => {
    const { version } = await record();
    must(await saveStack(b.boatId, b.rigId, { ...b.stack, version }));
    expect(await saveStack(b.boatId, b.rigId, { ...b.stack, version })).toMatchObject({ ok: false, status: 409 });
  });

  it('keeps what was tested of a join that stays', async () => {
    const before = await record();
    const shorter = {
      ...b.stack,
      version: before.version,
      segments: b.stack.segments.map((s) => (s.name === 'Top shot' ? { ...s, lengthM: 30 } : s)),
    };
    must(await saveStack(b.boatId, b.rigId, shorter));
    expect((await record()).joins.map((join) => join.id).toSorted()).toEqual(
      before.joins.map((join) => join.id).toSorted(),
    );
  });

  it('cannot take a line or a rig of another boat', async () => {
    const other = await bench(`Other ${performance.now()}`);
    const strange = b.stack.segments.map((s) => ({ ...s, productId: other.lineIds[0] ?? '' }));
    expect(await saveStack(b.boatId, b.rigId, { ...b.stack, version: 2, segments: strange })).toMatchObject({
      status: 422,
    });
    expect(await saveStack(other.boatId, b.rigId, { ...b.stack, version: 2 })).toMatchObject({ status: 404 });
    expect(await readRigRecord(other.boatId, b.rigId)).toBeNull();
  });
});

describe('winding', () => {
  it('keeps order, takes a correction, and an undo', async () => {
    const loadId = await begin();
    expect(await note(loadId, 1, 950)).toMatchObject({
      ok: false,
      status: 409,
      why: { reason: 'goes-on-first', figures: { segment: 'Backing' } },
    });
    must(await note(loadId, 0, 870));
    // Who did not see the note that stands cannot write over it.
    expect(await note(loadId, 0, 868)).toMatchObject({ status: 409, why: { reason: 'end-noted-elsewhere-at' } });
    let rig = await record();
    must(await note(loadId, 0, 868, rig.load?.winding[0]?.id));
    rig = await record();
    expect(rig.load?.winding.map((entry) => entry.reading)).toEqual([868]);
    must(
      await withdraw(b.boatId, {
        kind: 'winding',
        id: rig.load?.winding[0]?.id ?? '',
        rigId: b.rigId,
        reason: 'wrong reel',
      }),
    );
    rig = await record();
    expect(rig.load?.winding).toEqual([]);
    expect(rig.log[0]?.entry).toEqual({
      reason: 'withdrawn',
      figures: { what: 'winding', why: expect.stringContaining('wrong reel') as string },
    });
  });

  it.each([
    [null, 'reading-wanted'],
    [1000, 'beyond-digits'],
  ])('refuses a reading of %p', async (reading, reason) => {
    const loadId = await begin();
    expect(await note(loadId, 0, reading)).toMatchObject({
      ok: false,
      status: 422,
      why: { reason },
    });
  });

  it('finishes only when all is on and the level can be', async () => {
    const loadId = await begin();
    must(await note(loadId, 0, 870));
    expect(
      await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.002 })),
    ).toMatchObject({
      status: 409,
    });
    must(await note(loadId, 1, 950));
    must(await note(loadId, 2, 960));
    expect(
      // The spool is 15.2 mm deep.
      await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.025 })),
    ).toMatchObject({
      status: 422,
      why: { reason: 'deeper-than-spool' },
    });
    must(await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.0023 })));
    expect(stationStates(await record()).load.state).toBe('done');
    expect(await note(loadId, 2, 960)).toMatchObject({ status: 409 });
  });

  it('solves the rest again after a level, and leaves out one that cannot be', async () => {
    const loadId = await begin();
    const segmentId = b.stack.segments[0]?.id ?? '';
    const level = (levelBelowRimM: number) =>
      noteLevel(b.boatId, b.rigId, loadId, { segmentId, levelBelowRimM, instrument: 'caliper' });
    expect(await level(0.008)).toMatchObject({ status: 409, why: { reason: 'level-of-last-segment' } });
    must(await note(loadId, 0, (await record()).load?.segments[0]?.stopReading ?? 0));
    const before = windingOutlook(await record());
    const onM = before?.line.segments[0]?.outerDiameterM ?? NaN;
    // What no packing gives is kept, named, and nothing rests on it.
    must(await level(0.0005));
    const odd = windingOutlook(await record());
    expect(odd?.heldOutLevels).toMatchObject([{ levelBelowRimM: 0.0005 }]);
    expect(odd?.line).toEqual(before?.line);
    expect(await level(0.19)).toMatchObject({
      status: 422,
      why: { reason: 'deeper-than-spool' },
    });
    must(await level((0.0618 - onM) / 2 + 0.0004));
    const after = windingOutlook(await record());
    // The top shot was typed: it stays, and the level gives; what would meet the level is offered.
    expect(after?.changed).toBeNull();
    expect(after?.levelBelowRimM).toBeGreaterThan(0.002);
    expect(after?.offer).toMatchObject({ name: 'Top shot', fromM: 40 });
    expect(after?.offer?.toM).toBeGreaterThan(40);
  });

  it('keeps a level that disagrees, says so, and takes another one instead of it', async () => {
    const loadId = await begin();
    const stops = (await record()).load?.segments.map((segment) => segment.stopReading ?? 0) ?? [];
    for (const [index, stop] of stops.entries()) must(await note(loadId, index, stop));
    must(await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.0125 })));
    const odd = await record();
    expect(heldOutPieces(odd)).toMatchObject([{ kind: 'level', levelBelowRimM: 0.0125, source: { kind: 'level' } }]);
    const id = heldOutPieces(odd)[0]?.source?.id ?? '';
    must(await withdraw(b.boatId, { kind: 'level', id, rigId: b.rigId, reason: 'typed for 2.5' }));
    expect((await record()).load?.levelBelowRimM).toBeNull();
    const segmentId = b.stack.segments[2]?.id ?? '';
    must(await noteLevel(b.boatId, b.rigId, loadId, { segmentId, levelBelowRimM: 0.0023, instrument: 'caliper' }));
    const right = await record();
    expect(right.load?.levelBelowRimM).toBe(0.0023);
    expect(heldOutPieces(right)).toEqual([]);
  });

  it('can be abandoned; the plan stays and another can begin', async () => {
    const loadId = await begin();
    must(await abandonWinding(b.boatId, b.rigId, loadId));
    const rig = await record();
    expect(rig.load).toBeNull();
    expect(rig.segments).toHaveLength(3);
    await begin();
    expect(await abandonWinding(b.boatId, b.rigId, loadId)).toMatchObject({ status: 409 });
  });

  it('holds the stack still while it goes on', async () => {
    await begin();
    const { version } = await record();
    expect(await saveStack(b.boatId, b.rigId, { ...b.stack, version })).toMatchObject({
      status: 409,
      why: { reason: 'rig-being-wound' },
    });
    expect(await beginWinding(b.boatId, b.rigId, { version, levelBelowRimM: 0.002 })).toMatchObject({ status: 409 });
  });
});

describe('counting', () => {
  const walk = (loadId: string, reading: number, trueLengthM = 30) =>
    recordTrial(b.boatId, b.rigId, { kind: 'tape', loadId, trueLengthM, reading, instrument: 'read by eye' });

  it('refuses walks that say nothing, with the reason', async () => {
    const loadId = await windAll();
    expect(await walk(loadId, 31, 900)).toMatchObject({
      status: 422,
      why: { reason: 'longer-than-wound' },
    });
    expect(await walk(loadId, 1200)).toMatchObject({ status: 422 });
    expect(await walk(loadId, 9)).toMatchObject({ status: 422, why: { reason: 'off-by-a-factor' } });
    expect(await walk(b.boatId, 31)).toMatchObject({ status: 409, why: { reason: 'wound-again-test' } });
  });

  it('takes spool turns and unwraps what the display started again for', async () => {
    const loadId = await windAll();
    const turns = (reading: number, count: number) =>
      recordTrial(b.boatId, b.rigId, {
        kind: 'turns',
        loadId,
        turns: count,
        betweenFlips: true,
        reading,
        instrument: 'read by eye',
      });
    must(await turns(53, 300));
    must(await turns(90, 6266));
    const { trials, openTrials } = await record();
    const noted = [...trials, ...openTrials].toSorted((a, b) => (a.turns ?? 0) - (b.turns ?? 0));
    expect(noted.map((trial) => [trial.kind, trial.turns, trial.reading])).toEqual([
      ['turns', 300, 53],
      ['turns', 6266, 1090],
    ]);
    expect(await turns(9, 300)).toMatchObject({ status: 422 });
    const noColours = { kind: 'colour', loadId, segmentId: b.stack.segments[0]?.id ?? '', coloursOut: 1 } as const;
    expect(
      await recordTrial(b.boatId, b.rigId, { ...noColours, reading: 30, instrument: 'read by eye' }),
    ).toMatchObject({ status: 422, why: { reason: 'no-colours' } });
  });

  it('knows how the display rounds and what hangs from the tip', async () => {
    must(await noteDisplay(b.boatId, b.reelId, 'truncates'));
    must(await noteHang(b.boatId, b.rigId, 0.35));
    expect(await record()).toMatchObject({ hangM: 0.35, reel: { counter: { display: 'truncates' } } });
    expect(await noteHang(b.boatId, b.reelId, 0.35)).toMatchObject({ status: 404 });
    expect(await noteDisplay(b.boatId, b.rigId, 'rounds')).toMatchObject({ status: 404 });
  });

  it('accepts a logged winding or a walk of the line as it is, and goes stale when line is lost', async () => {
    const loadId = await windAll();
    must(await acceptCalibration(b.boatId, b.rigId, { loadId, method: 'card' }));
    must(await walk(loadId, 31));
    must(await acceptCalibration(b.boatId, b.rigId, { loadId, method: 'card' }));
    expect(stationStates(await record()).count.state).toBe('done');
    const top = b.stack.segments[2]?.id ?? '';
    must(await changeLength(b.boatId, b.rigId, loadId, { segmentId: top, changeM: 6, reason: 'lost', note: '' }));
    expect(stationStates(await record()).count).toMatchObject({
      state: 'stale',
      why: { reason: 'changed-since', figures: { what: ['length of Top shot'] } },
    });
    expect(await acceptCalibration(b.boatId, b.rigId, { loadId, method: 'card' })).toMatchObject({ status: 409 });
    must(await walk(loadId, 32));
    expect((await record()).trials.at(-1)?.strippedBeforeM).toBeCloseTo(6, 9);
  });

  it('cannot lose more line than there is', async () => {
    const loadId = await windAll();
    const top = b.stack.segments[2]?.id ?? '';
    const refused = await changeLength(b.boatId, b.rigId, loadId, {
      segmentId: top,
      changeM: 60,
      reason: 'lost',
      note: '',
    });
    expect(refused).toMatchObject({ status: 422, why: { reason: 'less-left-than-lost' } });
  });
});

describe('strength and drag', () => {
  it('go from a written-down expectation to an accepted setting', async () => {
    const loadId = await windAll();
    for (const productId of b.lineIds) {
      const { id } = must(
        await startStrengthTest(b.boatId, {
          productId,
          condition: 'dry',
          gaugeLengthM: 0.5,
          expectedN: 100,
          sampleLabel: '',
        }),
      );
      for (const peakN of [130, 128, 131])
        must(await recordStrengthPull(b.boatId, id, { peakN, breakPlace: 'middle', instrument: 'eye' }));
    }
    expect(stationStates(await record()).strength.state).toBe('done');
    const { id } = must(
      await startDragSetting(b.boatId, b.rigId, { loadId, fraction: 0.25, strengthBasis: 'weakest', rodAngleRad: 1 }),
    );
    const targetN = (await record()).dragSession?.targetN ?? NaN;
    const pull = (movingN: number, settingStep: number) =>
      recordDragPull(b.boatId, b.rigId, id, {
        kind: 'bent rod',
        movingN,
        breakawayN: movingN * 1.1,
        settingStep,
        starTurns: null,
        instrument: 'eye',
      });
    must(await pull(targetN * 0.7, 0));
    expect(await acceptSetting(b.boatId, b.rigId, id)).toMatchObject({ status: 409 });
    for (let n = 0; n < 3; n += 1) must(await pull(targetN, 1));
    must(await acceptSetting(b.boatId, b.rigId, id));
    expect(await acceptSetting(b.boatId, b.rigId, id)).toMatchObject({ status: 409 });
    expect(await pull(targetN, 1)).toMatchObject({ status: 409 });
    expect(Object.values(stationStates(await record())).map((state) => state.state)).toEqual([
      'done',
      'due',
      'due',
      'done',
      'done',
      'not needed',
    ]);
  });

  it('refuse a basis that is not known, an unloaded reel and an unknown test', async () => {
    const rig = await record();
    expect(
      await startDragSetting(b.boatId, b.rigId, {
        loadId: rig.id,
        fraction: 0.25,
        strengthBasis: 'weakest',
        rodAngleRad: 1,
      }),
    ).toMatchObject({ status: 409 });
    const loadId = await windAll();
    expect(
      await startDragSetting(b.boatId, b.rigId, { loadId, fraction: 0.25, strengthBasis: 'tested', rodAngleRad: 1 }),
    ).toMatchObject({ status: 422 });
    expect(
      await recordStrengthPull(b.boatId, loadId, { peakN: 1, breakPlace: 'middle', instrument: 'eye' }),
    ).toMatchObject({ status: 404 });
  });
});

describe('gear', () => {
  it('notices concurrent edits of reels and lines', async () => {
    must(await changeReel(b.boatId, b.reelId, 1, { ...REEL, widthM: 0.029 }));
    expect(await changeReel(b.boatId, b.reelId, 1, REEL)).toMatchObject({ status: 409 });
    const input = {
      name: 'Nylon',
      material: 'nylon' as const,
      diameterM: 0.00041,
      diameterSource: 'label' as const,
      labelStrengthN: null,
      family: '',
      construction: null,
      massKgPerM: null,
      colourLengthM: null,
      colours: [],
    };
    must(await changeLine(b.boatId, b.lineIds[0] ?? '', 1, input));
    expect(await changeLine(b.boatId, b.lineIds[0] ?? '', 1, input)).toMatchObject({ status: 409 });
    expect(await changeLine(b.boatId, b.reelId, 1, input)).toMatchObject({ status: 404 });
  });

  it('lets one reel carry one rig', async () => {
    expect(await createRig(b.boatId, { name: 'Second', note: '', reelId: b.reelId })).toMatchObject({ status: 409 });
    expect((await readGear(b.boatId))?.freeReelIds).toEqual([]);
    expect(await readGear(b.rigId)).toBeNull();
    expect((await look(readLocker)(b.boatId, '', 1)).rigs).toHaveLength(1);
  });
});
