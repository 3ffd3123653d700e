import { NOBODY } from '../../db/withBoat';
import { followRig } from '../../usecases/history/followRig';
import { askOf } from './ask';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, type Bench } from './gear';

let b: Bench;
const ending = new AbortController();

beforeAll(async () => {
  await freshDatabase();
  b = await bench('Halyard Lark');
});
afterAll(async () => {
  ending.abort();
  // The listening connection ends by itself once nobody follows.
  await new Promise((resume) => setTimeout(resume, 300));
  await closeDatabase();
});

describe('a page that follows a rig', () => {
  it('hears of every act on it within two seconds, and of no act on another', async () => {
    const events = await followRig(NOBODY, b.boatId, b.rigId, ending.signal);
    if (!events) throw new Error('the rig is gone');
    const reader = events.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
    expect((await reader.read()).value).toContain('data: none');
    // The line to the database opens meanwhile.
    await new Promise((resume) => setTimeout(resume, 500));
    const other = await bench('Second Thought');
    must((await askOf(other.boatId, 'noteHang', { rigId: other.rigId }, { hangM: 0.4 })).outcome);
    const sentAt = performance.now();
    const { id, outcome } = await askOf(b.boatId, 'noteHang', { rigId: b.rigId }, { hangM: 0.3 });
    must(outcome);
    expect((await reader.read()).value).toBe(`data: ${id}\n\n`);
    expect(performance.now() - sentAt).toBeLessThan(2000);
    await reader.cancel();
  });

  it('is told when there is no such rig', async () => {
    expect(await followRig(NOBODY, b.boatId, b.boatId, ending.signal)).toBeNull();
  });
});
