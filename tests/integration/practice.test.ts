import { playPractice } from '../../usecases/count/practice';
import { practiceInput } from '../../usecases/count/practiceInput';
import { must } from './gear';

const play = (seed: number, strippedM: readonly number[], ended = false) =>
  playPractice(practiceInput.parse({ seed, strippedM, ended }));

describe('the practice reel', () => {
  it('repeats from its seed, goes on from what was taken off, and tells the truth at the end only', () => {
    const first = must(play(11, []));
    expect(must(play(11, []))).toEqual(first);
    expect(first.score).toBeNull();
    const second = must(play(11, [20], true));
    expect(second.readings).toHaveLength(2);
    expect(second.readings[0]).toBe(first.readings[0]);
    expect(second.score?.trueError).toBeGreaterThan(must(play(11, [], true)).score?.trueError ?? NaN);
  });

  it('proves the advice: followed to the letter it is right on nearly every reel, in two or three walks', () => {
    const walks = Array.from({ length: 16 }, (_, seed) => must(play(seed + 1, [], true)).score?.adviceWalks ?? null);
    expect(walks.filter((each) => each !== null).length).toBeGreaterThanOrEqual(15);
    expect(walks.filter((each) => each !== null && each <= 3).length).toBeGreaterThanOrEqual(12);
  });

  it('refuses what cannot be done, with a sentence', () => {
    expect(play(3, [480])).toMatchObject({ ok: false, status: 422 });
    expect(practiceInput.safeParse({ seed: 3, strippedM: [900] }).success).toBe(false);
    expect(practiceInput.safeParse({ seed: 0, strippedM: [] }).success).toBe(false);
  });
});
