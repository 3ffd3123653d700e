import { woundRig } from '../../../tests/rigFixture';
import type { JoinRecord, RigRecord } from '../../record/record';
import { tieList } from './tieList';

const AT = '2026-03-01T10:00:00.000Z';
const day = (count: number): number => Date.parse(AT) + count * 86_400_000;
const tie = (change: Partial<NonNullable<JoinRecord['lastTie']>> = {}): JoinRecord['lastTie'] => ({
  ...{
    id: 't',
    school: 's',
    seatedN: null,
    pullTested: true,
    person: null,
    note: '',
    hasPhoto: false,
    drags: 0,
    fish: 0,
  },
  ...{ at: AT },
  ...change,
});
/** The rig with each of its joins tied like this. */
const rig = (...ties: readonly JoinRecord['lastTie'][]): RigRecord => {
  const base = woundRig();
  const joins = base.joins.map((join, index) => ({ ...join, lastTie: ties[index] ?? null }));
  return { ...base, joins, planJoins: joins };
};
const told = (record: RigRecord, nowMs = day(1)) =>
  tieList(record, nowMs).rows.map(({ join, standing, minutes }) => `${join.id} ${standing} ${minutes}`);

describe('what to tie before a trip', () => {
  it('is nothing while everything is tied and pulled', () => {
    expect(tieList(rig(tie(), tie(), tie()), day(1))).toEqual({ rows: [], minutes: 0, dryMinutes: 0, needs: [] });
  });

  it('is what was never tied, with its minutes, and what was never pulled, with a pull’s', () => {
    const record = rig(null, tie({ pullTested: false }), tie());
    expect(told(record)).toEqual(['j0 not tied 3', 'j1 not pulled 2']);
    const list = tieList(record, day(1));
    expect(list.minutes).toBe(5);
    expect(list.needs).toEqual(['line clippers', 'gloves or a bar for the seating pull']);
    // Glue dries only where something is tied: an arbor knot takes none.
    expect(list.dryMinutes).toBe(0);
    expect(tieList(rig(tie(), null, tie()), day(1)).dryMinutes).toBe(5);
  });

  it('is what is worn, for the reason that it is worn by', () => {
    const [row] = tieList(rig(tie({ fish: 40 }), tie(), tie()), day(1)).rows;
    expect(row).toMatchObject({ standing: 'due', wornBy: ['fish'] });
    expect(told(rig(tie(), tie(), tie()), day(200)).map((each) => each.split(' ')[1])).toEqual(['due', 'due', 'due']);
  });

  it('is nothing of another line that is planned and not loaded', () => {
    const base = rig(tie(), tie(), tie());
    const other = base.planJoins.map((join, index) =>
      index === 2 ? { ...join, id: 'other', outerSegmentId: 'another leader', lastTie: null } : join,
    );
    expect(told({ ...base, planJoins: other })).toEqual([]);
  });

  it('is the join that is planned, not the one that it replaces', () => {
    const base = rig(tie(), tie(), tie());
    const [first, second, third] = base.joins as [JoinRecord, JoinRecord, JoinRecord];
    const loops = [
      { ...second, id: 'e', kind: 'tied-loop', part: 'outer', lastTie: null } as const,
      { ...second, id: 'k', kind: 'loop-to-loop', lastTie: null } as const,
    ];
    expect(told({ ...base, planJoins: [first, ...loops, third] })).toEqual(['e not tied 2', 'k not tied 2']);
  });
});
