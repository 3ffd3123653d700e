import { basisFigure, changedSince } from './basis';

describe('changedSince', () => {
  it('names what changed, appeared or went, in order', () => {
    expect(changedSince({ b: '1', a: '1', gone: '1' }, { a: '2', b: '1', fresh: '1' })).toEqual(['a', 'fresh', 'gone']);
    expect(changedSince({ a: '1' }, { a: '1' })).toEqual([]);
  });
});

describe('basisFigure', () => {
  it('survives the last bits of a double, and tells a real change', () => {
    expect(basisFigure(0.1 + 0.2)).toBe(basisFigure(0.3));
    expect(basisFigure(100)).not.toBe(basisFigure(100.001));
    expect(basisFigure(null)).toBe('none');
  });
});
