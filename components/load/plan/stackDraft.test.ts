import { plannedRig } from '../../../tests/rigFixture';
import { stackInput } from '../../../usecases/load/stackInput';
import { draftJoins, draftOf, draftSegments, isStackDraft } from './stackDraft';
import {
  withAdded,
  withDuplicated,
  withMoved,
  withPlaced,
  withRemoved,
  withRow,
  withHowLong,
  withInserted,
  withLength,
  withSplitAt,
  withSplit,
} from './stackMoves';

describe('a stack being edited', () => {
  const draft = draftOf(plannedRig());
  const names = (of: typeof draft): string[] => of.rows.map((row) => row.name);

  it('starts as what is stored', () => {
    expect(draftSegments(draft)).toEqual(plannedRig().segments);
    expect(draftJoins(draft)[1]).toEqual({
      innerSegmentId: 's0',
      outerSegmentId: 's1',
      kind: 'sheath-over-mono',
      part: 'join',
    });
    const ends = withRow(draft, 's1', { joinKind: 'loop-to-loop', ends: { inner: 'loop-splice', outer: null } });
    expect(draftJoins(ends).filter(({ outerSegmentId }) => outerSegmentId === 's1')).toEqual([
      { innerSegmentId: 's0', outerSegmentId: 's1', kind: 'loop-splice', part: 'inner' },
      { innerSegmentId: 's0', outerSegmentId: 's1', kind: 'loop-to-loop', part: 'join' },
    ]);
    expect(isStackDraft(JSON.parse(JSON.stringify(draft)))).toBe(true);
    expect(isStackDraft({ rows: 'none' })).toBe(false);
  });

  it('moves, removes and adds segments, and joins follow their neighbours', () => {
    expect(names(withMoved(draft, 's2', -1))).toEqual(['Backing', 'Top shot', 'Lead core']);
    expect(withMoved(draft, 's0', -1)).toBe(draft);
    expect(draftJoins(withRemoved(draft, 's1'))[1]).toMatchObject({ innerSegmentId: 's0', outerSegmentId: 's2' });
    const added = withAdded(draft, 'fresh', 'nylon');
    expect(added.rows.at(-1)).toMatchObject({ name: 'Segment 4', solved: false, joinKind: 'double-sliding-knot' });
    const first = withAdded({ ...draft, rows: [] }, 'fresh', 'nylon');
    expect(first.rows[0]).toMatchObject({ name: 'Backing', solved: true, joinKind: 'arbor-sliding-knot' });
  });

  it('puts a row where another one stands, as a drag does', () => {
    expect(names(withPlaced(draft, 's2', 's0'))).toEqual(['Top shot', 'Backing', 'Lead core']);
    expect(names(withPlaced(draft, 's0', 's2'))).toEqual(['Lead core', 'Top shot', 'Backing']);
    // The arbor knot stays on the arbor.
    expect(withPlaced(draft, 's2', 's0').rows.map((row) => row.joinKind)).toEqual([
      'arbor-sliding-knot',
      'double-sliding-knot',
      'sheath-over-mono',
    ]);
    expect(withPlaced(draft, 's0', 's0')).toBe(draft);
    expect(withPlaced(draft, 's0', 'nowhere')).toBe(draft);
  });

  it('duplicates a segment above itself, and never a second worked-out one', () => {
    const twice = withDuplicated(draft, 's0', 'copy');
    expect(names(twice)).toEqual(['Backing', 'Backing, again', 'Lead core', 'Top shot']);
    expect(twice.rows.map((row) => row.solved)).toEqual([true, false, false, false]);
    expect(withDuplicated(draft, 'nowhere', 'copy')).toBe(draft);
  });

  it('splits a segment in two, lead core between colours', () => {
    const halves = withSplit(draft, 's2', 'outer');
    expect(halves.rows.slice(2).map((row) => row.lengthM)).toEqual([30, 30]);
    const lead = withSplit(draft, 's1', 'outer');
    expect(lead.rows.slice(1, 3).map((row) => [row.colours, row.lengthM])).toEqual([
      ['orange, black', expect.closeTo(18.288, 6)],
      ['green', expect.closeTo(9.144, 6)],
    ]);
    // The worked-out one has no length to halve.
    expect(withSplit(draft, 's0', 'outer')).toBe(draft);
  });

  it('has one worked-out segment at most', () => {
    const moved = withHowLong(draft, 's2', 'solved');
    expect(moved.rows.map((row) => row.solved)).toEqual([false, false, true]);
    // The backing now lacks a length, so there is nothing to plan from until one is typed.
    expect(draftSegments(moved)).toBeNull();
    const typed = withRow(moved, 's0', { typed: { text: '300 ft', unit: 'm' } });
    expect(draftSegments(typed)?.map((segment) => segment.lengthM)).toEqual([expect.closeTo(91.44, 9), 27.432, null]);
  });

  it('reads colours as people list them', () => {
    const coloured = withRow(draft, 's1', { colours: 'red, , green ,blue' });
    expect(draftSegments(coloured)?.[1]?.colours).toEqual(['red', 'green', 'blue']);
  });
});

