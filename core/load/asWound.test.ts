import { buildLoadedLine } from '../spool/loadedLine';
import { asWound, type WoundSegment } from './asWound';
import { fittedPacking } from './fittedPacking';

const SPOOL = { arborDiameterM: 0.032, widthM: 0.029 };
const TRUE_STACK = [
  { id: 'a', name: 'a', lengthM: 110, lineDiameterM: 0.0004, packing: 0.71, wound: true },
  { id: 'b', name: 'b', lengthM: 45, lineDiameterM: 0.0007, packing: 0.65, wound: true },
];
const TRUTH = buildLoadedLine(SPOOL, TRUE_STACK);

/** As the person believes it: packing 6 % lower, the first length only planned, the turns noted. */
const believed = (lengthKnown: boolean): WoundSegment[] =>
  TRUE_STACK.map((segment, index) => ({
    ...segment,
    lengthM: index === 0 ? 100 : segment.lengthM,
    packing: segment.packing / 1.06,
    notedTurns: TRUTH.segments[index]?.turns ?? null,
    lengthKnown: index === 1 || lengthKnown,
  }));

describe('asWound', () => {
  it('gives back the true packing and length from turns and level', () => {
    const wound = asWound(SPOOL, believed(false), TRUTH.fullDiameterM);
    expect(wound.ok).toBe(true);
    if (!wound.ok) return;
    expect(wound.value.packingFactor).toBeCloseTo(1.06, 3);
    expect(wound.value.line.segments[0]?.lengthM).toBeCloseTo(110, 1);
    expect(wound.value.line.fullDiameterM).toBeCloseTo(TRUTH.fullDiameterM, 9);
  });

  it('keeps a length that was known before winding', () => {
    const wound = asWound(SPOOL, believed(true), TRUTH.fullDiameterM);
    expect(wound.ok && wound.value.line.segments[0]?.lengthM).toBe(100);
  });

  it('rests on believed packing without a level', () => {
    const wound = asWound(SPOOL, believed(false), null);
    expect(wound).toMatchObject({ ok: true, value: { packingFactor: 1 } });
  });

  it('refuses a level that no packing gives', () => {
    expect(asWound(SPOOL, believed(true), 0.1)).toMatchObject({ ok: false, reason: 'implausible-level' });
    expect(asWound(SPOOL, believed(true), 0.0325)).toMatchObject({ ok: false, reason: 'implausible-level' });
  });
});

describe('fittedPacking', () => {
  it('moves wound segments only, all by one factor', () => {
    const rows = [...TRUE_STACK, { id: 'l', name: 'l', lengthM: 5, lineDiameterM: 0.0009, packing: 0.6, wound: false }];
    const fitted = fittedPacking(SPOOL, rows, TRUTH.fullDiameterM * 0.99);
    if (!fitted.ok) throw new Error(fitted.message);
    expect(fitted.value.factor).toBeGreaterThan(1);
    expect(fitted.value.segments[0]?.packing).toBeCloseTo(0.71 * fitted.value.factor, 12);
    expect(fitted.value.segments[2]?.packing).toBe(0.6);
  });
});
