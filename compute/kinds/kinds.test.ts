import { simulateLayers, turnsOffSimulated } from '../../tests/layerSimulation';
import { COMPUTE_KINDS } from '.';
import { kind, value } from '../../tests/runKind';
import { z } from 'zod';

const PLAN = {
  reel: { arborDiameterM: 0.032, widthM: 0.029, fullDiameterM: 0.062 },
  counter: { lengthPerTurnM: 0.176, unitM: 1, digits: 3 },
  segments: [
    { name: 'backing', lineDiameterM: 0.0004, packing: 0.68, lengthM: null },
    { name: 'copper', lineDiameterM: 0.0007, packing: 0.62, lengthM: 45 },
  ],
};

describe('every kind', () => {
  it.each(COMPUTE_KINDS.map((candidate) => [candidate.name, candidate] as const))(
    '%s runs its own example and has a schema',
    (_, candidate) => {
      expect(candidate.run(candidate.example).ok).toBe(true);
      expect(z.toJSONSchema(candidate.schema, { io: 'input' })).toMatchObject({ type: 'object' });
      expect(JSON.stringify(candidate.run(candidate.example))).not.toContain('null,null');
    },
  );
});

describe('load-plan', () => {
  it('fills the spool and gives both readings', () => {
    const plan = value('load-plan', PLAN) as unknown as {
      solvedLengthM: number;
      finalDiameterM: number;
      segments: Record<string, number>[];
    };
    expect(plan.finalDiameterM).toBeCloseTo(0.062, 12);
    expect(plan.segments[0]?.lengthM).toBe(plan.solvedLengthM);
    expect(plan.segments[0]?.naiveStopReading).toBe((1000 - Math.round(plan.solvedLengthM)) % 1000);
    expect(plan.segments.at(-1)?.diameterAfterM).toBeCloseTo(0.062, 12);
  });

  it('names the SDs behind its ±, given or default', () => {
    const given = { ...PLAN, segments: [{ ...PLAN.segments[0], lineDiameterSdM: 0.000004 }, PLAN.segments[1]] };
    expect(value('load-plan', given)).toMatchObject({
      sdsUsed: {
        diameterM: 0.0002,
        lengthPerTurnM: expect.closeTo(0.04 * 0.176, 12),
        segments: [{ lineDiameterM: 0.000004 }, { lineDiameterM: expect.closeTo(0.063 * 0.0007, 12), packing: 0.045 }],
      },
    });
    const wide = value('load-plan', PLAN) as unknown as { solvedLengthPlusMinusM: number };
    const narrow = value('load-plan', given) as unknown as { solvedLengthPlusMinusM: number };
    expect(narrow.solvedLengthPlusMinusM).toBeLessThan(wide.solvedLengthPlusMinusM);
  });

  it('says when a turn cannot be that long on a spool of that size, and nothing otherwise', () => {
    expect(value('load-plan', PLAN)).toMatchObject({ conflicts: [] });
    const inFeet = { ...PLAN, counter: { ...PLAN.counter, lengthPerTurnM: 0.58 } };
    expect(value('load-plan', inFeet)).toMatchObject({ conflicts: [{ what: 'lengthPerTurnM', worst: true }] });
    expect(value('load-plan', { ...PLAN, counter: null })).toMatchObject({ conflicts: [] });
  });

  it('fills to a share of the depth, to a mark, or so that the counter is true', () => {
    const finalOf = (fill: unknown): number =>
      (value('load-plan', { ...PLAN, fill }) as unknown as { finalDiameterM: number }).finalDiameterM;
    expect(finalOf({ kind: 'depth-share', share: 0.6 })).toBeCloseTo(0.05, 12);
    expect(finalOf({ kind: 'mark', diameterM: 0.058 })).toBeCloseTo(0.058, 12);
    expect(finalOf({ kind: 'counter-true', fromM: 10, toM: 40 })).toBeGreaterThan(0.05);
    expect(kind('load-plan').run({ ...PLAN, fill: { kind: 'counter-true', fromM: 40, toM: 10 } })).toMatchObject({
      ok: false,
      fields: [{ path: 'fill.toM' }],
    });
    expect(
      kind('load-plan').run({ ...PLAN, counter: null, fill: { kind: 'counter-true', fromM: 10, toM: 40 } }),
    ).toMatchObject({ ok: false, fields: [{ path: 'fill' }] });
  });

  it.each([
    ['no unknown', { segments: PLAN.segments.map((s) => ({ ...s, lengthM: 10 })) }, 'segments'],
    ['two unknowns', { segments: PLAN.segments.map((s) => ({ ...s, lengthM: null })) }, 'segments[0].lengthM'],
    ['a 3 m arbor', { reel: { ...PLAN.reel, arborDiameterM: 3 } }, 'reel.arborDiameterM'],
    ['a full diameter below the arbor', { reel: { ...PLAN.reel, fullDiameterM: 0.03 } }, 'reel.fullDiameterM'],
    [
      'a 40 km top shot',
      { segments: [PLAN.segments[0], { ...PLAN.segments[1], lengthM: 40_000 }] },
      'segments[1].lengthM',
    ],
    [
      'text in a number',
      { segments: [PLAN.segments[0], { ...PLAN.segments[1], lengthM: '45 m' }] },
      'segments[1].lengthM',
    ],
    [
      'a negative diameter',
      { segments: [PLAN.segments[0], { ...PLAN.segments[1], lineDiameterM: -0.0007 }] },
      'segments[1].lineDiameterM',
    ],
    ['NaN', { segments: [PLAN.segments[0], { ...PLAN.segments[1], packing: NaN }] }, 'segments[1].packing'],
    ['millimetres for metres', { reel: { ...PLAN.reel, widthM: 29 } }, 'reel.widthM'],
    ['a stack that cannot fit', { segments: [PLAN.segments[0], { ...PLAN.segments[1], lengthM: 900 }] }, 'segments'],
    ['a name that is no field', { reelColour: 'red' }, ''],
    ['a missing reel', { reel: undefined }, 'reel'],
  ])('refuses %s and names the field', (_, change, path) => {
    const result = kind('load-plan').run({ ...PLAN, ...change });
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.fields.map((field) => field.path)).toContain(path);
    expect(result.fields.every((field) => field.message.length > 5)).toBe(true);
  });
});

