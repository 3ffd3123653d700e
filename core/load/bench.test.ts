import { colouredLengthsM, colourNames } from './colours';
import { kitList, type KitSegment } from './kitList';
import { loadAdvice, type AdvisedLoad, type AdvisedSegment } from './loadAdvice';

const kit = (change: Partial<KitSegment>): KitSegment => ({
  id: 'a',
  name: 'Backing',
  productId: 'p',
  material: 'nylon',
  lengthM: 100,
  turns: 800,
  wound: true,
  joinKind: 'arbor-sliding-knot',
  ...change,
});

describe('kitList', () => {
  it('takes what the joins on both ends use up', () => {
    const { lines } = kitList([kit({}), kit({ id: 'b', name: 'Top', joinKind: 'double-sliding-knot' })], true);
    // Arbor knot 0.2 m, sliding knots 0.15 m on each side.
    expect(lines[0]?.takeM).toBeCloseTo(100.35, 9);
    expect(lines[1]?.takeM).toBeCloseTo(100.15, 9);
  });

  it('reckons with what the ends are made: its line, minutes and things', () => {
    const plain = [kit({}), kit({ id: 'b', name: 'Top', joinKind: 'loop-to-loop' })];
    const looped = [kit({}), { ...plain[1], ends: { inner: 'loop-splice', outer: 'long-loop-twist' } } as KitSegment];
    const [before, after] = [kitList(plain as KitSegment[], false), kitList(looped, false)];
    // A splice takes 0.6 m of the line below, a doubled end 1 m of the one above; ten minutes and six.
    expect((after.lines[0]?.takeM ?? 0) - (before.lines[0]?.takeM ?? 0)).toBeCloseTo(0.6, 9);
    expect((after.lines[1]?.takeM ?? 0) - (before.lines[1]?.takeM ?? 0)).toBeCloseTo(1, 9);
    expect(after.byHandMinutes - before.byHandMinutes).toBeCloseTo(16, 9);
    expect(after.things.map(({ thing }) => thing)).toContain('splicing needle');
  });

  it('names each thing once, with everything that it is for', () => {
    const { things, helper } = kitList(
      [kit({ material: 'braid' }), kit({ id: 'b', name: 'Lead', material: 'lead core', joinKind: 'sheath-over-mono' })],
      true,
    );
    const names = things.map(({ thing }) => thing);
    expect(names).toEqual(
      expect.arrayContaining(['arbor tape', 'thin glue', 'water and soap', 'tape measure, stake and clip']),
    );
    expect(new Set(names).size).toBe(names.length);
    expect(helper?.reason).toBe('kit-helper');
    expect(kitList([kit({})], false).things.map(({ thing }) => thing)).not.toContain('tape measure, stake and clip');
  });

  it('takes a machine less time than a hand, and either more for more line', () => {
    const short = kitList([kit({})], true);
    const long = kitList([kit({ turns: 4000 })], true);
    expect(short.byMachineMinutes).toBeLessThan(short.byHandMinutes);
    expect(long.byHandMinutes - short.byHandMinutes).toBeCloseTo(3200 / 110, 6);
    // A double loading takes about 40 min by hand (common practice, no source): one such pass under half an hour.
    expect(kitList([kit({ turns: 1800 })], true).byHandMinutes).toBeLessThan(30);
  });

  it('lets hand-lined line wait for no turns', () => {
    const withLeader = kitList([kit({}), kit({ id: 'l', wound: false, joinKind: 'loop-to-loop' })], false);
    const without = kitList([kit({})], false);
    expect(withLeader.byHandMinutes - without.byHandMinutes).toBeCloseTo(2, 9);
  });
});

const segment = (change: Partial<AdvisedSegment>): AdvisedSegment => ({
  name: 'Backing',
  role: 'backing',
  material: 'nylon',
  lineDiameterM: 0.0004,
  lengthM: 100,
  wound: true,
  colours: 0,
  joinKind: 'double-sliding-knot',
  purpose: null,
  volumeM3: 2e-5,
  ...change,
});
const advised = (change: Partial<AdvisedLoad>): AdvisedLoad => ({
  reelKind: 'conventional',
  smallestOpeningM: null,
  fullDiameterM: 0.06,
  widthM: 0.03,
  volumeM3: 6e-5,
  levelBelowRimM: 0.002,
  segments: [segment({}), segment({ name: 'Top', role: 'top shot' })],
  retailLengthsM: [[], []],
  ...change,
});
const kinds = (change: Partial<AdvisedLoad>): readonly string[] => loadAdvice(advised(change)).map((each) => each.kind);

