import { woundRig } from '../../../tests/rigFixture';
import type { ReplacementRecord, TieRecord } from '../../record/record';
import { standingOnRig } from './joinsOfRig';

const tie: TieRecord = {
  id: 't',
  school: 'sheath-double',
  seatedN: null,
  pullTested: true,
  person: null,
  note: '',
  hasPhoto: false,
  drags: 0,
  fish: 0,
  at: '2026-03-02T10:00:00.000Z',
};
const replaced = (segmentId: string, at: string): ReplacementRecord => ({
  ...{ id: 'r', segmentId, productId: 'top', lengthM: 60, windOnId: null, note: '', at },
});

it('a join is untied where one of its lines was replaced or turned round since, whichever side it is', () => {
  const standing = (segmentId: string, at: string) => {
    const rig = woundRig({ replacements: [replaced(segmentId, at)] });
    const join = rig.joins[2];
    if (!join) throw new Error('the fixture is broken');
    return standingOnRig(rig, { ...join, lastTie: tie }, Date.parse('2026-03-10T00:00:00.000Z')).standing;
  };
  expect(standing('s2', '2026-03-03T10:00:00.000Z')).toBe('not tied');
  expect(standing('s1', '2026-03-03T10:00:00.000Z')).toBe('not tied');
  expect(standing('s0', '2026-03-03T10:00:00.000Z')).toBe('good');
  expect(standing('s2', '2026-03-01T10:00:00.000Z')).toBe('good');
});
