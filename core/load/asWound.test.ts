import { buildLoadedLine } from '../spool/loadedLine';
import { asWound, type MeasuredLevel, type WoundSegment } from './asWound';

const SPOOL = { arborDiameterM: 0.032, widthM: 0.029 };
const TRUE_STACK = [
  { id: 'a', name: 'a', lengthM: 110, lineDiameterM: 0.0004, packing: 0.71, wound: true },
  { id: 'b', name: 'b', lengthM: 45, lineDiameterM: 0.0007, packing: 0.6, wound: true },
];
const TRUTH = buildLoadedLine(SPOOL, TRUE_STACK);

/** As the person believes it: other packings, the first length only planned, the turns noted. */
const believed = (lengthKnown: boolean): WoundSegment[] =>
  TRUE_STACK.map((segment, index) => ({
    ...segment,
    lengthM: index === 0 ? 100 : segment.lengthM,
    packing: 0.66,
    notedTurns: TRUTH.segments[index]?.turns ?? null,
    lengthKnown: index === 1 || lengthKnown,
  }));

const after = (id: string, diameterM: number): MeasuredLevel => ({ afterSegmentId: id, diameterM });

describe('asWound', () => {
  it('gives back every packing and length from turns and a level after each segment', () => {
    const wound = asWound(SPOOL, believed(false), [
      after('a', TRUTH.segments[0]?.outerDiameterM ?? NaN),
      after('b', TRUTH.fullDiameterM),
    ]);
    expect(wound.line.segments[0]?.packing).toBeCloseTo(0.71, 6);
    expect(wound.line.segments[1]?.packing).toBeCloseTo(0.6, 6);
    expect(wound.line.segments[0]?.lengthM).toBeCloseTo(110, 6);
  });

  it('puts one factor on all when only the last level was measured', () => {
    const wound = asWound(SPOOL, believed(true), [after('b', TRUTH.fullDiameterM)]);
    const [a, b] = wound.line.segments;
    expect(a?.packing).toBeCloseTo(b?.packing ?? NaN, 12);
    expect((a?.packing ?? NaN) / 0.66).toBeCloseTo(wound.packingFactor, 9);
    expect(wound.line.fullDiameterM).toBeCloseTo(TRUTH.fullDiameterM, 9);
  });

  it('leaves what lies above the last level as it was believed', () => {
    const wound = asWound(SPOOL, believed(false), [after('a', TRUTH.segments[0]?.outerDiameterM ?? NaN)]);
    expect(wound.line.segments[1]?.packing).toBe(0.66);
  });

  it('keeps a length that was known before winding', () => {
    const wound = asWound(SPOOL, believed(true), [after('b', TRUTH.fullDiameterM)]);
    expect(wound.line.segments[0]?.lengthM).toBe(100);
  });

  it('rests on believed packing without a level, and passes over what is let out by hand', () => {
    const leader: WoundSegment = {
      id: 'l',
      name: 'l',
      lengthM: 5,
      lineDiameterM: 0.0009,
      packing: 0.6,
      wound: false,
      notedTurns: null,
      lengthKnown: true,
    };
    const wound = asWound(SPOOL, [...believed(false), leader], []);
    expect(wound).toMatchObject({ packingFactor: 1, heldOut: [] });
    expect(wound.line.handLinedLengthM).toBe(5);
  });

  it('leaves out a level that no packing gives, and keeps the others', () => {
    const without = asWound(SPOOL, believed(true), []);
    for (const diameterM of [0.1, 0.0325, SPOOL.arborDiameterM, 0.01]) {
      const wound = asWound(SPOOL, believed(true), [after('b', diameterM)]);
      expect(wound.heldOut).toEqual([after('b', diameterM)]);
      expect(wound.line).toEqual(without.line);
    }
    const inner = after('a', TRUTH.segments[0]?.outerDiameterM ?? NaN);
    const wound = asWound(SPOOL, believed(true), [inner, after('b', 0.1)]);
    expect(wound.heldOut).toHaveLength(1);
    expect(wound.line).toEqual(asWound(SPOOL, believed(true), [inner]).line);
    expect(() => asWound(SPOOL, believed(true), [after('b', 0.06), after('a', 0.05)])).toThrow(/order of winding/);
  });
});
