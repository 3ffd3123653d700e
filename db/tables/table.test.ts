import { columnName, flag, json, maybe, named, notedAt, number, oneOf, ownId, table, text, texts } from './table';

const LOOKS = table('looks', {
  id: ownId,
  at: notedAt,
  rigId: text,
  speedMS: number,
  holdsN: maybe(number),
  position: named('lever_position', number),
  creep: oneOf('none', 'some'),
  isSet: flag,
  colours: texts,
  basis: json<Readonly<Record<string, string>>>(),
});
const ROW = {
  id: 'a',
  noted_at: 'now',
  rig_id: 'r',
  speed_m_s: 3,
  holds_n: null,
  lever_position: 0.5,
  creep: 'some',
  is_set: true,
  colours: ['red'],
  basis: { line: '1' },
};

describe('a table', () => {
  it('names its columns after the record, in one order for reading and writing', () => {
    expect(columnName('trueLengthM')).toBe('true_length_m');
    expect(LOOKS.list).toBe('id, noted_at, rig_id, speed_m_s, holds_n, lever_position, creep, is_set, colours, basis');
    expect(LOOKS.fullList).toContain('looks.lever_position, looks.creep');
    expect(LOOKS.written).toEqual(LOOKS.list.split(', ').slice(2));
  });

  it('reads what it writes', () => {
    const record = LOOKS.read(ROW);
    expect(record).toMatchObject({ at: 'now', speedMS: 3, holdsN: null, position: 0.5, colours: ['red'] });
    expect(LOOKS.values(record)).toEqual(['r', 3, null, 0.5, 'some', true, ['red'], '{"line":"1"}']);
  });

  it.each([
    ['rig_id', 7],
    ['speed_m_s', '3'],
    ['speed_m_s', NaN],
    ['speed_m_s', null],
    ['creep', 'much'],
    ['is_set', 'yes'],
    ['colours', 'red'],
    ['basis', 'line'],
    ['noted_at', undefined],
  ])('refuses a row whose %s is %p, by name', (column, value) => {
    expect(() => LOOKS.read({ ...ROW, [column]: value })).toThrow(new RegExp(`looks\\.${column}`));
  });

  it('never writes a value that was forgotten', () => {
    const { isSet, ...forgotten } = LOOKS.read(ROW);
    expect(isSet).toBe(true);
    expect(() => LOOKS.values(forgotten as never)).toThrow(/looks: a new row needs isSet/);
  });
});
