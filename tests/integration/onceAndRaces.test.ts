import { randomUUID } from 'node:crypto';
import { NOBODY } from '../../db/withBoat';
import { isBusyOrGone } from '../../usecases/requests/trouble';
import { finishInput } from '../../usecases/load/loadInput';
import type { UseCaseOutcome } from '../../usecases/outcome';
import { perform } from '../../usecases/requests/perform';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { SCHEMAS, type RequestBody } from '../../usecases/requests/schemas';
import { addPerson, beginWinding, changeReel, createReel, finishWinding, noteWinding, readRigRecord } from './acts';
import { asOwner, closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

let b: Bench;

beforeAll(freshDatabase);
beforeEach(async () => {
  b = await bench(`Boat ${Math.trunc(performance.now() * 1000)}`);
});
afterAll(closeDatabase);

/** A request as a browser sends it, with a key of its own unless one is given. */
async function ask<N extends RequestName>(
  name: N,
  params: Omit<RequestParams<N>, 'boatId'>,
  body: unknown,
  key: string = randomUUID(),
): Promise<UseCaseOutcome<unknown>> {
  const input = SCHEMAS[name].parse(body) as RequestBody<N>;
  return perform(NOBODY, name, { boatId: b.boatId, ...params } as unknown as RequestParams<N>, input, key);
}

/** Many hands pressing at once; what the server says under load is "later", and nothing else may fail. */
async function atOnce(times: number, act: (index: number) => Promise<UseCaseOutcome<unknown>>) {
  const settled = await Promise.allSettled(Array.from({ length: times }, (_, index) => act(index)));
  const strange = settled.filter((each) => each.status === 'rejected' && !isBusyOrGone(each.reason));
  expect(strange).toEqual([]);
  return settled.flatMap((each) => (each.status === 'fulfilled' ? [each.value] : []));
}

const count = async (table: string, where: string, values: unknown[]): Promise<number> =>
  Number((await asOwner<{ n: string }>(`SELECT count(*) AS n FROM ${table} WHERE ${where}`, values)).rows[0]?.n);

async function loaded(): Promise<string> {
  const { loadId } = must(await beginWinding(b.boatId, b.rigId, { version: 2, levelBelowRimM: 0.002 }));
  for (const segment of (await readRigRecord(b.boatId, b.rigId))?.load?.segments ?? []) {
    const note = { segmentId: segment.segmentId, reading: segment.stopReading, lengthIs: 'plan' as const };
    const none = {
      laps: null,
      meteredLengthM: null,
      turnsCounted: null,
      instrument: 'read by eye',
      note: '',
      corrects: null,
    };
    must(await noteWinding(b.boatId, b.rigId, loadId, { ...note, ...none }));
  }
  must(await finishWinding(b.boatId, b.rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.002 })));
  return loadId;
}

