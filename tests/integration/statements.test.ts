import { Client } from 'pg';
import { loadDemo } from '../../demo/loadDemo';
import { ormundSound } from '../../demo/ormundSound';
import { NO_BOAT, NOBODY, withBoat } from '../../db/withBoat';
import { listBoats } from '../../db/queries/boats';
import { listRigs } from '../../db/queries/rigs';
import { readAtAGlance, readLocker } from '../../usecases/rigs/locker';
import { readRig } from '../../usecases/rigs/readRigs';
import { windingInput } from '../../usecases/load/loadInput';
import { beginWinding, look, noteWinding } from './acts';
import { closeDatabase, freshDatabase } from './database';
import { bench, must } from './gear';

let boatId: string;
let rigIds: readonly string[];

beforeAll(async () => {
  await freshDatabase();
  await loadDemo([ormundSound]);
  boatId = (await withBoat(NOBODY, NO_BOAT, 'read', listBoats))[0]?.id ?? '';
  rigIds = (await look((db) => listRigs(db, boatId))(boatId)).map((rig) => rig.id);
}, 120_000);
afterAll(closeDatabase);

/** Statements that work sends, without BEGIN, COMMIT and the boat's setting. */
async function statementsOf(work: () => Promise<unknown>): Promise<number> {
  const sent: string[] = [];
  const query = jest.spyOn(Client.prototype, 'query').mockImplementation(function (this: Client, ...given: unknown[]) {
    const [asked] = given as [string | { text: string }];
    sent.push(typeof asked === 'string' ? asked : asked.text);
    return (plainQuery as (...all: unknown[]) => unknown).apply(this, given);
  });
  await work();
  query.mockRestore();
  return sent.filter((text) => !/^(BEGIN|COMMIT|ROLLBACK|SELECT set_config)/.test(text.trim())).length;
}

// Kept before any test stands in its way.
const plainQuery: unknown = Object.getOwnPropertyDescriptor(Client.prototype, 'query')?.value;

describe('what a page asks of the database', () => {
  it('is one record of a rig, read once', async () => {
    const sent = await statementsOf(() => look(readRig)(boatId, rigIds[0] ?? ''));
    console.info(`statements of a rig's page: ${sent}`);
    expect(sent).toBeLessThanOrEqual(30);
  });

  it('is ten statements at most for a noted reading', async () => {
    const b = await bench('Statements');
    const { loadId } = must(await beginWinding(b.boatId, b.rigId, { version: 2, levelBelowRimM: 0.002 }));
    const note = windingInput.parse({ segmentId: b.stack.segments[0]?.id, reading: 870 });
    const sent = await statementsOf(() => noteWinding(b.boatId, b.rigId, loadId, note));
    console.info(`statements of a noted reading: ${sent}`);
    expect(sent).toBeLessThanOrEqual(10);
  });

  it('does not grow with the rigs of a locker', async () => {
    const few = await statementsOf(() => look(readLocker)(boatId, 'Copper', 1));
    const all = await statementsOf(() => look(readLocker)(boatId, '', 1));
    expect(few).toBe(all);
    // Nor does the glance at a boat on the first page, which says of every rod what its stations say.
    expect(await statementsOf(() => look(readAtAGlance)(boatId))).toBeLessThanOrEqual(all);
    const [glance, locker] = [await look(readAtAGlance)(boatId), await look(readLocker)(boatId, '', 1)];
    const stale = locker.rigs.filter((rig) => Object.values(rig.states).some(({ state }) => state === 'stale'));
    expect(glance.rods.filter((rod) => rod.stale.length > 0).map(({ name }) => name)).toEqual(
      stale.map(({ name }) => name),
    );
    expect(stale.length).toBeGreaterThan(0);
  });
});