describe('payout-table', () => {
  const segments = PLAN.segments.map((s) => ({ ...s, lengthM: s.lengthM ?? 150 }));

  it('agrees with whole layers within 0.5 % or 0.6 turn', () => {
    const trueLengthsM = [0, 5, 10, 30, 44, 46, 80, 120, 190];
    const table = value('payout-table', { ...PLAN, segments, trueLengthsM }) as unknown as {
      rows: { turns: number; reading: number }[];
    };
    const layers = simulateLayers(0.032, 0.029, segments);
    trueLengthsM.forEach((lengthM, index) => {
      const turns = turnsOffSimulated(layers, lengthM);
      expect(Math.abs((table.rows[index]?.turns ?? NaN) - turns)).toBeLessThanOrEqual(Math.max(0.005 * turns, 0.6));
      expect(table.rows[index]?.reading).toBeCloseTo((table.rows[index]?.turns ?? NaN) * 0.176, 9);
    });
  });

  it('takes the load as planned, too, and names a length that is not there', () => {
    expect(kind('payout-table').run({ ...PLAN, trueLengthsM: [50] }).ok).toBe(true);
    const beyond = kind('payout-table').run({ ...PLAN, segments, trueLengthsM: [10, 500] });
    expect(beyond).toMatchObject({
      ok: false,
      fields: [{ path: 'trueLengthsM[1]', message: expect.stringContaining('195.00 m') }],
    });
    expect(kind('payout-table').run({ ...PLAN, segments, trueLengthsM: [-1] })).toMatchObject({
      ok: false,
      fields: [{ path: 'trueLengthsM[0]' }],
    });
  });

  it('says when the reel is fuller than its rim', () => {
    const heavy = segments.map((s) => ({ ...s, lengthM: s.lengthM * 1.6 }));
    expect(value('payout-table', { ...PLAN, segments: heavy, trueLengthsM: [0] })).toMatchObject({ overfull: true });
  });
});

