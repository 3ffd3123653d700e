import { Solver } from 'odex';
import { seededRandom } from '../../instruments/random';
import { criticalAngle } from './criticalAngle';
import type { LineDragBy } from './lineDrag';
import { AIR, type Medium } from './medium';
import { towProfile } from './towProfile';
import type { Tow } from './towStack';
import type { TowedPiece } from './towedLine';

const SEA: Medium = { densityKgM3: 1025, kinematicViscosityM2S: 1.1e-6 };
const CONSTANT: LineDragBy = { law: 'constant', cn: 1.2, ct: 0.01, humFactor: 1 };
const REYNOLDS: LineDragBy = { ...CONSTANT, law: 'reynolds' };
const G = 9.80665;

function piece(lengthM: number, diameterM: number, submergedWeightNPerM: number): TowedPiece {
  const displaced = (SEA.densityKgM3 * G * Math.PI * diameterM ** 2) / 4;
  return { lengthM, diameterM, submergedWeightNPerM, dryWeightNPerM: submergedWeightNPerM + displaced };
}

const tow = (over: Partial<Tow>): Tow => ({
  ...{ speedMS: 1, water: SEA, air: AIR, by: CONSTANT, lure: { dragN: 2, downN: 0.3 } },
  ...{ pieces: [piece(50, 0.0008, 0.012)], loads: [], tipHeightM: 0, bottomM: null },
  ...over,
});

// The equations once more, with the tension's level and upright parts as unknowns instead of tension and angle, and the laws written out
// again from their published form; integrated by a general-purpose package (extrapolation after Gragg, Bulirsch and Stoer).
function forcesAgain(each: TowedPiece, speedMS: number, medium: Medium, by: LineDragBy, wet: boolean, angle: number) {
  const [un, ut] = [speedMS * Math.sin(angle), speedMS * Math.cos(angle)];
  const { densityKgM3: rho, kinematicViscosityM2S: nu } = medium;
  const d = each.diameterM;
  const hum = wet ? by.humFactor : 1;
  const q = wet ? each.submergedWeightNPerM : each.dryWeightNPerM;
  if (by.law === 'constant') {
    const fn = 0.5 * rho * d * by.cn * hum * un * Math.abs(un);
    return { q, fn, ft: 0.5 * rho * d * Math.PI * by.ct * ut * Math.abs(ut) };
  }
  const re = (Math.abs(un) * d) / nu;
  const s = -0.077215665 + Math.log(8 / re);
  const branch = [
    ((8 * Math.PI) / (re * s)) * (1 - 0.87 / (s * s)),
    1.45 + 8.55 * Math.pow(re, -0.9),
    1.1 + 4 * Math.pow(re, -0.5),
  ] as const;
  const between = (low: number, high: number) => (Math.log(re) - Math.log(low)) / (Math.log(high) - Math.log(low));
  let cn: number = branch[2];
  if (re <= 0.5) cn = branch[0];
  else if (re < 1) cn = branch[0] + between(0.5, 1) * (branch[1] - branch[0]);
  else if (re <= 30) cn = branch[1];
  else if (re < 60) cn = branch[1] + between(30, 60) * (branch[2] - branch[1]);
  const skin = Math.PI * rho * nu * (0.55 * Math.pow(re, 0.5) + 0.084 * Math.pow(re, 2 / 3)) * Math.abs(ut);
  return {
    q,
    fn: re === 0 ? 0 : 0.5 * rho * d * cn * hum * un * Math.abs(un),
    ft: Math.sign(ut) * Math.max(skin, 0.5 * rho * d * Math.PI * 0.005 * ut * ut),
  };
}

/** Tension's parts, x and z with the first so many metres wet and the rest in air. */
function again(of: Tow, immersedM: number, lengthM: number): readonly number[] {
  let state = [of.lure.dragN, of.lure.downN, 0, 0];
  let fromM = 0;
  for (const each of of.pieces) {
    const endM = Math.min(fromM + each.lengthM, lengthM);
    for (const [low, high, wet] of [
      [fromM, Math.min(endM, immersedM), true],
      [Math.max(fromM, immersedM), endM, false],
    ] as const) {
      if (high - low < 1e-9) continue;
      const solver = new Solver(4);
      solver.absoluteTolerance = 1e-10;
      solver.relativeTolerance = 1e-10;
      state = [
        ...solver.solve(
          (_, [level = 0, upright = 0]) => {
            const angle = Math.atan2(upright, level);
            const { q, fn, ft } = forcesAgain(each, of.speedMS, wet ? of.water : of.air, of.by, wet, angle);
            const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
            return [ft * cos + fn * sin, q + ft * sin - fn * cos, cos, sin];
          },
          low,
          state,
          high,
        ).y,
      ];
    }
    fromM += each.lengthM;
  }
  return state;
}

const zAt = (state: readonly number[]): number => state[3] ?? NaN;

