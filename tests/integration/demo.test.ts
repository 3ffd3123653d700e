import { leverOfRig, presetOf } from '../../core/rig/drag/leverOfRig';
import { PLANER_SPEED_MS } from '../../core/drag/planer/planerLooks';
import { planerFound, planerQuestion } from '../../core/rig/drag/planerOfRig';
import { judgeScaleSession } from '../../core/drag/scaleSession';
import { currentLine } from '../../core/rig/line/currentLine';
import { labelsCompared } from '../../core/rig/strength/labelsCompared';
import { productStrength } from '../../core/rig/strength/strengthOfRig';
import type { RigRecord } from '../../core/record/record';
import { towedRig } from '../../core/rig/tow/towedRig';
import { rigView } from '../../core/rig/view/rigView';
import { sessionPulls } from '../../core/record/sessionPulls';
import { stationStates } from '../../core/rig/stationStates';
import { fromSi } from '../../core/units/units';
import { capeTorrin } from '../../demo/capeTorrin';
import { loadDemo } from '../../demo/loadDemo';
import { ormundSound } from '../../demo/ormundSound';
import { listBoats } from '../../db/queries/boats';
import { NO_BOAT, NOBODY, withBoat } from '../../db/withBoat';
import { listRigs } from '../../db/queries/rigs';
import { readRigs } from '../../usecases/rigs/readRigs';
import { look } from './acts';
import { closeDatabase, freshDatabase } from './database';

let rigs: readonly RigRecord[];

beforeAll(async () => {
  await freshDatabase();
  await loadDemo([ormundSound, capeTorrin]);
  const allRigs = look(async (db) => readRigs(db, await listRigs(db, db.boatId)));
  const boats = await withBoat(NOBODY, NO_BOAT, 'read', listBoats);
  rigs = (await Promise.all(boats.map((boat) => allRigs(boat.id)))).flat();
}, 120_000);
afterAll(closeDatabase);

function rig(part: string): RigRecord {
  const found = rigs.find((candidate) => candidate.name.includes(part));
  if (!found) throw new Error(`no demo rig ${part}`);
  return found;
}

/** The demo's faults are there to be found by what the product shows, not by a note. */
describe('the demo boats', () => {
  it('carry the rigs of their two settings, one of them untouched', () => {
    expect(rigs).toHaveLength(11);
    const states = (name: string) => Object.values(stationStates(rig(name))).map(({ state }) => state);
    expect(states('Spare lead-core')).toEqual(['due', 'due', 'due', 'due', 'due', 'not needed']);
    // Towed with copper, and no depth seen with it yet.
    expect(states('Copper rod, port')).toEqual(['done', 'done', 'done', 'done', 'done', 'due']);
  });

  it('have every line drawn and every wound one within its packing', () => {
    for (const record of rigs) {
      const current = currentLine(record);
      expect(current.ok).toBe(true);
      if (current.ok) expect(Math.abs(current.value.packingFactor - 1)).toBeLessThan(0.2);
    }
  });

  it('have a reel overfilled by careless rewinding', () => {
    expect(rig('Plain nylon').load?.levelBelowRimM).toBeLessThan(0);
  });

  it('have a top shot that lost 14 m, and count and drag stale by it', () => {
    const record = rig('Five-colour');
    expect(record.load?.changes[0]).toMatchObject({ changeM: -14, reason: 'lost' });
    expect(stationStates(record)).toMatchObject({
      count: { state: 'stale' },
      drag: { state: 'stale' },
      load: { state: 'done' },
    });
  });

  it('have depths that tune one rig, and a planer whose dive nobody has seen', () => {
    const view = rigView(rig('Five-colour'));
    expect(view && towedRig(view).marks).toHaveLength(2);
    const planer = rigView(rig('Planer rod'));
    expect(planer && towedRig(planer).isDiveOpen).toBe(true);
  });

  it('have a counter with another constant than its twin', () => {
    const constants = ['Copper rod, port', 'Copper rod, starboard'].map(
      (name) => rigView(rig(name))?.counter?.constantM.value ?? NaN,
    );
    expect(Math.abs((constants[0] ?? NaN) / (constants[1] ?? NaN) - 1)).toBeGreaterThan(0.05);
  });

  it('have two nylons under different labels that pull alike', () => {
    const record = rig('Thirty-seven');
    const strengths = ['Class nylon 37, spool A', 'Nylon 30, spool B'].map((name) => {
      const product = record.products.find((candidate) => candidate.name === name);
      return productStrength(record, product?.id ?? '').summary?.meanN ?? NaN;
    });
    expect(Math.abs((strengths[0] ?? NaN) / (strengths[1] ?? NaN) - 1)).toBeLessThan(0.05);
    const pair = labelsCompared(record).find(
      (each) => each.first.name.includes('spool') && each.second.name.includes('spool'),
    );
    expect(pair).toMatchObject({ labelsDiffer: true });
    expect(pair?.found.verdict).not.toBe('different');
  });

  it('have a class line that tests over its class, soaked', () => {
    const record = rig('Twenty-four');
    const product = record.products.find((candidate) => candidate.name === 'Class nylon 24, green');
    const { summary } = productStrength(record, product?.id ?? '');
    expect(fromSi('force', summary?.meanN ?? NaN, 'kg')).toBeGreaterThan(24);
    expect(record.strengthTests.find((test) => test.productId === product?.id)?.condition).toBe('soaked');
  });

  it('have a sticky drag, a preset turned in gear, and a join never pull-tested', () => {
    const { dragSetting } = rig('Thirty-seven');
    expect(dragSetting && judgeScaleSession(sessionPulls(dragSetting), dragSetting.targetN)).toMatchObject({
      sticky: true,
      verdict: 'set',
    });
    const sixty = rig('Sixty');
    expect(presetOf(sixty.presetActs)).toMatchObject({ lever: 'in gear', wrongTurns: 1 });
    // A drag that was set before somebody turned its preset is stale.
    expect(stationStates(sixty).drag).toMatchObject({
      state: 'stale',
      why: { reason: 'changed-since', figures: { what: expect.arrayContaining(['the preset']) as string[] } },
    });
    expect(rig('Sixty').joins.every((join) => !join.pullTested)).toBe(true);
  });

  it('have a lever whose curve reaches from free to full, and a planer that it brackets', () => {
    const planer = rig('Planer rod');
    const lever = leverOfRig(planer);
    expect(lever.curve).toMatchObject({ ok: true });
    expect(lever.curve.ok && lever.curve.value.forceAt(0)).toBeLessThan(3);
    const name = planer.planerLooks[0]?.planer ?? '';
    const found = planerFound(planerQuestion(planer, name, PLANER_SPEED_MS));
    expect(found.counted).toBe(planer.planerLooks.length);
    expect(found.stops.high / found.stops.low).toBeLessThan(6);
    expect((found.newtons?.highN ?? NaN) / (found.newtons?.lowN ?? NaN)).toBeLessThan(6);
  });

  it('have drags set within a twentieth of their target', () => {
    for (const record of rigs.filter((candidate) => candidate.dragSetting)) {
      const setting = record.dragSetting;
      const judged = setting && judgeScaleSession(sessionPulls(setting), setting.targetN);
      expect(Math.abs((judged?.medianN ?? NaN) / (setting?.targetN ?? NaN) - 1)).toBeLessThanOrEqual(0.05);
    }
  });
});
