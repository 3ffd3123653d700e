import { isUnlikeTension, type WindingTension } from './tension';

const by = (laidBy: WindingTension['laidBy'], tensionN: number | null = null): WindingTension => ({ laidBy, tensionN });

describe('two windings', () => {
  it('are unlike where the scale or the way says so, the scale first', () => {
    expect(isUnlikeTension(by('cloth', 10), by('cloth', 4))).toBe(true);
    expect(isUnlikeTension(by('cloth', 4), by('cloth', 10))).toBe(true);
    expect(isUnlikeTension(by('cloth', 10), by('brake', 12))).toBe(false);
    expect(isUnlikeTension(by('cloth'), by('brake', 12))).toBe(true);
    expect(isUnlikeTension(by('brake', 12), by('brake'))).toBe(false);
  });

  it('are not held to be unlike where nothing was noted', () => {
    expect(isUnlikeTension(by(null), by('brake', 12))).toBe(false);
    expect(isUnlikeTension(by('helper'), by(null, 30))).toBe(false);
  });
});
