import { SCHOOLS } from '../../../core/joins/schools';
import { SCENE } from './scene';
import {
  closedSliding,
  hitch,
  lying,
  openSliding,
  overhand,
  overhandTimes,
  p,
  straight,
  turnsRound,
  wraps,
} from './shapes';
import { stepScene } from './stepScene';
import { crossings, fromTheEnd, sampled, type Point3, type Strand } from './strand';

const strand = (controls: readonly Point3[]): Strand => lying('inner', 5, controls);
const axis = strand(straight(p(0, 70), p(320, 70), 12));
const overs = (first: Strand, second: Strand): readonly boolean[] =>
  crossings(first, second).map((crossing) => crossing.isFirstOver);
const alternates = (row: readonly boolean[]): boolean =>
  row.every((over, index) => index === 0 || over !== row[index - 1]);

describe('crossings of the knot drawings', () => {
  it('of turns round a line go over and under it in turn, two a turn', () => {
    for (const turns of [1, 3, 5]) {
      const row = overs(strand(wraps(80, 160, turns, 70, 12)), axis);
      expect(row).toHaveLength(2 * turns);
      expect(alternates(row)).toBe(true);
      expect(row[0]).toBe(true);
      expect(overs(strand(wraps(80, 160, turns, 70, 12, -1)), axis)[0]).toBe(false);
    }
  });

  it('of a sliding knot hold what lies on its axis, open and drawn down', () => {
    for (const knot of [openSliding(120, 190, 70, 5), closedSliding(0, 120, 160, 70, 5, 16)]) {
      const row = overs(strand(knot), axis);
      expect(row).toHaveLength(10);
      expect(alternates(row)).toBe(true);
    }
  });

  it('of an overhand are the three of a trefoil, over and under in turn', () => {
    const knot = strand(overhand(160, 70, 30));
    const found = crossings(knot, knot);
    expect(found).toHaveLength(3);
    const visits = found
      .flatMap(({ along, isFirstOver }) => [
        { at: along[0], over: isFirstOver },
        { at: along[1], over: !isFirstOver },
      ])
      .toSorted((a, b) => a.at - b.at);
    expect(alternates(visits.map((visit) => visit.over))).toBe(true);
  });

  // Tables of knots (Rolfsen): an overhand closed is 3₁, a double overhand 5₁; both alternate.
  it.each([
    [1, 3],
    [2, 5],
    [3, 7],
  ])('of an overhand through which the end goes %i times are %i, over and under in turn', (times, count) => {
    for (const size of [1, 0.62]) {
      const knot = strand(overhandTimes(times, 86, 76, size));
      const found = crossings(knot, knot);
      expect(found).toHaveLength(count);
      const visits = found
        .flatMap(({ along, isFirstOver }) => [
          { at: along[0], over: isFirstOver },
          { at: along[1], over: !isFirstOver },
        ])
        .toSorted((a, b) => a.at - b.at);
      expect(alternates(visits.map((visit) => visit.over))).toBe(true);
    }
  });

  it('of a hitch go round the core and through the hitch itself', () => {
    const knot = strand(hitch(160, 70, 14));
    expect(overs(knot, axis)).toEqual([true, false]);
    expect(crossings(knot, knot).length).toBeGreaterThanOrEqual(3);
  });

  it('of turns round a post lie in front on the way out and behind on the way back', () => {
    const post = strand(straight(p(160, 0), p(160, 130), 12));
    expect(overs(strand(turnsRound(160, 30, 2, 90, 60)), post)).toEqual([true, false, true, false]);
  });
});

const sceneOf = (schoolId: string, stepId: string) => {
  const school = SCHOOLS.find((each) => each.id === schoolId);
  const step = school?.steps.find((each) => each.id === stepId);
  if (!school || !step) throw new Error(`no step ${stepId} of ${schoolId}`);
  return stepScene(school, step).strands;
};