describe('the same key', () => {
  it('gives the same answer and no second row, for every kind of row that used to double', async () => {
    const loadId = await loaded();
    const test = await ask(
      'startStrengthTest',
      {},
      { productId: b.lineIds[0], condition: 'dry', gaugeLengthM: 0.5, expectedN: 100 },
    );
    const testId = (must(test) as { id: string }).id;
    const acts: readonly [string, (key: string) => Promise<UseCaseOutcome<unknown>>][] = [
      ['people', (key) => ask('addPerson', {}, { name: 'Wren', hand: 'left' }, key)],
      [
        'line_products',
        (key) =>
          ask(
            'createLine',
            {},
            { name: 'N', material: 'nylon', diameterM: 0.0004, diameterSource: 'label', labelStrengthN: null },
            key,
          ),
      ],
      ['strength_pulls', (key) => ask('recordStrengthPull', { testId }, { peakN: 90, breakPlace: 'middle' }, key)],
      [
        'supply_spools',
        (key) =>
          ask(
            'addSupply',
            {},
            { lineProductId: b.lineIds[0], label: 'S', boughtLengthM: 300, remainingLengthM: 300 },
            key,
          ),
      ],
      [
        'line_changes',
        (key) =>
          ask(
            'changeLength',
            { rigId: b.rigId, loadId },
            { segmentId: b.stack.segments[2]?.id, changeM: 2, reason: 'lost' },
            key,
          ),
      ],
      [
        'counter_trials',
        (key) => ask('recordTrial', { rigId: b.rigId }, { kind: 'tape', loadId, trueLengthM: 30, reading: 30 }, key),
      ],
      [
        'line_marks',
        (key) => ask('markLine', { rigId: b.rigId }, { loadId, kind: 'inked', looks: 'red', lengthOutM: 20 }, key),
      ],
      [
        'strength_sessions',
        (key) =>
          ask(
            'planSession',
            {},
            {
              name: 'P',
              condition: 'dry',
              gaugeLengthM: 0.5,
              pullsEach: 3,
              lines: [{ productId: b.lineIds[0], expectedN: 90 }],
            },
            key,
          ),
      ],
    ];
    for (const [table, act] of acts) {
      const before = await count(table, 'boat_id = $1', [b.boatId]);
      const key = randomUUID();
      const first = must(await act(key));
      const again = await atOnce(6, () => act(key));
      for (const each of again) expect([table, must(each)]).toEqual([table, first]);
      expect([table, await count(table, 'boat_id = $1', [b.boatId])]).toEqual([table, before + 1]);
    }
  });

  it('is no key for another request, nor for the same on another boat', async () => {
    const key = randomUUID();
    must(await ask('addPerson', {}, { name: 'Wren', hand: 'left' }, key));
    expect(await ask('addPerson', {}, { name: 'Finch', hand: 'left' }, key)).toMatchObject({ status: 409 });
    b = await bench('Another boat');
    must(await ask('addPerson', {}, { name: 'Wren', hand: 'left' }, key));
  });

  it('is not used up by a refusal', async () => {
    const key = randomUUID();
    expect(await ask('beginWinding', { rigId: b.rigId }, { version: 9, levelBelowRimM: 0.002 }, key)).toMatchObject({
      status: 409,
    });
    must(await ask('beginWinding', { rigId: b.rigId }, { version: 2, levelBelowRimM: 0.002 }, key));
  });
});

/** Each race is run so often; the bench runs them two hundred times. */
const ROUNDS = Number(process.env.RACE_ROUNDS ?? 4);