describe('reel-fit', () => {
  const FIT = {
    arborDiameterM: null,
    widthM: 0.03,
    fullDiameterM: 0.06,
    lines: [{ name: 'nylon', lineDiameterM: 0.0004, packing: 0.68 }],
  };
  const turns = 250 / (Math.PI * 0.5 * (0.034 + 0.056));
  const load = {
    segments: [{ line: 'nylon', lengthM: 250, turns }],
    levels: [{ afterSegment: 0, levelBelowRimM: 0.002 }],
  };

  it('finds an arbor that nobody measured from one plain load: 2L/(πN) − D', () => {
    const fit = value('reel-fit', { ...FIT, loads: [load] }) as unknown as {
      reel: Record<string, { value: number; plusMinus: number }>;
      lines: { packing: number; packingPlusMinus: number }[];
      evidence: { offBySds: number }[];
    };
    expect(Math.abs((fit.reel.arborDiameterM?.value ?? NaN) - 0.034)).toBeLessThan(0.0003);
    // Stretched line takes more turns than it is long: of a line of unknown material that leaves 1.5 % of 2L/(πN) open.
    expect(fit.reel.arborDiameterM?.plusMinus).toBeLessThan(0.003);
    const braid = value('reel-fit', { ...FIT, lines: [{ ...FIT.lines[0], material: 'braid' }], loads: [load] });
    const known = braid as unknown as { reel: Record<string, { plusMinus: number }> };
    expect(known.reel.arborDiameterM?.plusMinus).toBeLessThan(0.0015);
    expect(fit.lines[0]?.packingPlusMinus).toBeGreaterThan(0);
    expect(fit.evidence.every((each) => Math.abs(each.offBySds) < 2)).toBe(true);
  });

  it('knows less by ratings alone, and says where a request is wrong', () => {
    const ratings = [{ label: '0.40 mm, 300 m', lineDiameterM: 0.0004, lengthM: 300 }];
    const rated = value('reel-fit', { ratings }) as unknown as {
      reel: Record<string, { value: number; plusMinus: number }>;
    };
    expect(rated.reel.arborDiameterM?.plusMinus).toBeGreaterThan(0.005);
    const fields = (request: unknown): readonly string[] => {
      const result = kind('reel-fit').run(request);
      return result.ok ? [] : result.fields.map((field) => field.path);
    };
    expect(fields({})).toEqual(['ratings']);
    expect(fields({ ...FIT, arborDiameterM: 0.07 })).toEqual(['fullDiameterM']);
    expect(fields({ ...FIT, loads: [{ ...load, segments: [{ line: 'braid' }] }] })).toEqual([
      'loads[0].segments[0].line',
    ]);
    expect(fields({ ...FIT, loads: [{ ...load, levels: [{ afterSegment: 3, levelBelowRimM: 0.002 }] }] })).toEqual([
      'loads[0].levels[0].afterSegment',
    ]);
  });
});

describe('cut-list', () => {
  it('finds the cuts, and names what is missing', () => {
    const request = {
      spools: [
        { id: 'a', lengthM: 100 },
        { id: 'b', lengthM: 100 },
      ],
      pieces: [60, 50, 40, 30, 20].map((lengthM) => ({ id: `${lengthM}`, lengthM })),
    };
    expect(value('cut-list', request)).toMatchObject({ joins: 0, wasteM: 0, proven: true });
    const more = { ...request, pieces: [...request.pieces, { id: '90', lengthM: 90 }] };
    expect(kind('cut-list').run(more)).toMatchObject({
      ok: false,
      fields: [{ message: '90.0 m are missing on the shelf.' }],
    });
    const twice = { ...request, pieces: [...request.pieces, { id: '60', lengthM: 1 }] };
    expect(kind('cut-list').run(twice)).toMatchObject({ ok: false, fields: [{ path: 'pieces' }] });
  });
});

