import { inSteps } from './inSteps';

describe('what holds along a line', () => {
  const at = (lengthM: number, value: number | null) => ({ lengthM, value });

  it('falls before the length at which less is known, and rises at the one at which more is', () => {
    expect(inSteps([at(0, 60), at(10, 60), at(20, 30), at(30, 30), at(40, 50)])).toEqual([
      ...[at(0, 60), at(10, 60), at(10, 30), at(20, 30)],
      ...[at(30, 30), at(40, 30), at(40, 50)],
    ]);
  });

  it('leaves a gap where nothing is known', () => {
    const known = [at(0, 60), at(10, null), at(20, 30)];
    expect(inSteps(known)).toEqual(known);
  });
});
