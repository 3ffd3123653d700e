import { kind, value } from '../../tests/runKind';

describe('break-chance', () => {
  interface Broken {
    readonly rows: readonly {
      readonly lengthOutM: number;
      readonly chance: number;
      readonly inAHundred: number;
      readonly between: readonly number[];
    }[];
    readonly safeLengthM: number | null;
    readonly untested: readonly string[];
  }
  const EXAMPLE = kind('break-chance').example as {
    segments: object[];
    stations: { lengthOutM: number; tipN: number }[];
  };
  const broken = (request: object) => value('break-chance', { ...EXAMPLE, ...request }) as unknown as Broken;

  it('grows with the pull, says its range, and what nobody has tested', () => {
    const { rows, safeLengthM, untested } = broken({
      stations: EXAMPLE.stations.map((each) => ({ ...each, tipN: 2 * each.tipN })),
    });
    rows.forEach(({ chance, between, inAHundred }, index) => {
      expect(chance).toBeGreaterThan(rows[index - 1]?.chance ?? 0);
      expect(between[0]).toBeLessThanOrEqual(between[1] ?? 0);
      expect(inAHundred).toBeGreaterThan(chance);
    });
    expect(safeLengthM).toBe(60);
    expect(untested).toEqual(['copper wire', 'small swivel']);
    // A surge over the drag is another question than the drag, and a worse one.
    const [surge] = broken({ stations: [{ lengthOutM: 20, tipN: 37, surgeN: 11 }] }).rows;
    const [steady] = broken({ stations: [{ lengthOutM: 20, tipN: 37 }] }).rows;
    expect(surge?.chance).toBeGreaterThan(5 * (steady?.chance ?? 0));
  });

  it('says what cannot be asked', () => {
    const fails = (request: object, path: string): void =>
      expect(kind('break-chance').run({ ...EXAMPLE, ...request })).toMatchObject({ ok: false, fields: [{ path }] });
    fails({ stations: [{ lengthOutM: 900, tipN: 20 }] }, 'stations[0].lengthOutM');
    fails(
      {
        stations: [
          { lengthOutM: 50, tipN: 20 },
          { lengthOutM: 40, tipN: 20 },
        ],
      },
      'stations[1].lengthOutM',
    );
    fails({ stations: [] }, 'stations');
    fails({ taken: 0 }, 'taken');
  });
});

describe('planer-bracket', () => {
  const SEEN = { speedMS: 3.1, isSet: true };
  const BY_LEVER = [
    { ...SEEN, leverPercent: 35, creep: 'much' },
    { ...SEEN, leverPercent: 60, creep: 'none' },
    { ...SEEN, leverPercent: 48, creep: 'some' },
  ];
  const IN_NEWTONS = [
    { ...SEEN, holdsN: 90, creep: 'much' },
    { ...SEEN, holdsN: 170, creep: 'none' },
  ];

  it('answers an old request in newtons, and nothing about the lever', () => {
    const old = value('planer-bracket', { observations: IN_NEWTONS, speedsMS: [2.6] });
    expect(old).toMatchObject({ counted: 2, lowPercent: null, conflicts: [] });
    expect(old.lowN).toBeGreaterThan(50);
    expect(old.highN).toBeLessThan(200);
  });

  it('brackets the lever in per cent with no newtons at all, and both where the lever was pulled', () => {
    const felt = value('planer-bracket', { observations: BY_LEVER, speedsMS: [3.1] });
    expect(felt).toMatchObject({ lowN: null, counted: 3, unheardAbovePercent: null });
    expect(felt.lowPercent).toBeGreaterThan(30);
    expect(felt.highPercent).toBeLessThan(75);
    const leverPoints = [0, 0.25, 0.5, 0.75, 1].map((position) => ({ position, forceN: 200 * position ** 1.4 }));
    const both = value('planer-bracket', { observations: BY_LEVER, leverPoints });
    expect(both.midPercent).toBe(felt.midPercent);
    expect(both.midN).toBeGreaterThan(40);
  });

  it('carries over what another preset told, names a contradiction by its number, and a strike gives the upper side', () => {
    const fresh = value('planer-bracket', { observations: BY_LEVER.slice(0, 1) });
    const carried = value('planer-bracket', { observations: BY_LEVER.slice(0, 1), earlier: BY_LEVER });
    expect(Number(carried.highPercent) / Number(carried.lowPercent)).toBeLessThan(
      Number(fresh.highPercent) / Number(fresh.lowPercent),
    );
    const observations = [
      { speedMS: 3.1, leverPercent: 70, strike: 'missed' },
      ...BY_LEVER,
      { ...SEEN, leverPercent: 12, creep: 'none' },
    ];
    const torn = value('planer-bracket', { observations });
    expect(torn.conflicts).toMatchObject([{ what: 'look 5', worst: true }]);
    expect(torn.unheardAbovePercent).toMatchObject({ mid: expect.any(Number) });
  });

  it('refuses what it cannot place', () => {
    const fails = (observations: object[], path: string): void =>
      expect(kind('planer-bracket').run({ observations })).toMatchObject({ ok: false, fields: [{ path }] });
    fails([{ ...SEEN, creep: 'none' }], 'observations[0].leverPercent');
    fails([{ ...SEEN, creep: 'none', leverPercent: 20, holdsN: 9 }], 'observations[0].leverPercent');
    fails([{ ...SEEN, leverPercent: 0, creep: 'none' }], 'observations[0].leverPercent');
    fails([{ ...SEEN, leverPercent: 50 }], 'observations[0].creep');
    fails([{ speedMS: 3, leverPercent: 50, creep: 'none', isSet: false }], 'observations');
    fails([], 'observations');
  });
});

