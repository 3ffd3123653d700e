import { known as measured } from '../../tests/believedLoad';
import { ERRORS } from '../measurement/errors';
import { loadModel, SLIP_KEY, TAPE_KEY, type BelievedLoad, type BelievedSegment } from './loadModel';

const segment = (id: string, lineId: string, change: Partial<BelievedSegment> = {}): BelievedSegment => ({
  ...{ id, name: `${id} line`, lineId, lengthM: 80, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  areaRelativeSd: 0.12,
  lengthRelativeSd: 0.003,
  windingStrain: { value: 0.02, sd: 0.012 },
  ...change,
});
const believed = (change: Partial<BelievedLoad> = {}): BelievedLoad => ({
  arborDiameterM: measured(0.032, 0.006),
  widthM: measured(0.029, 0.005),
  fullDiameterM: measured(0.062, 0.003),
  constantM: measured(0.174, 0.04),
  counter: { unitM: 0.3048, display: 'rounds' },
  joint: null,
  segments: [segment('backing', 'nylon'), segment('top', 'braid')],
  ...change,
});
/** The load with some of its unknowns at values, all others as believed. */
const realised = (load: BelievedLoad, values: Readonly<Record<string, number>>) =>
  loadModel(load).realise((key) => values[key] ?? 0);

describe('the model of a load', () => {
  it('is the load as believed where nothing is off', () => {
    const load = realised(believed(), {});
    expect(load).toMatchObject({ rimDiameterM: 0.062, constantM: 0.174, drive: 'spool', slipShare: 0, tapeShare: 0 });
    expect(load.line.spool).toEqual({ arborDiameterM: 0.032, widthM: 0.029 });
    expect(load.line.segments.map(({ lengthM, packing }) => [lengthM, packing])).toEqual([
      [80, 0.68],
      [80, 0.68],
    ]);
  });

  it('takes each unknown for the logarithm of its figure, by the right way round', () => {
    const ln = Math.log(1.1);
    const at = (values: Readonly<Record<string, number>>) => realised(believed(), values);
    expect(at({ fullDiameterM: ln }).rimDiameterM).toBeCloseTo(0.0682, 12);
    expect(at({ counter: ln }).constantM).toBeCloseTo(0.1914, 12);
    expect(at({ arborDiameterM: ln }).line.spool.arborDiameterM).toBeCloseTo(0.0352, 12);
    expect(at({ widthM: ln }).line.spool.widthM).toBeCloseTo(0.0319, 12);
    // A line that takes a tenth more room packs so much less.
    const bulk = at({ nylon: ln }).line.segments;
    expect(bulk[0]?.packing).toBeCloseTo(0.68 / 1.1, 12);
    expect(bulk[1]?.packing).toBeCloseTo(0.68, 12);
    const long = at({ 'length of top': ln }).line.segments;
    expect(long[1]?.lengthM).toBeCloseTo(88, 9);
    expect(long[0]?.lengthM).toBeCloseTo(80, 9);
    // The strain is a factor over one: 2 % stretched a hundredth more is 3.02 %.
    const strain = (values: Readonly<Record<string, number>>) => at(values).line.segments[0] as { strain?: number };
    expect(strain({}).strain).toBeCloseTo(0.02, 12);
    expect(strain({ 'stretch of nylon': Math.log(1.01) }).strain).toBeCloseTo(1.02 * 1.01 - 1, 12);
    // Nothing is off by more than a factor of e⁵.
    expect(at({ counter: 40 }).constantM).toBeCloseTo(0.174 * Math.exp(5), 6);
  });

  it('adds what this load packs otherwise to what its line does, where loads are told apart', () => {
    const ln = Math.log(1.1);
    const apart = believed({ repeatRelativeSd: 0.01 });
    const packing = (load: BelievedLoad, values: Readonly<Record<string, number>>) =>
      realised(load, values).line.segments[0]?.packing ?? NaN;
    expect(packing(apart, { nylon: ln, 'repeat of nylon': ln })).toBeCloseTo(0.68 / 1.21, 12);
    expect(packing(believed(), { nylon: ln, 'repeat of nylon': ln })).toBeCloseTo(0.68 / 1.1, 12);
    const keys = (load: BelievedLoad) => loadModel(load).unknowns.map(({ key }) => key);
    expect(keys(apart)).toContain('repeat of nylon');
    expect(keys(believed())).not.toContain('repeat of nylon');
    expect(loadModel(apart).unknowns.find(({ key }) => key === 'repeat of nylon')).toMatchObject({
      ...{ sd: 0.01, scope: 'winding' },
    });
  });

  it('packs looser or tighter with depth: the inner line unlike the outer, and the other way round for the other sign', () => {
    const packings = (depth: number) =>
      realised(believed(), { depth }).line.segments.map(({ packing }) => Math.log(packing / 0.68));
    const [inner = NaN, outer = NaN] = packings(0.1);
    expect(Math.abs(inner - outer)).toBeGreaterThan(0.01);
    const [less, more] = packings(-0.1);
    expect(less).toBeCloseTo(-inner, 12);
    expect(more).toBeCloseTo(-outer, 12);
  });

  it('adds the tape’s own share to what the outfit’s other walks say of it', () => {
    expect(realised(believed({ tapeShare: 0.004 }), { [TAPE_KEY]: 0.001 }).tapeShare).toBeCloseTo(0.005, 12);
    expect(realised(believed(), { [TAPE_KEY]: 0.001, [SLIP_KEY]: 0.002 })).toMatchObject({
      ...{ tapeShare: 0.001, slipShare: 0.002 },
    });
  });

  it('names each thing that may be off once, with its SD and who shares it; not what never goes on the spool', () => {
    const load = believed({
      segments: [
        segment('backing', 'nylon'),
        segment('middle', 'nylon', { areaRelativeSd: 0.3 }),
        segment('leader', 'fluorocarbon', { wound: false }),
      ],
    });
    const { unknowns } = loadModel(load);
    const of = (key: string) => unknowns.filter((each) => each.key === key);
    // Two segments of one line share its bulk: what the first says stands.
    expect(of('nylon')).toMatchObject([{ sd: 0.12, scope: 'line' }]);
    expect(of('nylon')[0]?.from).toMatchObject({ reason: 'error-bulk', figures: { of: 'backing line' } });
    expect(of('fluorocarbon')).toEqual([]);
    expect(of('length of leader')).toEqual([]);
    expect(of('length of middle')).toMatchObject([{ sd: 0.003, scope: 'load' }]);
    expect(of('stretch of nylon')).toMatchObject([{ sd: 0.012, scope: 'winding' }]);
    expect(of('counter')).toMatchObject([{ sd: expect.closeTo(0.04, 12), scope: 'reel' }]);
    expect(of(TAPE_KEY)).toMatchObject([{ sd: ERRORS.tapeShare.sd, scope: 'outfit' }]);
  });

  it('lets line slip by more over a roller than on a spool', () => {
    const slip = (load: BelievedLoad) => loadModel(load).unknowns.find(({ key }) => key === SLIP_KEY)?.sd;
    expect(slip(believed())).toBe(ERRORS.slipShare.sd);
    const roller = believed({ counter: { unitM: 0.3048, display: 'rounds', drive: 'roller' } });
    expect(slip(roller)).toBe(ERRORS.rollerSlipShare.sd);
    expect(ERRORS.rollerSlipShare.sd).not.toBe(ERRORS.slipShare.sd);
    expect(realised(roller, {}).drive).toBe('roller');
  });
});