describe('calibrate and correction-table', () => {
  const COUNTED = kind('calibrate').example as { segments: { lengthM: number }[]; trials: object[] };

  it('find the constant that made the readings, and how the counter runs from there', () => {
    const turns = { kind: 'turns', turns: 200, reading: (200 * 0.181) / 0.3048, betweenFlips: true };
    const found = value('calibrate', { ...COUNTED, trials: [turns] }) as unknown as {
      constantM: { value: number; plusMinus: number };
      errorAt: { lengthM: number; reading: number; error: number }[];
      advice: { card: boolean; reload: object };
    };
    expect(Math.abs(found.constantM.value - 0.181)).toBeLessThan(found.constantM.plusMinus);
    expect(found.constantM.plusMinus).toBeLessThan(0.001);
    // Near the arbor a turn takes far less line, so the counter reads ever higher.
    expect(found.errorAt.at(-1)?.error).toBeGreaterThan(found.errorAt[2]?.error ?? 0);
    expect(found.advice.card).toBe(true);
    const back = value('correction-table', {
      ...COUNTED,
      trials: [turns],
      lengthsM: [40],
      readings: [found.errorAt[3]?.reading],
    });
    expect(back.lengthAt).toMatchObject([{ lengthM: expect.closeTo(found.errorAt[3]?.lengthM ?? 0, 2) as number }]);
  });

  it('name a contradictory trial, and put stripped line back for those before it', () => {
    const walk = (reading: number, strippedBeforeM = 0) => ({
      kind: 'tape',
      trueLengthM: 30.48,
      reading,
      strippedBeforeM,
    });
    const { residuals } = value('calibrate', {
      ...COUNTED,
      trials: [walk(93), walk(95, 20), walk(120)],
    }) as unknown as {
      residuals: { explanation: string | null }[];
    };
    expect(residuals.at(-1)?.explanation).toMatch(/this one would need the spool to be/);
  });

  it('refuse a trial longer than the line, a missing length, a kind without its measure', () => {
    const fieldOf = (change: object): string | undefined => {
      const result = kind('calibrate').run({ ...COUNTED, ...change });
      return result.ok ? undefined : result.fields[0]?.path;
    };
    expect(fieldOf({ trials: [{ kind: 'tape', trueLengthM: 900, reading: 90 }] })).toBe('trials[0].trueLengthM');
    expect(fieldOf({ trials: [{ kind: 'turns', reading: 90 }] })).toBe('trials[0].turns');
    expect(fieldOf({ segments: COUNTED.segments.map((each) => ({ ...each, lengthM: null })) })).toMatch(
      /^segments\[\d\]/,
    );
  });
});

describe('what disagrees', () => {
  const COUNTED = kind('calibrate').example as Readonly<Record<string, unknown>>;
  const tape = (reading: number) => ({ kind: 'tape', trueLengthM: 30.48, reading });

  it('is named by the piece that is odd, and by no other, and widens the ±', () => {
    const agreed = value('calibrate', { ...COUNTED, trials: [tape(96), tape(96), tape(97)] }) as unknown as Calibrated;
    const odd = value('calibrate', {
      ...COUNTED,
      trials: [tape(96), tape(96), tape(97), tape(80)],
    }) as unknown as Calibrated;
    expect(agreed).toMatchObject({ conflicts: [], widened: 1 });
    expect(odd.conflicts).toMatchObject([{ what: 'tape 4', worst: true }]);
    expect(odd.widened).toBeGreaterThan(2);
    expect(odd.constantM.plusMinus).toBeGreaterThan(agreed.constantM.plusMinus);
    const pulls = value('strength-summary', { pullsN: [118, 121, 119, 120, 122, 160] }) as unknown as Calibrated;
    expect(pulls.conflicts).toMatchObject([{ what: 'pull 6', worst: true }]);
  });

  it('or cannot be ends in a sentence: a level deeper than the spool, packing that no line has', () => {
    expect(kind('calibrate').run({ ...COUNTED, levelBelowRimM: 0.19 })).toMatchObject({
      ok: false,
      fields: [{ path: 'levelBelowRimM' }],
    });
    for (const packing of [0.3, 0.95]) {
      const segments = [{ ...PLAN.segments[0], packing }, PLAN.segments[1]];
      expect(kind('load-plan').run({ ...PLAN, segments })).toMatchObject({
        ok: false,
        fields: [{ path: 'segments[0].packing' }],
      });
    }
  });

  interface Calibrated {
    readonly conflicts: readonly unknown[];
    readonly widened: number;
    readonly constantM: { readonly plusMinus: number };
  }
});