describe('the stack that the server takes', () => {
  const id = (n: number): string => `00000000-0000-4000-8000-00000000000${n}`;
  const segment = (n: number, change = {}) => ({
    id: id(n),
    name: `Segment ${n}`,
    role: 'running line',
    productId: id(9),
    lengthM: 40,
    lengthKnown: false,
    wound: true,
    colours: [],
    colourLengthM: null,
    purpose: null,
    ...change,
  });
  const parse = (segments: unknown[], joins: unknown[] = []) => {
    const result = stackInput.safeParse({ version: 1, segments, joins });
    return result.success ? [] : result.error.issues.map((issue) => issue.path.join('.'));
  };

  it('is a good stack as it stands', () => {
    expect(
      parse(
        [segment(1, { lengthM: null }), segment(2)],
        [{ innerSegmentId: id(1), outerSegmentId: id(2), kind: 'loop-to-loop' }],
      ),
    ).toEqual([]);
  });

  it.each([
    ['nothing at all', [], 'segments'],
    ['two unknown lengths', [segment(1, { lengthM: null }), segment(2, { lengthM: null })], 'segments.1.lengthM'],
    ['the same segment twice', [segment(1), segment(1)], 'segments.1.id'],
    ['a wound segment outside a hand-lined one', [segment(1, { wound: false }), segment(2)], 'segments.1.wound'],
    [
      'an unknown length let out by hand',
      [segment(1), segment(2, { wound: false, lengthM: null })],
      'segments.1.lengthM',
    ],
    ['a 40 km segment', [segment(1, { lengthM: 40_000 })], 'segments.0.lengthM'],
    ['text for a length', [segment(1, { lengthM: '40 m' })], 'segments.0.lengthM'],
    ['a nameless segment', [segment(1, { name: '  ' })], 'segments.0.name'],
  ])('refuses %s', (_, segments, path) => {
    expect(parse(segments)).toContain(path);
  });

  it('refuses a join between segments that do not meet', () => {
    const three = [segment(1), segment(2), segment(3)];
    expect(parse(three, [{ innerSegmentId: id(1), outerSegmentId: id(3), kind: 'loop-to-loop' }])).toEqual(['joins.0']);
    expect(parse(three, [{ innerSegmentId: null, outerSegmentId: id(2), kind: 'loop-to-loop' }])).toEqual(['joins.0']);
  });
});

describe('a length typed in colours', () => {
  const draft = draftOf(plannedRig());
  const lead = (typed: string, colourM?: number) => {
    const typedIn = { text: typed, unit: 'm', ...(colourM === undefined ? {} : { colourM }) };
    return draftSegments(withRow(draft, 's1', { typed: typedIn, colours: '' }))?.[1];
  };

  it('has as many colours, the last one in part, each as long as that line has them', () => {
    expect(lead('2 1/2 colours', 9.144)).toMatchObject({
      lengthM: 22.86,
      colourLengthM: 9.144,
      colours: ['colour 1', 'colour 2', 'colour 3'],
    });
    expect(lead('2 colours', 10)).toMatchObject({ lengthM: 20, colourLengthM: 10, colours: ['colour 1', 'colour 2'] });
  });

  it('is only a length of a line that has none', () => {
    expect(lead('2 colours')).toMatchObject({ lengthM: 18.288, colourLengthM: null, colours: [] });
  });

  it('leaves a length in metres as it was: equal parts', () => {
    expect(lead('30')).toMatchObject({ lengthM: 30, colourLengthM: null, colours: [] });
  });

  it('takes another length from a hand: what was typed goes, and lead core has as many colours as that makes', () => {
    const typed = withRow(draft, 's2', { typed: { text: '33', unit: 'm' } });
    expect(withLength(typed, 's2', 41.5).rows[2]).toMatchObject({ lengthM: 41.5, typed: null, colours: '' });
    const lead = draft.rows[1];
    const colourM = lead?.colourLengthM ?? (lead?.lengthM ?? NaN) / (lead?.colours.split(',').length ?? 1);
    const longer = withLength(draft, 's1', 4.25 * colourM).rows[1];
    expect(longer?.colours.split(', ')).toHaveLength(5);
    expect(longer?.colours.startsWith(lead?.colours ?? '')).toBe(true);
    expect(longer?.colourLengthM).toBeCloseTo(colourM, 9);
    expect(withLength(draft, 's2', -5).rows[2]?.lengthM).toBeGreaterThan(0);
    expect(withLength(draft, 'nowhere', 5)).toBe(draft);
  });

  it('cuts where the hand is, and lead core between two colours', () => {
    const shot = draft.rows[2]?.lengthM ?? NaN;
    const cut = withSplitAt(draft, 's2', 'outer', 4).rows;
    expect([cut[2]?.lengthM, cut[3]?.lengthM]).toEqual([expect.closeTo(shot - 4, 9), expect.closeTo(4, 9)]);
    const lead = draft.rows[1]?.lengthM ?? NaN;
    // A third of three colours from the hook's end: one colour on that side.
    const colours = withSplitAt(draft, 's1', 'outer', 0.3 * lead).rows;
    expect(colours[1]?.colours.split(', ')).toHaveLength(2);
    expect(colours[2]?.lengthM).toBeCloseTo(lead / 3, 9);
    expect(withSplitAt(draft, 's0', 'outer', 4)).toBe(draft);
  });

  it('puts a line between two others, lead core as one colour of it, and the arbor knot stays on the arbor', () => {
    const [nylon, leadCore] = ['nylon', 'lead'].map((id) => plannedRig().products.find((line) => line.id === id));
    if (!nylon || !leadCore) throw new Error('no such line');
    const under = withInserted(draft, 'new', nylon, 0);
    expect(under.rows[0]?.name).toBe(nylon.name);
    expect(under.rows.map((row) => row.joinKind === 'arbor-sliding-knot')).toEqual([true, false, false, false]);
    const lead = withInserted(draft, 'new', leadCore, 3).rows[3];
    expect(lead).toMatchObject({ role: 'weighted line', solved: false });
    expect(lead?.colours.split(', ')).toHaveLength(1);
    expect(lead?.lengthM).toBeCloseTo(leadCore.colourLengthM ?? 9.144, 9);
    expect(withInserted({ ...draft, rows: [] }, 'new', nylon, 0).rows[0]).toMatchObject({ solved: true });
  });
});
