import { canBeOwn, countsTurns, ownFigureOf, withOwnCounts, withOwnRange } from './ownFigures';
import { schoolById, SCHOOLS, type GuideStep } from './schools';

const plait = schoolById('plait-long');
if (!plait) throw new Error('a school expected');
const ours = { school: 'plait-long', step: 'plait', least: 28, most: 30 };
const stepOf = (id: string): GuideStep => {
  const found = plait.steps.find((step) => step.id === id);
  if (!found) throw new Error(`no step ${id}`);
  return found;
};

describe('figures of a crew’s own', () => {
  it('are counts and lengths, never pulls', () => {
    const own = plait.steps.filter(canBeOwn).map(({ id }) => id);
    expect(own).toEqual(['overhang', 'plait', 'lock', 'hitch', 'trim']);
    for (const { steps } of SCHOOLS) expect(steps.filter((step) => step.kind === 'seat').some(canBeOwn)).toBe(false);
  });

  it('count turns where the school does, and round the arbor', () => {
    const arbor = schoolById('arbor-sliding')?.steps.find(({ id }) => id === 'turns');
    expect(arbor && countsTurns(arbor)).toBe(true);
    expect(plait.steps.filter(countsTurns).map(({ id }) => id)).toEqual(['plait', 'lock', 'hitch']);
  });

  it('stand in the place of the school’s own step, and of no other', () => {
    const changed = withOwnCounts(plait, [ours, { ...ours, school: 'plait-short', step: 'hitch' }]);
    expect(changed.steps.map(({ times }) => times)).toEqual(
      plait.steps.map(({ id, times }) => (id === 'plait' ? { least: 28, most: 30 } : times)),
    );
    expect(ownFigureOf(plait, stepOf('plait'), [ours])).toBe(ours);
    expect(ownFigureOf(plait, stepOf('lock'), [ours])).toBeNull();
    const figure = {
      name: 'bury',
      least: 0.2,
      most: 0.3,
      unit: 'm',
      why: { reason: 'figure-tag', figures: {} },
    } as const;
    expect(withOwnRange(figure, { ...ours, least: 0.25, most: 0.28 })).toMatchObject({
      least: 0.25,
      most: 0.28,
      unit: 'm',
    });
    expect(withOwnRange(figure, null)).toBe(figure);
  });
});