describe('measure-next', () => {
  interface Next {
    readonly now: { readonly value: number; readonly plusMinus: number; readonly useless: boolean };
    readonly message: string | null;
    readonly options: readonly {
      readonly measurement: string;
      readonly minutes: number;
      readonly plusMinusAfter: number;
      readonly gainPerMinute: number;
    }[];
    readonly quickest: readonly { readonly measurement: string }[] | null;
    readonly set: readonly { readonly measurement: string; readonly minutes: number }[];
    readonly plusMinusAfterSet: number;
  }
  const EXAMPLE = kind('measure-next').example as { segments: { lengthM: number | null }[]; costs?: object };
  const ON = {
    ...EXAMPLE,
    segments: EXAMPLE.segments.map((segment, index) => ({ ...segment, lengthM: [120, 45, 40][index] })),
    goal: { kind: 'counter' },
    minutes: 30,
  };
  const next = (request: unknown) => value('measure-next', request) as unknown as Next;

  it('says what each measurement would leave, best gain per minute first, and a set that fits the time', () => {
    const { now, options, set, plusMinusAfterSet } = next(EXAMPLE);
    expect(now.useless).toBe(true);
    options.forEach(({ plusMinusAfter, gainPerMinute, minutes }, index) => {
      expect(gainPerMinute).toBeCloseTo((now.plusMinus - plusMinusAfter) / minutes, 9);
      expect(gainPerMinute).toBeLessThanOrEqual(options[index - 1]?.gainPerMinute ?? Infinity);
    });
    expect(set.reduce((sum, { minutes }) => sum + minutes, 0)).toBeLessThanOrEqual(10);
    expect(plusMinusAfterSet).toBeLessThan(options[0]?.plusMinusAfter ?? 0);
  });

  it('knows the same ± as the plan that it narrows', () => {
    const { goal, minutes, ...plan } = EXAMPLE as unknown as { goal: object; minutes: number };
    const planned = value('load-plan', { ...plan, fill: { kind: 'below-rim', levelBelowRimM: 0.002 } }) as unknown as {
      solvedLengthM: number;
      solvedLengthPlusMinusM: number;
    };
    const { now } = next({ ...plan, goal, minutes });
    expect(now.value / planned.solvedLengthM - 1).toBeCloseTo(0, 2);
    // Labels of one nylon go together in a plan; within a tenth of its ± that is all that differs.
    expect(Math.abs(now.plusMinus / planned.solvedLengthPlusMinusM - 1)).toBeLessThan(0.15);
  });

  it('offers no walk again where one was made and a second says no more than the first', () => {
    const walk = { kind: 'tape', trueLengthM: 30.48, reading: 96 };
    const { options, quickest } = next(ON);
    expect(new Set(quickest?.map(({ measurement }) => measurement))).toEqual(new Set(['walk']));
    const walked = next({ ...ON, evidence: { trials: [walk], levelBelowRimM: 0.004 } });
    expect(walked.message).toMatch(/not worth it/);
    expect(walked.options.length).toBeLessThan(options.length);
  });

  it('takes the minutes that it is told, and refuses a cost of nothing', () => {
    const slow = next({ ...ON, costs: { level: 60 } });
    expect(slow.options.at(-1)).toMatchObject({ measurement: 'level', minutes: 60 });
    expect(kind('measure-next').run({ ...ON, costs: { walk: 0 } })).toMatchObject({
      ok: false,
      fields: [{ path: 'costs.walk', message: 'a measurement takes some time' }],
    });
  });

  it('wants contradictions answered first, and says so where nothing narrows a figure', () => {
    const walk = (reading: number) => ({ kind: 'tape', trueLengthM: 30.48, reading });
    expect(kind('measure-next').run({ ...ON, evidence: { trials: [walk(96), walk(70)] } })).toMatchObject({
      ok: false,
      fields: [{ path: 'evidence', message: expect.stringMatching(/answer that first/) as string }],
    });
    const known = { strengthN: 90, parts: [{ name: 'top', kind: 'line', relativeSd: 0.12, pulls: 40, cv: 0.1 }] };
    const strength = next({ ...ON, goal: { kind: 'strength', ...known } });
    expect(strength).toMatchObject({ message: null });
    const loose = { ...known, parts: [{ name: 'top', kind: 'line', relativeSd: 0.1, pulls: 0, cv: 0.5 }] };
    expect(next({ ...ON, goal: { kind: 'strength', ...loose } })).toMatchObject({
      options: [],
      quickest: null,
      message: 'Nothing that is left to measure narrows this.',
    });
  });

  it('says what cannot be asked', () => {
    const fields = (request: object) =>
      (kind('measure-next').run({ ...ON, ...request }) as { readonly fields?: readonly { readonly path: string }[] })
        .fields ?? [];
    expect(fields({ counter: null })[0]?.path).toBe('counter');
    expect(fields({ goal: { kind: 'counter', atM: 900 } })[0]?.path).toBe('goal.atM');
    expect(fields({ goal: { kind: 'length' } })[0]?.path).toBe('segments');
    expect(fields({ segments: EXAMPLE.segments })[0]?.path).toBe('segments[0].lengthM');
    const full = { ...EXAMPLE, segments: EXAMPLE.segments.map((each) => ({ ...each, lengthM: each.lengthM && 4000 })) };
    expect(kind('measure-next').run(full)).toMatchObject({ ok: false, fields: [{ path: 'segments' }] });
  });
});
