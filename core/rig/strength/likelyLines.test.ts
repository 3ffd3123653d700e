import { plannedRig } from '../../../tests/rigFixture';
import { likelyLines } from './likelyLines';

describe('the lines that may have been in the grips', () => {
  const rig = plannedRig();

  it('stand in the order of how well the pull fits what each should break at', () => {
    // Labels: nylon 103 N, lead core 67 N, top shot nylon 58 N; plain nylon breaks well above its label (common practice).
    const names = (peakN: number, givenTo: string) => likelyLines(rig, peakN, givenTo).map(({ line }) => line.id);
    expect(names(84, 'nylon')[0]).toBe('top');
    expect(names(140, 'lead')[0]).toBe('nylon');
    expect(names(66, 'top')[0]).toBe('lead');
  });

  it('put those of which nothing is known last', () => {
    const products = rig.products.map((line) => (line.id === 'lead' ? { ...line, labelStrengthN: null } : line));
    const last = likelyLines({ ...rig, products }, 66, 'top').at(-1);
    expect(last).toMatchObject({ line: { id: 'lead' }, expectedN: null, offSds: null });
  });
});
