import { closeDatabase, freshDatabase } from './database';
import { RandomActs } from './randomActs';

/** How many sequences; `npm run bench -- acts` runs many more. */
const SEQUENCES = Number(process.env.ACT_SEQUENCES ?? 200);
const FIRST = Number(process.env.ACT_FIRST_SEED ?? 1);
const STEPS = 8;
/** Sequences that run in one go, each on a boat of its own. */
const ABREAST = 4;

beforeAll(freshDatabase);
afterAll(closeDatabase);

describe('any sequence of acts', () => {
  it(`leaves the record true to the reel, and every point of it to come back to (${SEQUENCES} sequences)`, async () => {
    for (let seed = FIRST; seed < FIRST + SEQUENCES; seed += ABREAST) {
      await Promise.all(Array.from({ length: ABREAST }, (_, index) => run(seed + index)));
    }
    // Of a part of a longer run the rarest acts may be missing.
    if (process.env.ACT_FIRST_SEED !== undefined || SEQUENCES < 100) return;
    // Nothing that the sequences are meant to try was left out by chance.
    expect(TRIED.filter((tried) => !seen.has(tried))).toEqual([]);
  }, 3_600_000);
});

/** What must have happened over many sequences, at least once each. */
const TRIED = [
  'saveStack ok',
  'beginWinding ok',
  'noteWinding ok',
  'noteWinding counter-says-other-length',
  'finishWinding ok',
  'cancelWinding ok',
  'abandonWinding ok',
  'loseLine ok',
  'changeLength ok',
  'tieJoin ok',
  'recordTrial ok',
  'acceptCalibration ok',
  'startDragSetting ok',
  'recordDragPull ok',
  'dropSession ok',
  'twice 2',
  'redo',
  'undo',
];
const seen = new Map<string, number>();

async function run(seed: number): Promise<void> {
  const acts = await RandomActs.begin(seed);
  try {
    for (let step = 0; step < STEPS; step += 1) {
      await acts.step();
      await acts.check();
    }
    for (const done of acts.done) {
      const what = done.startsWith('undo') ? 'undo' : done;
      seen.set(what, (seen.get(what) ?? 0) + 1);
    }
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new Error(`seed ${seed}: ${why}\nafter ${acts.done.join(', ')}`);
  }
}