describe('many hands at once', () => {
  it('put one rig on a reel', async () => {
    for (let round = 0; round < ROUNDS; round += 1) {
      const reelId = must(await createReel(b.boatId, { ...REEL, name: `Reel ${round}` })).id;
      await atOnce(12, (index) => ask('createRig', {}, { name: `Rod ${round}.${index}`, note: '', reelId }));
      expect(await count('rigs', 'reel_id = $1', [reelId])).toBe(1);
    }
  });

  it('take no more line than there is, and put on no more than fits', async () => {
    for (let round = 0; round < ROUNDS; round += 1) {
      b = await bench(`Losses ${round} ${randomUUID()}`);
      const loadId = await loaded();
      const segmentId = b.stack.segments[2]?.id ?? '';
      await atOnce(30, () =>
        ask('changeLength', { rigId: b.rigId, loadId }, { segmentId, changeM: 9, reason: 'lost' }),
      );
      const lost = await asOwner<{ m: number }>('SELECT sum(change_m) AS m FROM line_changes WHERE load_id = $1', [
        loadId,
      ]);
      expect(Number(lost.rows[0]?.m)).toBeGreaterThanOrEqual(-40);
      const added = await atOnce(3, () =>
        ask(
          'changeLength',
          { rigId: b.rigId, loadId },
          { segmentId: b.stack.segments[1]?.id, changeM: 4000, reason: 'added' },
        ),
      );
      for (const each of added) expect(each).toMatchObject({ status: 422, why: { reason: 'added-over-the-rim' } });
    }
  });

  it('keep one note of a segment and refuse the others aloud, and keep none after the load is finished', async () => {
    for (let round = 0; round < ROUNDS; round += 1) {
      b = await bench(`Notes ${round} ${randomUUID()}`);
      const { loadId } = must(await beginWinding(b.boatId, b.rigId, { version: 2, levelBelowRimM: 0.002 }));
      const [first, second, third] = b.stack.segments;
      const note = (segmentId: string | undefined, reading: number) =>
        ask('noteWinding', { rigId: b.rigId, loadId }, { segmentId, reading, lengthIs: 'piece' });
      const noted = await atOnce(50, (index) => note(first?.id, 840 + index));
      const kept = (await readRigRecord(b.boatId, b.rigId))?.load?.winding ?? [];
      expect(kept).toHaveLength(1);
      expect(noted.filter((each) => each.ok)).toHaveLength(1);
      for (const each of noted.filter((one) => !one.ok)) {
        expect(each).toMatchObject({
          status: 409,
          why: { reason: 'end-noted-elsewhere-at', figures: { segment: 'Backing', reading: kept[0]?.reading } },
        });
      }
      // Who saw the note that stands corrects it.
      const right = { segmentId: first?.id, reading: 861, lengthIs: 'piece', corrects: kept[0]?.id };
      must(await ask('noteWinding', { rigId: b.rigId, loadId }, right));
      expect(await ask('noteWinding', { rigId: b.rigId, loadId }, right)).toMatchObject({ status: 409 });
      must(await note(second?.id, 950));
      must(await note(third?.id, 962));
      const finish = ask('finishWinding', { rigId: b.rigId, loadId }, { version: 1, levelBelowRimM: null });
      await Promise.all([atOnce(6, () => note(first?.id, 850)), finish]);
      const standing =
        'load_id = $1 AND NOT withdrawn AND NOT EXISTS (SELECT FROM winding_entries later WHERE later.corrects_id = winding_entries.id)';
      expect(await count('winding_entries', standing, [loadId])).toBe(3);
      expect(
        await count('winding_entries', 'load_id = $1 AND noted_at > (SELECT finished_at FROM loads WHERE id = $1)', [
          loadId,
        ]),
      ).toBe(0);
    }
  });

  it('work a preset one step at a time', async () => {
    const { version } = (await readRigRecord(b.boatId, b.rigId))?.reel ?? { version: 1 };
    must(await changeReel(b.boatId, b.reelId, version, { ...REEL, dragKind: 'lever' }));
    for (let round = 0; round < ROUNDS; round += 1) {
      must(await ask('workPreset', { rigId: b.rigId }, { act: 'into-gear' }));
      const freed = await atOnce(12, () => ask('workPreset', { rigId: b.rigId }, { act: 'to-free' }));
      expect(freed.filter((each) => each.ok)).toHaveLength(1);
      expect(await count('preset_acts', "rig_id = $1 AND act = 'to-free'", [b.rigId])).toBe(round + 1);
    }
  });
});

describe('identifiers', () => {
  it('are one in both cases, and a segment of another rig is refused', async () => {
    const stack = {
      ...b.stack,
      version: 2,
      segments: b.stack.segments.map((each) => ({ ...each, id: each.id.toUpperCase() })),
    };
    const twice = {
      ...stack,
      segments: [...stack.segments, { ...stack.segments[0], id: stack.segments[0]?.id.toLowerCase(), lengthM: 5 }],
    };
    expect(SCHEMAS.saveStack.safeParse(twice).success).toBe(false);
    must(await ask('saveStack', { rigId: b.rigId }, stack));
    expect((await readRigRecord(b.boatId, b.rigId))?.segments).toHaveLength(3);
    const reelId = must(await createReel(b.boatId, { ...REEL, name: 'Second reel' })).id;
    const rigId = (must(await ask('createRig', {}, { name: 'Second rod', note: '', reelId })) as { id: string }).id;
    expect(await ask('saveStack', { rigId }, { ...b.stack, version: 1 })).toMatchObject({
      status: 422,
      fields: [{ path: 'segments.0.id' }],
    });
    // What was begun is undone: the second rod has no line.
    expect((await readRigRecord(b.boatId, rigId))?.segments).toEqual([]);
  });

  it('of another boat may be the same', async () => {
    const first = b;
    b = await bench('Twin boat');
    must(
      await ask(
        'saveStack',
        { rigId: b.rigId },
        {
          ...b.stack,
          version: 2,
          segments: b.stack.segments.map((each, index) => ({ ...each, id: first.stack.segments[index]?.id })),
          joins: [],
        },
      ),
    );
    expect((await readRigRecord(first.boatId, first.rigId))?.segments).toHaveLength(3);
    must(await addPerson(first.boatId, { name: 'Wren', hand: 'left' }));
  });
});
