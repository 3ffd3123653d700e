import { compareSchools, type SchooledPull } from './compareSchools';
import { joinBoundShare } from './joinEfficiency';

const pulls = (school: string, shares: readonly number[], kind: SchooledPull['kind'] = 'plaited-braid-to-leader') =>
  shares.map((share): SchooledPull => ({ kind, school, peakN: 100 * share, weakerN: 100, brokeAt: 'join' }));

describe('schools compared', () => {
  it('are told apart by enough breaks, and not by a few scattered ones', () => {
    const clear = compareSchools([
      ...pulls('twenty plaits', [0.95, 0.96, 0.94, 0.95, 0.96]),
      ...pulls('eleven each', [0.8, 0.81, 0.79, 0.8, 0.82]),
    ]);
    expect(clear.pairs).toHaveLength(1);
    expect(clear.pairs[0]?.found).toMatchObject({ verdict: 'different' });
    const few = compareSchools([...pulls('a', [0.9, 0.8]), ...pulls('b', [0.85, 0.95])]);
    expect(few.pairs[0]?.found).toMatchObject({ verdict: 'not enough pulls to tell' });
    expect(few.pairs[0]?.found?.pullsNeeded).toBeGreaterThan(2);
  });

  it('are compared within one kind of join, and a break at a grip says nothing', () => {
    const grip = pulls('a', [0.2]).map((pull) => ({ ...pull, brokeAt: 'grip' as const }));
    const { schools, pairs } = compareSchools([
      ...pulls('a', [0.9, 0.91, 0.92]),
      ...grip,
      ...pulls('single', [0.7, 0.71], 'sheath-over-mono'),
    ]);
    expect(schools.map((school) => school.n)).toEqual([3, 2]);
    expect(schools[0]?.efficiency).toMatchObject({ source: 'measured' });
    expect(schools[1]?.efficiency).toMatchObject({ source: 'default' });
    expect(pairs).toEqual([]);
  });

  it('have no verdict while one was broken once', () => {
    const { pairs } = compareSchools([...pulls('a', [0.9, 0.91]), ...pulls('b', [0.8])]);
    expect(pairs[0]?.found).toBeNull();
  });

  it('lend a join what 95 of 100 of it keep, from three breaks on', () => {
    // Three breaks, SD 0.01: 7.656 of them below the mean (Owen's tables).
    expect(joinBoundShare(pulls('a', [0.89, 0.9, 0.91]))).toBeCloseTo(0.9 - 7.656 * 0.01, 4);
    expect(joinBoundShare(pulls('a', [0.89, 0.9]))).toBeNull();
    expect(joinBoundShare([])).toBeNull();
  });
});
