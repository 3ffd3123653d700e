import type { JoinRecord } from '../../record/joins';
import { rigStrength } from '../../strength/rigStrength';
import { segmentsOfJoin, strandsAt, structuresOn } from './structures';

const join = (id: string, part: JoinRecord['part'], kind: JoinRecord['kind'], outer = 'b'): JoinRecord => ({
  ...{ id, part, kind, innerSegmentId: outer === 'a' ? null : 'a', outerSegmentId: outer },
  ...{ breaks: [], pullTested: false, lastTie: null, lastSlip: null },
});
const loops = [join('splice', 'inner', 'loop-splice'), join('loops', 'join', 'loop-to-loop')];

describe('the structures on a line', () => {
  const arbor = join('arbor', 'join', 'arbor-sliding-knot', 'a');

  it('are what meets at each place with the ends that belong to it', () => {
    expect(structuresOn([arbor, ...loops], [arbor, ...loops]).map(({ id }) => id)).toEqual([
      'arbor',
      'splice',
      'loops',
    ]);
  });

  it('have the planned ends where the planned join is on: without them it could not be there', () => {
    const noted = [arbor, join('loops', 'join', 'loop-to-loop')];
    expect(structuresOn(noted, [arbor, ...loops]).map(({ id }) => id)).toEqual(['arbor', 'splice', 'loops']);
  });

  it('keep the old ends while another join is planned and not tied, and lose them with it', () => {
    const knot = join('knot', 'join', 'double-sliding-knot');
    expect(structuresOn(loops, [knot]).map(({ id }) => id)).toEqual(['splice', 'loops']);
    expect(structuresOn([...loops.slice(0, 1), knot], [knot]).map(({ id }) => id)).toEqual(['knot']);
  });

  it('are each in its own line', () => {
    expect(segmentsOfJoin(join('x', 'inner', 'loop-splice'))).toEqual(['a']);
    expect(segmentsOfJoin(join('x', 'outer', 'tied-loop'))).toEqual(['b']);
    expect(segmentsOfJoin(join('x', 'join', 'loop-to-loop'))).toEqual(['a', 'b']);
    expect(segmentsOfJoin(arbor)).toEqual(['a']);
  });

  it('bear a doubled end with both strands, until the join itself was pulled', () => {
    const doubled = [join('twist', 'outer', 'long-loop-twist'), join('knot', 'join', 'double-sliding-knot')];
    const [, knot] = doubled as [JoinRecord, JoinRecord];
    expect(strandsAt(doubled, knot, false)).toEqual([1, 1.8]);
    expect(strandsAt(doubled, knot, true)).toEqual([1, 1]);
    expect(strandsAt([knot], knot, false)).toEqual([1, 1]);
  });
});

describe('the strength of a place with several structures', () => {
  const known = (value: number, sd = 0) => ({ value, sd, source: 'measured' as const });
  const segments = [
    { segmentId: 'a', name: 'backing', lengthM: 100, strengthN: known(600), boundN: null },
    { segmentId: 'b', name: 'top shot', lengthM: 50, strengthN: known(200), boundN: null },
  ];
  const at = (part: JoinRecord['part'], share: number, strands: readonly [number, number] = [1, 1]) => ({
    ...{ joinId: part, name: part, innerSegmentId: 'a', outerSegmentId: 'b', part, strands },
    ...{ efficiency: known(share), boundShare: null },
  });

  it('holds each against its own line, and the weakest counts', () => {
    const { places, weakest } = rigStrength(segments, [at('inner', 0.9), at('outer', 0.7), at('join', 0.88)]);
    const holds = (id: string) => places.find((place) => place.id === id)?.strengthN.value;
    expect(holds('inner')).toBeCloseTo(540, 9);
    expect(holds('outer')).toBeCloseTo(140, 9);
    expect(holds('join')).toBeCloseTo(176, 9);
    expect(weakest.id).toBe('outer');
  });

  it('takes a doubled line for both its strands', () => {
    const { places, weakest } = rigStrength(segments, [at('outer', 0.92), at('join', 0.7, [1, 1.8])]);
    expect(places.find((place) => place.id === 'join')?.strengthN.value).toBeCloseTo(0.7 * 360, 9);
    expect(weakest.id).toBe('outer');
  });
});