describe('loadAdvice', () => {
  it('has nothing to say of a plain good load', () => {
    expect(kinds({})).toEqual([]);
  });

  it.each<[string, Partial<AdvisedLoad>]>([
    ['thin-backing', { segments: [segment({ lineDiameterM: 0.00035 }), segment({ name: 'Top' })] }],
    ['thick-backing', { segments: [segment({ lineDiameterM: 0.0005 }), segment({ name: 'Top' })] }],
    [
      'thin-abrasion',
      { segments: [segment({ lineDiameterM: 0.00035, purpose: 'abrasion' }), segment({ name: 'Top' })] },
    ],
    ['bare-arbor', { segments: [segment({ material: 'braid' })] }],
    ['overfull', { levelBelowRimM: 0.0002 }],
    ['overfull', { reelKind: 'fixed-spool', levelBelowRimM: 0.0011 }],
    [
      'loop-over-reel',
      {
        reelKind: 'fly',
        segments: [segment({}), segment({ joinKind: 'loop-to-loop', role: 'fly line' })],
        levelBelowRimM: 0.004,
      },
    ],
    [
      'thick-join',
      { segments: [segment({}), segment({ joinKind: 'small-swivel', lineDiameterM: 0.0008, role: 'top shot' })] },
    ],
    ['retail-length', { retailLengthsM: [[], [110]] }],
  ])('says %s', (kind, change) => {
    expect(kinds(change)).toContain(kind);
    for (const each of loadAdvice(advised(change))) expect(each.reason.reason.startsWith(each.kind)).toBe(true);
  });

  it('says how many colours of lead core fit', () => {
    const lead = segment({ name: 'Lead', role: 'weighted line', material: 'lead core', colours: 10, volumeM3: 5e-5 });
    const [advice] = loadAdvice(
      advised({
        segments: [segment({ volumeM3: 0.5e-5 }), lead, segment({ role: 'top shot', volumeM3: 0.5e-5 })],
        retailLengthsM: [],
      }),
    );
    // 55 of 60 cm³ are free beside the top shot: eleven colours of 5 cm³; half the spool takes six.
    expect(advice).toMatchObject({ kind: 'bulky-lead-core', figures: { coloursThatFit: 11, coloursForHalf: 6 } });
  });

  it('leaves backing that is to stand rock as thick as it is', () => {
    const stout = segment({ lineDiameterM: 0.0007, purpose: 'abrasion' });
    expect(kinds({ segments: [stout, segment({ name: 'Top' })] })).toEqual([]);
  });

  it('does not mind a top shot that is one spool exactly, or far from one', () => {
    expect(kinds({ retailLengthsM: [[], [100]] })).toEqual([]);
    expect(kinds({ retailLengthsM: [[], [300]] })).toEqual([]);
  });
});

describe('colouredLengthsM', () => {
  it('lays the colours out from the arbor', () => {
    const colours = colouredLengthsM(['red', 'green', 'blue'], 27.432);
    expect(colours.map((each) => each.toM)).toEqual([9.144, 18.288, 27.432].map((m) => expect.closeTo(m, 9) as number));
    expect(colouredLengthsM([], 10)).toEqual([]);
  });

  it('lays a part of a colour outermost, and leaves out what has gone', () => {
    const names = ['red', 'green', 'blue'];
    expect(colouredLengthsM(names, 25, 10)).toEqual([
      { colour: 'red', fromM: 0, toM: 10 },
      { colour: 'green', fromM: 10, toM: 20 },
      { colour: 'blue', fromM: 20, toM: 25 },
    ]);
    expect(colouredLengthsM(names, 12, 10).map(({ colour, toM }) => [colour, toM])).toEqual([
      ['red', 10],
      ['green', 12],
    ]);
  });

  it('names colours as their spool does, or by number', () => {
    expect(colourNames(2.5, ['red', 'green'])).toEqual(['red', 'green', 'red']);
    expect(colourNames(2, [])).toEqual(['colour 1', 'colour 2']);
  });
});
