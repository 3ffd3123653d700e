import { kind, value } from '../../tests/runKind';

const LINE = {
  speedMS: 1.1,
  waterDensity: 1025,
  tipHeightM: 1.2,
  lure: { dragN: 1.8, downN: 0.2 },
  segments: [
    { lengthM: 8, diameterM: 0.0004, submergedWeightNPerM: 0.00015 },
    { lengthM: 36, diameterM: 0.0008, submergedWeightNPerM: 0.012 },
    { lengthM: 40, diameterM: 0.0003, submergedWeightNPerM: -0.00004 },
  ],
};
interface Profile {
  readonly depthM: number;
  readonly setbackM: number;
  readonly immersedM: number;
  readonly tensionTopN: number;
  readonly angleTopRad: number;
  readonly status: string;
  readonly errorEstimateM: number;
  readonly profile: readonly { sM: number; xM: number; zM: number; tensionN: number; angleRad: number }[];
}
const tow = (over: object = {}): Profile => value('tow-profile', { ...LINE, ...over }) as unknown as Profile;
const fields = (name: string, request: object) => {
  const found = kind(name).run(request);
  if (found.ok) throw new Error('it was answered');
  return found.fields;
};

describe('tow-profile', () => {
  it('ends at the tip: all of the line, and the tip over the depth', () => {
    const { profile, depthM, setbackM, status, immersedM } = tow();
    const last = profile.at(-1);
    expect(status).toBe('settled');
    expect(last?.sM).toBeCloseTo(84, 6);
    expect(last?.xM).toBeCloseTo(setbackM, 9);
    expect(last?.zM).toBeCloseTo(depthM + 1.2, 6);
    expect(immersedM).toBeLessThan(84 - 1.2);
  });

  it('with the tip at the water all of it is wet, and its depth the tip’s', () => {
    const { profile, depthM, immersedM } = tow({ tipHeightM: 0 });
    expect(immersedM).toBe(84);
    expect(profile.at(-1)?.zM).toBeCloseTo(depthM, 9);
  });

  it('takes a weight in air that is left out as that of wet line: its weight in water and what it displaces', () => {
    const given = LINE.segments.map((each) => ({
      ...each,
      dryWeightNPerM: each.submergedWeightNPerM + (1025 * 9.80665 * Math.PI * each.diameterM ** 2) / 4,
    }));
    expect(tow({ segments: given }).depthM).toBeCloseTo(tow().depthM, 9);
  });

  it('a humming line swims shallower, and constants are left aside by the Reynolds number', () => {
    expect(tow({ humFactor: 1.4 }).depthM).toBeLessThan(0.95 * tow().depthM);
    const law = { law: 'reynolds' };
    expect(tow({ ...law, cn: 3, ct: 0.5 })).toEqual(tow(law));
    expect(tow(law).depthM).toBeLessThan(tow().depthM);
  });

  it('a lead on the line pulls it down, and a tip that is too high lifts all of it out', () => {
    expect(tow({ pointLoads: [{ sM: 8, downN: 0.5, dragN: 0.05 }] }).depthM).toBeGreaterThan(tow().depthM);
    const out = tow({ tipHeightM: 30, segments: LINE.segments.slice(0, 1) });
    expect(out).toMatchObject({ status: 'lifted out', depthM: null, setbackM: null, profile: [] });
  });

  it.each([
    ['no speed with a line that floats', { speedMS: 0 }, 'speedMS', 'goes nowhere'],
    ['a tip under water', { tipHeightM: -1 }, 'tipHeightM', 'tip under water'],
    ['a lure that nothing holds back', { lure: { dragN: 0, downN: 1 } }, 'lure.dragN', 'above zero'],
    ['a load beyond the line', { pointLoads: [{ sM: 90, downN: 1, dragN: 0 }] }, 'pointLoads[0].sM', '84 m long'],
    ['no line', { segments: [] }, 'segments', ''],
    ['a law that nobody knows', { law: 'morison' }, 'law', ''],
  ])('says what is wrong: %s', (_, over, path, message) => {
    const [first] = fields('tow-profile', { ...LINE, ...over });
    expect(first?.path).toBe(path);
    expect(first?.message).toContain(message);
  });
});

describe('line-for-depth', () => {
  const sought = LINE.segments.with(2, { ...LINE.segments[2], lengthM: null } as never);
  const ask = (goal: object, over: object = {}) =>
    value('line-for-depth', { ...LINE, segments: sought, ...over, ...goal }) as unknown as Profile & {
      lengthM: number;
    };

  it('is the other way round', () => {
    const whole = tow();
    expect(ask({ depthM: whole.depthM }).lengthM).toBeCloseTo(40, 4);
    const back = ask({ setbackM: whole.setbackM });
    expect(back.lengthM).toBeCloseTo(40, 4);
    expect(back.depthM).toBeCloseTo(whole.depthM, 6);
  });

  it('says what to change where no length does it', () => {
    const request = { ...LINE, segments: sought };
    expect(fields('line-for-depth', { ...request, depthM: 500 })[0]).toMatchObject({
      path: 'depthM',
      message: expect.stringContaining('go slower'),
    });
    expect(fields('line-for-depth', { ...request, depthM: 0.5 })[0]?.message).toContain('reel in');
    expect(fields('line-for-depth', request)[0]?.message).toContain('either');
    expect(fields('line-for-depth', { ...LINE, depthM: 3 })[0]?.path).toBe('segments[2].lengthM');
  });

  it('a line that floats up first lies on the surface, and has no length', () => {
    const floats = [{ lengthM: null, diameterM: 0.001, submergedWeightNPerM: -0.004 }];
    const found = ask({ depthM: 30 }, { segments: floats, speedMS: 0.5, lure: { dragN: 1, downN: 0.3 } });
    expect(found).toMatchObject({ lengthM: null, depthM: null, status: 'lies on the surface' });
  });
});
