import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { constantFromTape, withTopStripped } from './counterConstant';

const LINE = buildLoadedLine({ arborDiameterM: 0.03, widthM: 0.03 }, [
  { id: 'plain', name: 'plain', lengthM: 300, lineDiameterM: 0.0004, packing: 0.68, wound: true },
]);

describe('constantFromTape', () => {
  it('gives back the constant that made the reading', () => {
    const reading = (spoolStateAt(LINE, 30.48).turns * 0.181) / 0.3048;
    const constant = constantFromTape(LINE, 0.3048, { trueLengthM: 30.48, reading, strippedBeforeM: 0 });
    expect(constant.value).toBeCloseTo(0.181, 12);
    expect(constant.source).toBe('measured');
  });

  it('is surer after a longer walk', () => {
    const sd = (lengthM: number): number => {
      const reading = spoolStateAt(LINE, lengthM).turns * 0.181;
      return constantFromTape(LINE, 1, { trueLengthM: lengthM, reading, strippedBeforeM: 0 }).sd;
    };
    expect(sd(60)).toBeLessThan(sd(15));
  });

  it('throws on a walk that is none', () => {
    expect(() => constantFromTape(LINE, 1, { trueLengthM: 0, reading: 3, strippedBeforeM: 0 })).toThrow(
      /constantFromTape/,
    );
  });
});

describe('withTopStripped', () => {
  it('takes off and puts on at the top only', () => {
    expect(withTopStripped(LINE, 20).woundLengthM).toBeCloseTo(280, 12);
    expect(withTopStripped(LINE, -20).fullDiameterM).toBeGreaterThan(LINE.fullDiameterM);
    expect(() => withTopStripped(LINE, 300)).toThrow(/more than the outermost/);
  });
});
