import { NOBODY } from '../../db/withBoat';
import { followBoat } from '../../usecases/history/followBoat';
import { askOf } from './ask';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, REEL, type Bench } from './gear';

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
    const events = await followBoat(NOBODY, b.boatId, b.rigId, ending.signal);
    if (!events) throw new Error('the rig is gone');
    const reader = events.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
    expect((await reader.read()).value).toMatch(/data: (none|[0-9a-f-]{36})/);
    // The line to the database opens meanwhile.
    await new Promise((resume) => setTimeout(resume, 500));
    const other = await bench('Second Thought');
    must((await askOf(other.boatId, 'noteHang', { rigId: other.rigId }, { hangM: 0.4 })).outcome);
    const sentAt = performance.now();
    const { id, outcome } = await askOf(b.boatId, 'noteHang', { rigId: b.rigId }, { hangM: 0.3 });
    must(outcome);
    expect((await reader.read()).value).toBe(`data: ${id}\n\n`);
    expect(performance.now() - sentAt).toBeLessThan(2000);
    // What belongs to the whole boat is told of too, what is done on another rig is not.
    const second = must((await askOf(b.boatId, 'createReel', {}, REEL)).outcome) as { id: string };
    expect((await reader.read()).value).toMatch(/^data: /);
    const made = await askOf(b.boatId, 'createRig', {}, { name: 'Second', note: '', reelId: second.id });
    expect((await reader.read()).value).toBe(`data: ${made.id}\n\n`);
    const { id: otherRig } = must(made.outcome) as { id: string };
    must((await askOf(b.boatId, 'noteHang', { rigId: otherRig }, { hangM: 0.2 })).outcome);
    const last = await askOf(b.boatId, 'noteHang', { rigId: b.rigId }, { hangM: 0.5 });
    expect((await reader.read()).value).toBe(`data: ${last.id}\n\n`);
    await reader.cancel();
  });

  it('hears of everything on the boat where it shows the whole boat', async () => {
    const events = await followBoat(NOBODY, b.boatId, null, ending.signal);
    if (!events) throw new Error('the boat is gone');
    const reader = events.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
    await reader.read();
    await new Promise((resume) => setTimeout(resume, 500));
    const { id } = await askOf(b.boatId, 'noteHang', { rigId: b.rigId }, { hangM: 0.6 });
    expect((await reader.read()).value).toBe(`data: ${id}\n\n`);
    await reader.cancel();
  });

  it('is told when there is no such rig, or no such boat', async () => {
    expect(await followBoat(NOBODY, b.rigId, null, ending.signal)).toBeNull();
    expect(await followBoat(NOBODY, b.boatId, b.boatId, ending.signal)).toBeNull();
  });
});
