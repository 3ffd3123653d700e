import { JOIN_KIND_NAMES } from './joinKinds';
import { joinStanding, type JoinUse } from './joinState';
import { prepFigure } from './prepFigures';
import type { JoinedLine, LinesToJoin } from './joinedLine';
import { schoolById, SCHOOLS, schoolsOf } from './schools';

const line = (material: string, diameterM: number, strengthN: number | null = 100): JoinedLine => ({
  name: material,
  material,
  diameterM,
  strengthN: strengthN === null ? null : { value: strengthN, sd: 3, source: 'measured' },
});
const REEL = { fullDiameterM: 0.06, widthM: 0.03, arborDiameterM: 0.03 };
const lines = (inner: JoinedLine | null, outer: JoinedLine): LinesToJoin => ({ inner, outer, reel: REEL });

describe('the schools', () => {
  it.each(SCHOOLS.map((school) => [school.id, school] as const))('%s has a seating pull, once named', (_, school) => {
    expect(school.steps.some((step) => step.kind === 'seat')).toBe(true);
    expect(new Set(school.steps.map((step) => step.id)).size).toBe(school.steps.length);
    expect(school.steps.find((step) => step.kind === 'seat')?.caution).toBe('braid-cuts');
  });

  it('trim nothing before the pull', () => {
    for (const { steps } of SCHOOLS) {
      const trim = steps.findIndex((step) => step.kind === 'trim');
      if (trim >= 0) expect(steps.findIndex((step) => step.kind === 'seat')).toBeLessThan(trim);
    }
  });

  it('tie every kind of join, and are found by their id', () => {
    for (const kind of JOIN_KIND_NAMES) expect(schoolsOf(kind).length).toBeGreaterThan(0);
    expect(schoolById('plait-counted')?.join).toBe('plaited-braid-to-leader');
    expect(schoolById('nonsense')).toBeNull();
  });

  it('keep the counts of common practice: 20 to 25 plaits and 6 to 10 hitches; 11 over and 11 under; 5 to 7 wraps', () => {
    const times = (id: string, step: string) => schoolById(id)?.steps.find((each) => each.id === step)?.times;
    expect(times('plait-long', 'plait')).toEqual({ least: 20, most: 25 });
    expect(times('plait-long', 'hitch')).toEqual({ least: 6, most: 10 });
    expect(times('plait-counted', 'plait')).toEqual({ least: 22, most: 22 });
    expect(times('double-sliding', 'first')).toEqual({ least: 5, most: 7 });
    expect(times('arbor-sliding', 'knot')).toEqual({ least: 5, most: 6 });
    expect(times('loop-to-loop', 'through')).toEqual({ least: 2, most: 2 });
  });
});

describe('prepFigure', () => {
  const pair = lines(line('hollow braid', 0.001, 400), line('nylon', 0.0008, 250));

  it('buries 20 to 30 cm, more in thick braid (schools: 8 to 12 in)', () => {
    expect(prepFigure('bury', pair)).toMatchObject({ least: 0.2, most: 0.3, unit: 'm' });
    expect(prepFigure('bury', lines(line('hollow braid', 0.003), line('nylon', 0.001)))?.least).toBeCloseTo(0.3, 9);
  });

  it('bares 10 to 15 cm of lead (schools: 4 to 6 in)', () => {
    expect(prepFigure('strip', pair)).toMatchObject({ least: 0.1, most: 0.15 });
  });

  it('seats with a quarter to two fifths of the weaker line, if a strength is known', () => {
    expect(prepFigure('seating', pair)).toMatchObject({ least: 62.5, most: 100, unit: 'N' });
    expect(prepFigure('seating', lines(null, line('nylon', 0.0004, null)))).toBeNull();
  });

  it('makes a loop that the reel passes, and a needle that the line enters', () => {
    expect(prepFigure('loop', pair)?.least).toBeGreaterThan(REEL.fullDiameterM + REEL.widthM);
    const needle = prepFigure('needle', pair);
    expect(needle?.least).toBe(0.0008);
    expect(needle?.most).toBeGreaterThan(0.001);
  });

  it.each(['overhang', 'tag', 'wraps', 'taper', 'arborTurns'] as const)('has a range for %s', (name) => {
    const figure = prepFigure(name, pair);
    expect(figure && figure.least > 0 && figure.most >= figure.least).toBe(true);
  });

  it('gives braid more turns on the arbor than nylon', () => {
    const turns = (material: string) => prepFigure('arborTurns', lines(null, line(material, 0.0003)))?.least ?? NaN;
    expect(turns('braid')).toBeGreaterThan(turns('nylon'));
  });
});

describe('joinStanding', () => {
  const at = '2026-03-01T10:00:00.000Z';
  const days = (count: number): number => Date.parse(at) + count * 86_400_000;
  const tied = (change: Partial<JoinUse> = {}): JoinUse => ({ pullTested: true, at, drags: 0, fish: 0, ...change });

  it('ages: leaders first', () => {
    expect(joinStanding(null, true, days(0))).toEqual({ standing: 'not tied', ageDays: null, wornBy: [] });
    expect(joinStanding(tied(), true, days(10))).toEqual({ standing: 'good', ageDays: 10, wornBy: [] });
    expect(joinStanding(tied({ pullTested: false }), true, days(10)).standing).toBe('not pulled');
    expect(joinStanding(tied(), true, days(31))).toMatchObject({ standing: 'due', wornBy: ['age'] });
    expect(joinStanding(tied(), false, days(31)).standing).toBe('good');
    expect(joinStanding(tied(), false, days(200)).standing).toBe('due');
    // A clock that is behind makes nothing younger than new.
    expect(joinStanding(tied(), true, days(-3)).ageDays).toBe(0);
  });

  it('wears by the drags that were set through it and the fish that were fought on it', () => {
    expect(joinStanding(tied({ drags: 8 }), true, days(1))).toMatchObject({ standing: 'due', wornBy: ['drags'] });
    expect(joinStanding(tied({ drags: 7, fish: 4 }), true, days(1)).standing).toBe('good');
    expect(joinStanding(tied({ fish: 5 }), true, days(40)).wornBy).toEqual(['age', 'fish']);
    expect(joinStanding(tied({ drags: 8, fish: 5 }), false, days(1)).standing).toBe('good');
    expect(joinStanding(tied({ fish: 40 }), false, days(1)).wornBy).toEqual(['fish']);
  });
});
