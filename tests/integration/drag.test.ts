import { leverOfRig, presetOf } from '../../core/rig/drag/leverOfRig';
import { stationStates } from '../../core/rig/stationStates';
import { planerLookInput } from '../../usecases/drag/dragInput';
import {
  acceptSetting,
  changeReel,
  readRigRecord,
  recordDragPull,
  recordLeverPoint,
  recordPlanerLook,
  startDragSetting,
  withdraw,
  workPreset,
} from './acts';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, windWhole, type Bench } from './gear';

let b: Bench;
let loadId: string;

beforeAll(async () => {
  await freshDatabase();
  b = await bench('Second Thought');
  must(await changeReel(b.boatId, b.reelId, 1, { ...REEL, dragKind: 'lever', dragLimitN: 400 }));
  loadId = await windWhole(b);
});
afterAll(closeDatabase);

async function record() {
  const found = await readRigRecord(b.boatId, b.rigId);
  if (!found) throw new Error('the rig is gone');
  return found;
}

const pullAt = (position: number, forceN: number) =>
  recordLeverPoint(b.boatId, b.rigId, { loadId, position, forceN, instrument: 'by hand' });

describe('a drag set with a scale', () => {
  it('refuses a target above the weakest place, keeps a history, and is due again before a trip', async () => {
    const target = { loadId, strengthBasis: 'label' as const, rodAngleRad: 1 };
    const { id } = must(await startDragSetting(b.boatId, b.rigId, { ...target, fraction: 0.25 }));
    const wanted = (await record()).dragSession?.targetN ?? 0;
    const pull = {
      kind: 'bent rod' as const,
      breakawayN: wanted * 1.1,
      settingStep: 0,
      starTurns: null,
      instrument: 'by hand',
    };
    for (const movingN of [wanted, wanted * 1.01, wanted * 0.99]) {
      must(await recordDragPull(b.boatId, b.rigId, id, { ...pull, movingN }));
    }
    must(await acceptSetting(b.boatId, b.rigId, id));
    const now = await record();
    expect(now.dragHistory).toMatchObject([{ id, targetN: wanted, fraction: 0.25 }]);
    expect(now.dragHistory[0]?.medianN).toBeCloseTo(wanted, 6);
    expect(stationStates(now).drag.state).toBe('done');
    const later = { ...now, readAt: new Date(Date.parse(now.readAt) + 30 * 86_400_000).toISOString() };
    expect(stationStates(later).drag).toMatchObject({
      state: 'due',
      why: { reason: 'set-days-ago', figures: { days: 30 } },
    });
  });
});

describe('a lever drag', () => {
  it('has a curve from pulls at its places, which a pull taken back leaves again', async () => {
    for (const [position, forceN] of [
      [0, 0.5],
      [0.5, 30],
      [1, 45],
    ] as const)
      must(await pullAt(position, forceN));
    expect(leverOfRig(await record()).curve).toMatchObject({ ok: true });
    const last = (await record()).leverPoints.at(-1);
    must(await withdraw(b.boatId, { kind: 'leverPoint', id: last?.id ?? '', rigId: b.rigId, reason: 'slipped' }));
    expect(leverOfRig(await record()).curve).toMatchObject({ ok: false, reason: 'too-few-places' });
    must(await pullAt(1, 45));
  });

  it('keeps its preset by a machine that refuses a turn in gear, and makes the setting stale', async () => {
    must(await workPreset(b.boatId, b.rigId, { act: 'into-gear' }));
    expect(await workPreset(b.boatId, b.rigId, { act: 'turn', turns: 1 })).toMatchObject({
      status: 409,
      why: { reason: 'in-gear' },
    });
    must(await workPreset(b.boatId, b.rigId, { act: 'was-turned-in-gear', turns: 1 }));
    expect(await pullAt(0.5, 36)).toMatchObject({
      status: 409,
      why: { reason: 'undo-first', figures: { wrongTurns: 1 } },
    });
    expect(stationStates(await record()).drag).toMatchObject({
      state: 'stale',
      why: { reason: 'changed-since', figures: { what: ['the preset'] } },
    });
    must(await workPreset(b.boatId, b.rigId, { act: 'to-free' }));
    must(await workPreset(b.boatId, b.rigId, { act: 'turn', turns: -1 }));
    const now = await record();
    expect(presetOf(now.presetActs)).toEqual({ lever: 'free', turns: 0, wrongTurns: 0 });
    expect(stationStates(now).drag.state).toBe('done');
    expect(now.log.filter((entry) => entry.entry.reason === 'preset-turned-in-gear')).toHaveLength(1);
  });

  it('learns newtons for a turn of the preset', async () => {
    must(await workPreset(b.boatId, b.rigId, { act: 'turn', turns: 0.5 }));
    must(await pullAt(0.5, 34));
    expect(leverOfRig(await record()).gain).toMatchObject({ position: 0.5, newtonsPerTurn: 8 });
  });
});

describe('looks at a planer', () => {
  it('are kept as they were, those of one that was not set too', async () => {
    const look = { planer: 'number 2', speedMS: 3, leverPosition: 0.5, instrument: 'by eye' };
    must(
      await recordPlanerLook(
        b.boatId,
        b.rigId,
        planerLookInput.parse({
          ...{ ...look, holdsN: 90, heading: 'following sea', current: 'with you', creep: 'some', isSet: true },
        }),
      ),
    );
    must(
      await recordPlanerLook(
        b.boatId,
        b.rigId,
        planerLookInput.parse({ ...look, heading: 'across', current: 'none', creep: 'none', isSet: false }),
      ),
    );
    expect((await record()).planerLooks).toMatchObject([
      { planer: 'number 2', heading: 'following sea', creep: 'some', isSet: true, holdsN: 90 },
      { creep: 'none', isSet: false, holdsN: null },
    ]);
    // The preset as it stands belongs to the look.
    const { turns } = presetOf((await record()).presetActs);
    expect((await record()).planerLooks.map((each) => each.presetTurns)).toEqual([turns, turns]);
    const felt = { ...look, heading: 'across', current: 'none', creep: null, isSet: false };
    must(await recordPlanerLook(b.boatId, b.rigId, planerLookInput.parse({ ...felt, handPull: 'freely' })));
    expect((await record()).planerLooks.at(-1)).toMatchObject({ creep: null, handPull: 'freely', strike: null });
    expect(planerLookInput.safeParse(felt).error?.issues[0]?.message).toMatch(/Say what was seen/);
    expect(planerLookInput.safeParse({ ...felt, strike: 'missed', leverPosition: null }).success).toBe(false);
    expect(
      planerLookInput.safeParse({ ...look, heading: 'across', current: 'none', creep: 'a lot', isSet: true }).success,
    ).toBe(false);
  });
});
