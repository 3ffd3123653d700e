import { woundRig } from '../../../tests/rigFixture';
import { joinsState, standingOnRig } from '../joins/joinsOfRig';
import { currentLine } from './currentLine';
import { cutFromHook } from './cutFromHook';

const rig = woundRig();
const found = currentLine(rig);
if (!found.ok) throw new Error(found.reason);
const { line } = found.value;
const lengthOf = (id: string): number => line.segments.find((segment) => segment.id === id)?.lengthM ?? NaN;

function cut(lengthM: number) {
  const outcome = cutFromHook(line, rig.joins, lengthM);
  if (!outcome.ok) throw new Error(outcome.reason);
  return outcome.value;
}

describe('cutFromHook', () => {
  it('takes part of the outermost segment and no join', () => {
    const short = cut(14);
    expect(short.pieces).toEqual([{ segmentId: 's2', name: 'Top shot', lengthM: 14, isWhole: false, wound: true }]);
    expect(short.goneJoins).toEqual([]);
    expect(short.outermost.leftM).toBeCloseTo(lengthOf('s2') - 14, 9);
    expect(short.outermostJoin?.id).toBe('j2');
    expect(short.leftM).toBeCloseTo(line.totalLengthM - 14, 9);
  });

  it('goes through a join: the whole top shot and a part of the lead core', () => {
    const long = cut(lengthOf('s2') + 10);
    expect(long.pieces.map(({ segmentId, lengthM, isWhole }) => [segmentId, lengthM, isWhole])).toEqual([
      ['s2', lengthOf('s2'), true],
      ['s1', expect.closeTo(10, 9), false],
    ]);
    expect(long.goneJoins.map((join) => join.id)).toEqual(['j2']);
    expect(long.outermost).toMatchObject({ segmentId: 's1', leftM: expect.closeTo(lengthOf('s1') - 10, 9) });
    expect(long.outermostJoin?.id).toBe('j1');
  });

  it('stops at a join that it just meets', () => {
    const whole = cut(lengthOf('s2'));
    expect(whole.pieces).toHaveLength(1);
    expect(whole.outermost).toMatchObject({ segmentId: 's1', leftM: lengthOf('s1') });
  });

  it('never takes all of it, and throws on what is no length', () => {
    expect(cutFromHook(line, rig.joins, line.totalLengthM)).toMatchObject({
      ok: false,
      reason: 'longer-than-line',
      figures: { leftM: line.totalLengthM },
    });
    expect(() => cutFromHook(line, rig.joins, 0)).toThrow(RangeError);
  });
});

describe('the joins of a line that tore', () => {
  const none: number | null = null as number | null;
  const tie = {
    id: 't',
    school: 'x',
    seatedN: none,
    pullTested: true,
    person: null,
    note: '',
    hasPhoto: false,
    drags: 0,
    fish: 0,
  };
  const tied = rig.joins.map((join) => ({ ...join, lastTie: { ...tie, at: '2026-04-01T10:00:00.000Z' } }));
  const change = (segmentId: string, changeM: number, at: string, reason: 'lost' | 'stripped' = 'lost') => ({
    id: `${segmentId}${at}`,
    segmentId,
    changeM,
    reason,
    note: '',
    at,
  });
  const torn = (...changes: ReturnType<typeof change>[]) => {
    const { load } = rig;
    if (!load) throw new Error('the fixture has no load');
    return { ...rig, joins: tied, load: { ...load, changes } };
  };
  const standings = (record: ReturnType<typeof torn>) =>
    record.joins.map((join) => standingOnRig(record, join, Date.parse(record.readAt)).standing);

  it('are due where they are outermost now and were tied before, and gone where their line is', () => {
    expect(standings(torn())).toEqual(['good', 'good', 'good']);
    expect(standings(torn(change('s2', -14, '2026-04-05T10:00:00.000Z')))).toEqual(['good', 'good', 'due']);
    const allOfTop = torn(change('s2', -lengthOf('s2'), '2026-04-05T10:00:00.000Z'));
    expect(standings(allOfTop)).toEqual(['good', 'due', 'gone']);
    expect(joinsState(allOfTop)).toMatchObject({ state: 'stale', why: { figures: { due: 1, joins: 2 } } });
  });

  it('stay due when new line was tied on outside of them, until they are tied anew themselves', () => {
    const gone = torn(change('s2', -lengthOf('s2'), '2026-04-05T10:00:00.000Z'));
    const mended = {
      ...gone,
      load: {
        ...gone.load,
        replacements: [
          {
            id: 'r',
            segmentId: 's2',
            productId: 'top',
            lengthM: 30,
            windOnId: null,
            note: '',
            at: '2026-04-06T10:00:00.000Z',
          },
        ],
      },
    };
    // The new line's own join has not been noted as tied either.
    expect(standings(mended)).toEqual(['good', 'due', 'not tied']);
    const tiedAnew = mended.joins.map((join) =>
      join.id === 'j1' ? { ...join, lastTie: { ...join.lastTie, at: '2026-04-07T10:00:00.000Z' } } : join,
    );
    expect(standings({ ...mended, joins: tiedAnew })).toEqual(['good', 'good', 'not tied']);
  });

  it('are under-seated where the measured seating pull closes no such join, whatever they held since', () => {
    const seated = (seatedN: number | null) => ({
      ...torn(),
      joins: tied.map((join) => (join.id === 'j2' ? { ...join, lastTie: { ...join.lastTie, seatedN } } : join)),
    });
    expect(standings(seated(1))).toEqual(['good', 'good', 'under-seated']);
    expect(joinsState(seated(1))).toMatchObject({ state: 'stale', why: { reason: 'joins-under-seated' } });
    expect(standings(seated(30))).toEqual(['good', 'good', 'good']);
    expect(standings(seated(null))).toEqual(['good', 'good', 'good']);
  });

  it('are as good as before where the line was cut by hand, or the join was tied since', () => {
    expect(standings(torn(change('s2', -14, '2026-04-05T10:00:00.000Z', 'stripped')))).toEqual([
      'good',
      'good',
      'good',
    ]);
    expect(standings(torn(change('s2', -14, '2026-03-20T10:00:00.000Z')))).toEqual(['good', 'good', 'good']);
  });
});
