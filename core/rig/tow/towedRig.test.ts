import { waterMark, woundRig } from '../../../tests/rigFixture';
import { measureNext } from '../../worth/measureNext';
import { answerDepth, depthCurves } from '../../tow/answerDepth';
import type { WaterMarkRecord } from '../../record/tow';
import { stationStates } from '../stationStates';
import { rigView } from '../view/rigView';
import { marksThatTeach } from './marksThatTeach';
import { coloursOut, throughWater, towedRig, USUAL_TOW } from './towedRig';

const mark = waterMark;
const viewOf = (over: object = {}) => {
  const view = rigView({ ...woundRig(), ...over });
  if (!view) throw new Error('the fixture has no view');
  return view;
};

describe('a rig in tow', () => {
  test('is taken as usual until somebody says, and no more line is in the water than may be out', () => {
    const rig = towedRig(viewOf());
    expect(rig.isTold).toBe(false);
    expect(rig.belief.lines.reduce((sum, { lengthM }) => sum + lengthM, 0)).toBeCloseTo(rig.mostM, 6);
    expect(towedRig(viewOf({ towed: { ...USUAL_TOW, speedMS: 1.4 } }))).toMatchObject({ isTold: true, speedMS: 1.4 });
  });

  test('a speed over the ground with the current is less through the water, and one without a current is hardly known', () => {
    expect(throughWater({ speedBy: 'over the ground', currentMS: 0.3 }, 1.3)).toBeCloseTo(1);
    expect(throughWater({ speedBy: 'over the ground', currentMS: -0.3 }, 1)).toBeCloseTo(1.3);
    const open = towedRig(viewOf({ towed: { ...USUAL_TOW, speedBy: 'over the ground' } }));
    expect(open.isCurrentOpen).toBe(true);
    expect(open.belief.speedShareSd).toBeGreaterThan(4 * towedRig(viewOf()).belief.speedShareSd);
  });

  test('a board whose dive nobody has seen has none that is made up', () => {
    const towed = { ...USUAL_TOW, lure: 'planer' as const };
    expect(towedRig(viewOf({ towed })).isDiveOpen).toBe(true);
    const seen = ['a', 'b'].map((id, index) => mark({ id, lure: 'planer', lengthOutM: 40 + 20 * index }));
    expect(towedRig(viewOf({ towed, waterMarks: seen })).isDiveOpen).toBe(false);
  });

  test('counts colours by the lead core that is out, parts of one too', () => {
    const view = viewOf();
    const [outer] = view.current.line.segments.toReversed();
    expect(coloursOut(view, 0)).toBe(0);
    expect(coloursOut(view, (outer?.lengthM ?? 0) + 9.144 * 1.5)).toBeCloseTo(1.5, 6);
  });
});

describe('the water log', () => {
  const towed = { ...USUAL_TOW };
  const teaches = (over: Partial<WaterMarkRecord>) =>
    marksThatTeach({ ...woundRig(), towed, waterMarks: [mark(over)] }).length === 1;

  test('teaches by depths that were known, straight on, with the lure and the line that are on', () => {
    expect(teaches({})).toBe(true);
    expect(teaches({ depthM: null, kind: 'strike' })).toBe(false);
    expect(teaches({ turn: 'inside' })).toBe(false);
    expect(teaches({ lure: 'deep plug' })).toBe(false);
    expect(teaches({ loadId: 'another' })).toBe(false);
    expect(marksThatTeach({ ...woundRig(), towed: null, waterMarks: [mark()] })).toEqual([]);
  });

  test('makes the station done with two depths, due with fewer, and not needed where nothing is towed', () => {
    const state = (over: object) => stationStates({ ...woundRig(), ...over }).depth.state;
    expect(state({})).toBe('not needed');
    expect(state({ towed })).toBe('due');
    expect(state({ towed, waterMarks: [mark(), mark({ id: 'm2', lengthOutM: 40, depthM: 5 })] })).toBe('done');
  });

  test('brings the answer closer, and its reading is turned into line out', () => {
    const seen = towedRig(viewOf({ towed, waterMarks: [mark({ lengthOutM: null, reading: 60 })] }));
    expect(seen.marks).toHaveLength(1);
    expect(seen.marks[0]?.lengthOutM).toBeGreaterThan(50);
    const ask = (rig: ReturnType<typeof towedRig>) => {
      const question = {
        rig: { id: 'rig', name: 'Rig' },
        ...{ belief: rig.belief, marks: rig.marks, speedMS: rig.speedMS, lengthsM: [30, 60], goal: null },
        ...{ usualM: 60, mostM: rig.mostM },
      };
      const answer = answerDepth(question);
      return { ...answer, ...depthCurves(question, answer) };
    };
    const [before, after] = [ask(towedRig(viewOf({ towed }))), ask(seen)];
    if (!before.stop.ok || !after.stop.ok) throw new Error('the line is too short');
    expect(after.stop.value.depth.plusMinus).toBeLessThan(before.stop.value.depth.plusMinus);
    const { setback, setbackM } = before.stop.value;
    expect(setback.value).toBeCloseTo(setbackM, 2);
    // Line of a length hangs less far back, the deeper it hangs: it is known far better than the depth.
    expect(setback.plusMinus).toBeGreaterThan(0);
    expect(setback.plusMinus).toBeLessThan(before.stop.value.depth.plusMinus);
    expect(before.stop.value.perTenthKnotM).toBeLessThan(0);
    expect(before.stop.value.perTenFeetM).toBeGreaterThan(0);
    expect(after.unlearned.value).toBeCloseTo(before.stop.value.depth.value, 6);
    const options = measureNext([{ id: 'depth', enough: 0.1, ...before.narrow }], () => 1);
    expect(options.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['water-mark', 'lure-pull']));
  });

  test('says how much to reel in where the water is shallower than the lure would swim', () => {
    const rig = towedRig(viewOf({ towed: { ...towed, bottomM: 2 } }));
    const answer = answerDepth({
      rig: { id: 'rig', name: 'Rig' },
      ...{ belief: rig.belief, marks: [], speedMS: 1, lengthsM: [60], goal: null, usualM: 60, mostM: rig.mostM },
    });
    if (!answer.stop.ok) throw new Error('the line is too short');
    const { reelInM, status, lengthOutM } = answer.stop.value;
    expect(status).toBe('on the bottom');
    expect(reelInM).toBeGreaterThan(5);
    expect(reelInM).toBeLessThan(lengthOutM);
  });

  test('a depth that no line reaches says how deep all of it goes', () => {
    const rig = towedRig(viewOf({ towed }));
    const answer = answerDepth({
      rig: { id: 'rig', name: 'Rig' },
      ...{ belief: rig.belief, marks: [], speedMS: 1, lengthsM: [30], goal: { depthM: 300 }, usualM: 60 },
      mostM: rig.mostM,
    });
    expect(answer.stop).toMatchObject({ ok: false, reason: 'line-too-short', figures: { lengthM: rig.mostM } });
  });
});