describe('closed forms', () => {
  test('without speed the line hangs: a catenary that the lure pulls aside (mechanics handbooks)', () => {
    const { depthM, setbackM, status } = towProfile(tow({ speedMS: 0 }));
    // y = a·cosh(x/a) with a = H/q; from an angle φ0 the arc s ends at tan φ = tan φ0 + s/a.
    const a = 2 / 0.012;
    const [t0, t1] = [0.15, 0.15 + 50 / a];
    expect(depthM).toBeCloseTo(a * (Math.hypot(1, t1) - Math.hypot(1, t0)), 6);
    expect(setbackM).toBeCloseTo(a * (Math.asinh(t1) - Math.asinh(t0)), 6);
    expect(status).toBe('settled');
  });

  test('no drag gives the catenary at any speed', () => {
    const no = { ...CONSTANT, cn: 0, ct: 0 };
    expect(towProfile(tow({ by: no, speedMS: 3 })).depthM).toBeCloseTo(
      towProfile(tow({ speedMS: 0 })).depthM ?? NaN,
      9,
    );
  });

  test('a weightless line with nothing on its skin: cot φ grows evenly with length', () => {
    const lure = { dragN: 1, downN: 1.5 };
    const by = { ...CONSTANT, ct: 0 };
    const { profile } = towProfile(tow({ by, lure, pieces: [piece(30, 0.0006, 0)] }));
    const rate = (0.5 * 1025 * 0.0006 * 1.2) / Math.hypot(1, 1.5);
    for (const { sM, angleRad } of profile) expect(1 / Math.tan(angleRad)).toBeCloseTo(1 / 1.5 + rate * sM, 6);
    // Depth by hand: z = ∫ sin φ ds = (asinh c1 − asinh c0) ÷ rate, with c = cot φ.
    const depth = (Math.asinh(1 / 1.5 + rate * 30) - Math.asinh(1 / 1.5)) / rate;
    expect(profile.at(-1)?.zM).toBeCloseTo(depth, 6);
  });

  test.each([CONSTANT, REYNOLDS])('started at its critical angle the line stays there to 1e-9: %o', (by) => {
    const line = piece(400, 0.0008, 0.012);
    const angle = criticalAngle(line, 1, SEA, by);
    const lure = { dragN: 2 * Math.cos(angle), downN: 2 * Math.sin(angle) };
    const { profile } = towProfile(tow({ by, lure, pieces: [line] }));
    for (const { angleRad } of profile) expect(Math.abs(angleRad - angle)).toBeLessThan(1e-9);
    // cos φ ÷ sin² φ = ½ρV²Cnδ ÷ q.
    if (by.law === 'constant') {
      expect(Math.cos(angle) / Math.sin(angle) ** 2).toBeCloseTo((0.5 * 1025 * 1.2 * 0.0008) / 0.012, 6);
    }
  });

  test('a load on the line adds its force: a plumb on a weightless line bends it to an angle that forces tell', () => {
    const { angleTopRad, tensionTopN } = towProfile(
      tow({
        ...{ speedMS: 0, lure: { dragN: 1, downN: 0 }, pieces: [piece(10, 0.0005, 0)] },
        loads: [{ sM: 4, downN: 2, dragN: 0.5 }],
      }),
    );
    expect(angleTopRad).toBeCloseTo(Math.atan2(2, 1.5), 9);
    expect(tensionTopN).toBeCloseTo(2.5, 9);
  });
});

describe('against a general-purpose integrator', () => {
  const random = seededRandom(20);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const log = (low: number, high: number): number => low * (high / low) ** random();
  const cases = Array.from({ length: 300 }, (_, index) =>
    tow({
      speedMS: log(0.2, 6),
      by: { law: index % 2 ? 'reynolds' : 'constant', cn: between(0.9, 1.6), ct: 0.012, humFactor: between(1, 1.6) },
      lure: { dragN: log(0.2, 20), downN: between(-0.3, 2) },
      pieces: Array.from({ length: 1 + Math.floor(4 * random()) }, () =>
        piece(log(1, 120), log(0.0002, 0.0012), between(-0.0003, 0.02)),
      ),
      tipHeightM: index % 4 < 2 ? 0 : between(0.5, 3),
    }),
  );

  test('300 seeded cases, with air and without, by both laws: the same line to a tenth of a millimetre', () => {
    const seen: Record<string, number> = {};
    for (const each of cases) {
      const lengthM = each.pieces.reduce((sum, { lengthM: one }) => sum + one, 0);
      const told = towProfile(each);
      seen[told.status] = (seen[told.status] ?? 0) + 1;
      if (told.status === 'settled') {
        const immersedM = told.immersedM ?? NaN;
        const [level = NaN, upright = NaN, x = NaN, z = NaN] = again(each, immersedM, lengthM);
        const depthM = zAt(again(each, immersedM, immersedM));
        expect(Math.abs(depthM - (told.depthM ?? NaN))).toBeLessThan(1e-4);
        expect(Math.abs(x - (told.setbackM ?? NaN))).toBeLessThan(1e-4);
        expect(Math.abs(z - depthM - each.tipHeightM)).toBeLessThan(1e-4);
        expect(Math.hypot(level, upright) / (told.tensionTopN ?? NaN)).toBeCloseTo(1, 5);
        expect(Math.atan2(upright, level)).toBeCloseTo(told.angleTopRad ?? NaN, 5);
        expect(told.errorEstimateM).toBeLessThan(1e-3);
      }
    }
    expect(seen.settled).toBeGreaterThan(200);
  }, 60_000);
});
