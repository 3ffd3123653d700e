import { solveSegment, type SegmentToSolve } from '../spool/solveSegment';
import { whatCanGive } from './whatCanGive';

const segment = (id: string, lengthM: number | null, lineDiameterM: number, wound = true): SegmentToSolve => ({
  ...{ id, name: id, lengthM, lineDiameterM, packing: 0.66, wound },
});
const SPOOL = { arborDiameterM: 0.03, widthM: 0.03 };
const stack = (runningM: number) => [
  segment('backing', null, 0.0004),
  segment('running', runningM, 0.0004),
  segment('copper', 90, 0.0007),
  segment('leader', 13.7, 0.00045),
  segment('by hand', 9, 0.0005, false),
];

function excess(segments: readonly SegmentToSolve[]): number {
  const solved = solveSegment(SPOOL, segments, 0.058);
  if (solved.ok) throw new Error('the stack fits');
  return solved.figures.takenVolumeM3 - solved.figures.availableVolumeM3;
}

describe('what can give', () => {
  it('is every segment that is long enough, each with what would do alone', () => {
    const segments = stack(170);
    const ways = whatCanGive(segments, excess(segments));
    expect(ways.map(({ name }) => name)).toEqual(['copper', 'running']);
    for (const { id, lengthM, lessM } of ways) {
      const shorter = segments.map((each) => (each.id === id ? { ...each, lengthM: lengthM - lessM - 0.01 } : each));
      expect(solveSegment(SPOOL, shorter, 0.058).ok).toBe(true);
    }
  });

  it('is nothing where no single one is long enough', () => {
    const segments = [...stack(300), segment('more copper', 600, 0.0007), segment('still more', 600, 0.0007)];
    expect(whatCanGive(segments, excess(segments))).toEqual([]);
  });
});