describe('drawings of the guides', () => {
  it('show something in every step, inside the picture', () => {
    for (const school of SCHOOLS) {
      for (const step of school.steps) {
        const scene = stepScene(school, step);
        expect(scene.strands.length + (scene.bodies?.length ?? 0)).toBeGreaterThan(0);
        const heights = scene.strands.flatMap((each) => sampled(each).map((point) => point.y));
        expect(Math.min(...heights, SCENE.axisY)).toBeGreaterThan(0);
        expect(Math.max(...heights, SCENE.axisY)).toBeLessThan(SCENE.height);
        for (const mark of scene.marks ?? []) {
          expect(mark.x).toBeGreaterThan(0);
          expect(mark.x).toBeLessThan(SCENE.width);
        }
      }
    }
  });

  it('lie inside the picture from the end too, what was at the right nearest', () => {
    for (const school of SCHOOLS) {
      for (const step of school.steps) {
        for (const each of stepScene(school, step).strands) {
          const points = sampled(fromTheEnd(each, SCENE));
          const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
          expect(Math.min(...xs, ...ys)).toBeGreaterThan(0);
          expect(Math.max(...xs)).toBeLessThan(SCENE.width);
          expect(Math.max(...ys)).toBeLessThan(SCENE.height);
        }
      }
    }
    const turns = fromTheEnd(strand(wraps(80, 160, 3, 72, 12)), SCENE);
    const ring = sampled(turns).filter(({ z }) => z > 90 && z < 150);
    // Turns round a line are a ring round its end, as high as it is wide but for the scale.
    const spread = (of: 'x' | 'y') =>
      Math.max(...ring.map((each) => each[of])) - Math.min(...ring.map((each) => each[of]));
    expect(spread('y') / spread('x')).toBeCloseTo(0.55, 1);
  });

  it('lay something in every step in which a hand ties', () => {
    for (const school of SCHOOLS) {
      for (const step of school.steps.filter((each) => each.kind === 'count' || each.id === 'bury')) {
        const moves = stepScene(school, step).strands.some((each) => each.laidFrom < 1);
        expect(`${school.id} ${step.id} ${moves}`).toBe(`${school.id} ${step.id} true`);
      }
    }
  });

  it('of the plait: both legs over and under the leader, and the one and the other on top in front', () => {
    const [leader, main, tag] = sceneOf('plait-long', 'plait');
    if (!leader || !main || !tag) throw new Error('three strands expected');
    const within = (row: ReturnType<typeof crossings>) => row.filter(({ x }) => x > 152 && x < 284);
    expect(alternates(within(crossings(main, leader)).map((each) => each.isFirstOver))).toBe(true);
    expect(alternates(within(crossings(tag, leader)).map((each) => each.isFirstOver))).toBe(true);
    const zAt = (line: Strand, at: number): number =>
      sampled(line)[Math.round(at * (sampled(line).length - 1))]?.z ?? 0;
    const front = within(crossings(main, tag)).filter(({ along }) => zAt(main, along[0]) > 3);
    expect(front.length).toBeGreaterThanOrEqual(4);
    expect(alternates(front.map((each) => each.isFirstOver))).toBe(true);
  });

  it('of the hitches on the plait: round leader and braid', () => {
    const [leader, main, tag] = sceneOf('plait-long', 'lock');
    if (!leader || !main || !tag) throw new Error('three strands expected');
    for (const core of [leader, main]) {
      const row = crossings(tag, core).filter(({ x }) => x < 148 && x > 112);
      expect(row.some((each) => each.isFirstOver)).toBe(true);
      expect(row.some((each) => !each.isFirstOver)).toBe(true);
    }
  });

  // A turn round a line crosses it twice, once over and once under. A sliding knot of five turns goes round two lines: handbooks draw the
  // clinch and sliding families so. An overhand is the trefoil 3₁, a double one 5₁ (Rolfsen's table).
  const half = (count: number) => ({ count, over: count / 2 });
  it.each([
    ['arbor-sliding', 'trim', 0, 0, half(20)],
    ['arbor-crossed', 'trim', 0, 0, half(20)],
    ['double-sliding', 'trim', 0, 0, half(10)],
    ['double-sliding', 'trim', 0, 1, half(20)],
    ['double-sliding-dry', 'trim', 1, 1, half(10)],
    ['double-sliding-sheath', 'trim', 0, 1, half(20)],
    ['swivel', 'trim', 0, 0, half(20)],
    ['swivel', 'trim', 1, 1, half(20)],
    ['sheath-single', 'trim', 4, 4, { count: 3 }],
    ['sheath-double', 'trim', 5, 5, { count: 3 }],
    ['plait-long', 'trim', 0, 1, half(10)],
    ['plait-counted', 'trim', 0, 1, half(10)],
    ['plait-short', 'trim', 0, 1, half(10)],
    ['plait-melted', 'trim', 0, 1, half(10)],
    ['tied-loop', 'trim', 2, 2, { count: 5 }],
    // The legs of a spliced loop change sides once where it was turned through itself.
    ['splice-loop', 'seat', 1, 1, { count: 1 }],
  ] as const)('of %s at its %s: strand %i over strand %i', (school, step, one, other, expected) => {
    const strands = sceneOf(school, step);
    const [first, second] = [strands[one], strands[other]];
    if (!first || !second) throw new Error('strands expected');
    const found = crossings(first, second);
    expect({ count: found.length, over: found.filter(({ isFirstOver }) => isFirstOver).length }).toMatchObject(
      expected,
    );
  });

  it('of two loops drawn down: the end of each holds both legs of the other', () => {
    const [left, right] = sceneOf('loop-to-loop', 'lie');
    if (!left || !right) throw new Error('two strands expected');
    const byPlace = crossings(left, right).toSorted((a, b) => a.x - b.x);
    // From the left: the right loop's end under both legs, its legs out over them, the left loop's end over its legs.
    expect(byPlace.map((each) => each.isFirstOver)).toEqual([true, true, false, false, true, true]);
  });

  it('of the long loop: what each step adds', () => {
    const self = (step: string): number => {
      const [loop] = sceneOf('long-loop', step);
      return loop ? crossings(loop, loop).length : NaN;
    };
    // Five twists of two legs; the tag turned back over the standing line and eight turns round both legs; a hitch round each leg: two
    // round it, three of its own and one in passing; three turns of the finish round both.
    expect(self('twist')).toBe(5 * 2);
    expect(self('roll')).toBe(5 * 2 + 1 + 8 * 2 * 2);
    expect(self('legs')).toBe(43 + 2 * (2 + 3 + 1));
    expect(self('lock')).toBe(55 + 3 * 2 * 2);
    expect(self('trim')).toBe(self('lock'));
  });

  it('of wraps over a fold: in at its back, round both strands and itself, out on the side on which it went in', () => {
    const [fold, wrap] = sceneOf('fold-wraps', 'seat');
    if (!fold || !wrap) throw new Error('two strands expected');
    const found = crossings(wrap, fold).toSorted((a, b) => a.along[0] - b.along[0]);
    // In at the back of the fold's closed end, and last out at its back again: the end cannot slip through.
    expect(found[0]?.isFirstOver).toBe(false);
    expect(found.at(-1)?.isFirstOver).toBe(false);
    const rounds = found
      .filter(({ x }) => x > 100 && x < 228)
      .map(({ y, isFirstOver }) => ({ isUpper: y < SCENE.axisY, isFirstOver }));
    // Each turn passes both strands in front on one way and behind on the other.
    for (const isUpper of [true, false]) {
      const row = rounds.filter((each) => each.isUpper === isUpper).map((each) => each.isFirstOver);
      expect(row.filter(Boolean).length).toBeGreaterThanOrEqual(4);
      expect(row.filter((over) => !over).length).toBeGreaterThanOrEqual(4);
    }
  });

  it('of the wire loop: both strands turn round each other, then the end round the standing wire', () => {
    const [wire] = sceneOf('wire-twist', 'trim');
    if (!wire) throw new Error('one strand expected');
    const found = crossings(wire, wire).toSorted((a, b) => a.x - b.x);
    const twist = found.filter(({ x }) => x > 150 && x < 224).map((each) => each.isFirstOver);
    expect(twist.length).toBeGreaterThanOrEqual(7);
    expect(alternates(twist)).toBe(true);
    const coil = found.filter(({ x }) => x < 140).map((each) => each.isFirstOver);
    expect(coil.length).toBeGreaterThanOrEqual(7);
    expect(coil.filter(Boolean).length).toBeGreaterThanOrEqual(3);
    expect(coil.filter((over) => !over).length).toBeGreaterThanOrEqual(3);
  });

  it('of the sleeve: the whipping goes round braid and line, over and under in turn', () => {
    const strands = sceneOf('sleeve-whipped', 'seat');
    const thread = strands.find((each) => each.look === 'lead');
    const line = strands.find((each) => each.look === 'outer');
    if (!thread || !line) throw new Error('thread and line expected');
    expect(alternates(crossings(thread, line).map((each) => each.isFirstOver))).toBe(true);
  });

  it('of the long loop: its legs twist over each other in turn', () => {
    const [loop] = sceneOf('long-loop', 'twist');
    if (!loop) throw new Error('one strand expected');
    const row = crossings(loop, loop).toSorted((a, b) => a.x - b.x);
    expect(row).toHaveLength(10);
    expect(alternates(row.map((each) => each.isFirstOver))).toBe(true);
  });
});