describe('surge', () => {
  interface Surged {
    readonly spoolMassKg: number | null;
    readonly rows: readonly {
      readonly peakN: number;
      readonly peakPlusMinusN: number;
      readonly lockedN: number;
      readonly peakBetweenN: readonly [number, number] | null;
      readonly share: number | null;
    }[];
  }
  const EXAMPLE = kind('surge').example as object;
  const surged = (request: object) => value('surge', { ...EXAMPLE, ...request }) as unknown as Surged;

  it('gives less with more line out, and a range where the mass of the spool is not known', () => {
    const { rows, spoolMassKg } = surged({});
    expect(spoolMassKg).toBeCloseTo(0.15 * (0.1 / 0.062) ** 2, 6);
    rows.forEach(({ peakN, lockedN, peakBetweenN }, index) => {
      expect(peakN).toBeLessThanOrEqual(lockedN);
      expect(lockedN).toBeLessThanOrEqual(rows[index - 1]?.lockedN ?? Infinity);
      expect(peakBetweenN?.[0]).toBeLessThanOrEqual(peakN);
      expect(peakBetweenN?.[1]).toBeGreaterThanOrEqual(peakN);
    });
    const told = surged({ inertiaKgM2: 4e-4 });
    expect(told.rows[0]?.peakBetweenN).toBeNull();
    expect(told.spoolMassKg).toBeNull();
    expect(rows[0]?.share).toBeCloseTo((rows[0]?.peakN ?? 0) / 290, 9);
  });

  it('is surer of a drag whose jerk was read', () => {
    const [read] = surged({ breakawayN: 80.5 }).rows;
    const [unread] = surged({}).rows;
    expect(read?.peakN).toBeCloseTo(unread?.peakN ?? 0, 6);
    expect(read?.peakPlusMinusN).toBeLessThan(unread?.peakPlusMinusN ?? 0);
  });

  it('refuses an inertia or a jerk below nothing, and more line out than there is', () => {
    const fails = (request: object, path: string): void =>
      expect(kind('surge').run({ ...EXAMPLE, ...request })).toMatchObject({ ok: false, fields: [{ path }] });
    fails({ inertiaKgM2: -1 }, 'inertiaKgM2');
    fails({ surgeM: 0 }, 'surgeM');
    fails({ lengthsOutM: [900] }, 'lengthsOutM[0]');
    fails({ pieces: [], lengthsOutM: [] }, 'pieces');
  });
});

describe('drag-envelope', () => {
  interface Enveloped {
    readonly safeLengthM: number | null;
    readonly safeByBoundM: number | null;
    readonly safeByChanceM: number | null;
    readonly chances: readonly { readonly lengthOutM: number; readonly chance: number }[] | null;
    readonly points: readonly { readonly isBoundWhole: boolean }[];
  }
  const EXAMPLE = kind('drag-envelope').example as { segments: object[] };
  const enveloped = (change: object, request: object = {}) =>
    value('drag-envelope', {
      ...{ ...EXAMPLE, ...request },
      segments: EXAMPLE.segments.map((each) => ({ ...each, ...change })),
    }) as unknown as Enveloped;

  it('says nothing of a chance, and nothing by a bound, where it is not known', () => {
    const open = enveloped({});
    expect(open).toMatchObject({ chances: null, safeByChanceM: null, safeByBoundM: null });
    expect(open.safeLengthM).toBeGreaterThan(0);
    expect(open.points[0]?.isBoundWhole).toBe(false);
    const bound = enveloped({ boundN: 70, joinBoundShare: 0.6 });
    expect(bound.safeByBoundM).toBeGreaterThan(0);
  });

  it('gives the chance that anything breaks, and the length to which a stated one is kept', () => {
    const { chances, safeByChanceM, safeLengthM } = enveloped(
      { cv: 0.05, pulls: 6, joinShare: 0.8 },
      { setForceN: 26 },
    );
    chances?.forEach(({ chance }, index) => expect(chance).toBeGreaterThanOrEqual(chances[index - 1]?.chance ?? 0));
    expect(safeByChanceM).toBeGreaterThan(0);
    // One pull in a hundred is less than what the mean holds.
    expect(safeByChanceM).toBeLessThan(safeLengthM ?? 0);
    const bolder = enveloped({ cv: 0.05, pulls: 6, joinShare: 0.8 }, { setForceN: 26, taken: 0.2 });
    expect(bolder.safeByChanceM).toBeGreaterThan(safeByChanceM ?? 0);
  });
});
