import { believedLoad, shownAt, walkOf } from '../../tests/believedLoad';
import { buildLoadedLine } from '../spool/loadedLine';
import { correctionTable } from './correctionTable';
import { explainResidual } from './explainResidual';
import { estimateCounter } from './estimateCounter';
import { countsAt, lengthAtCounts, withGone, withTopStripped, type CounterObservation } from './observations';

const LINE = buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
  { id: 'backing', name: 'Backing', lengthM: 120, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  { id: 'copper', name: 'Copper', lengthM: 45, lineDiameterM: 0.0007, packing: 0.62, wound: true },
  { id: 'top', name: 'Top shot', lengthM: 25, lineDiameterM: 0.00035, packing: 0.68, wound: true },
]);
const TRUE_CONSTANT_M = 0.187;
const believed = believedLoad(LINE);
const shown = (lengthM: number): number => shownAt(LINE, TRUE_CONSTANT_M, lengthM);
const wound = (segment: number, constantM = TRUE_CONSTANT_M): CounterObservation => ({
  kind: 'wound',
  name: `segment ${segment}`,
  segment,
  fromShare: 0,
  toShare: 1,
  reading: ((LINE.segments[segment]?.turns ?? NaN) * constantM) / 0.3048,
  goneSinceM: [],
});

describe('one estimate of a counter', () => {
  it('is what was believed while nothing is seen', () => {
    const estimate = estimateCounter(believed, []);
    expect(estimate.constantM).toMatchObject({ source: 'maker' });
    expect(estimate.constantM.value).toBeCloseTo(0.18, 12);
    expect(estimate.constantM.sd).toBeCloseTo(0.0072, 6);
    expect(correctionTable(estimate, [30])[0]?.value).toBeCloseTo(shownAt(LINE, 0.18, 30), 8);
  });

  it('finds the constant from a walk, from turns, from the winding log, and best from all', () => {
    const turns: CounterObservation = {
      kind: 'turns',
      name: 't',
      turns: 100,
      reading: (100 * TRUE_CONSTANT_M) / 0.3048,
      betweenFlips: true,
    };
    const sets = [
      [walkOf(shown(30.48))],
      [turns],
      [wound(1), wound(2)],
      [walkOf(shown(30.48)), turns, wound(1), wound(2)],
    ];
    const fits = sets.map((observations) => estimateCounter(believed, observations).constantM);
    for (const fit of fits) expect(Math.abs(fit.value - TRUE_CONSTANT_M)).toBeLessThan(2 * fit.sd);
    const [walk, byTurns, logged, all] = fits.map((fit) => fit.sd / fit.value);
    expect(byTurns).toBeLessThan(0.004);
    expect(walk).toBeLessThan(0.02);
    expect(logged).toBeLessThan(0.02);
    expect(all).toBeLessThan(Math.min(walk ?? 1, byTurns ?? 1, logged ?? 1));
  });

  it('corrects the whole line: what it says 100 ft further is far surer with the log', () => {
    const spread = (observations: readonly CounterObservation[]): number => {
      const [far] = correctionTable(estimateCounter(believed, observations), [140]);
      expect(Math.abs((far?.value ?? NaN) - shown(140))).toBeLessThan(far?.plusMinus ?? 0);
      return far?.plusMinus ?? NaN;
    };
    const stated = spread([]);
    const taped = spread([walkOf(shown(30.48))]);
    const logged = spread([walkOf(shown(30.48)), wound(0), wound(1), wound(2)]);
    expect(taped).toBeLessThan(stated);
    expect(logged).toBeLessThan(0.6 * taped);
  });

  it('uses walks of the line as it was before it was stripped', () => {
    const stripped = withTopStripped(LINE, 10);
    const now = believedLoad(stripped);
    const before = walkOf(shown(30.48), 30.48, [0, 0, 10]);
    const estimate = estimateCounter(now, [before]);
    expect(estimate.residuals[0]?.expected).toBeCloseTo(shown(30.48), 0);
    expect(withGone(stripped, [0, 0, 10]).fullDiameterM).toBeCloseTo(LINE.fullDiameterM, 12);
  });

  it('takes half a count more from a display that cuts off', () => {
    const cut = { ...believed, counter: { unitM: 0.3048, display: 'truncates' as const } };
    const observed = Math.floor(shown(30.48));
    expect(estimateCounter(cut, [walkOf(observed)]).constantM.value).toBeGreaterThan(
      estimateCounter(believed, [walkOf(observed)]).constantM.value,
    );
  });

  it('moves segments of one line as one', () => {
    const twin = buildLoadedLine(
      LINE.spool,
      LINE.segments.map((segment) => ({ ...segment, lineDiameterM: 0.0004, packing: 0.66 })),
    );
    const one = believedLoad(twin);
    const same = { ...one, segments: one.segments.map((segment) => ({ ...segment, lineId: 'nylon' })) };
    expect(estimateCounter(same, []).unknowns.length).toBe(estimateCounter(one, []).unknowns.length - 2);
  });

  it('has a reading for every length and a length for every reading', () => {
    const { best } = estimateCounter(believed, [walkOf(shown(30.48))]);
    for (const lengthM of [0.5, 12, 40, 130]) {
      expect(lengthAtCounts(best, countsAt(best, lengthM, 0.3048), 0.3048)).toBeCloseTo(lengthM, 3);
    }
    expect(lengthAtCounts(best, 1e5, 0.3048)).toBeNull();
    // Stretched line takes more turns than it is long.
    const strained = buildLoadedLine(
      best.line.spool,
      best.line.segments.map((segment) => ({ ...segment, strain: 0.01 })),
    );
    expect(countsAt({ ...best, line: strained }, 20, 1)).toBeCloseTo(1.01 * countsAt(best, 20, 1), 9);
  });
});

describe('a piece of evidence that does not fit', () => {
  it('is named with what it would need, never dropped', () => {
    const good = [walkOf(shown(30.48)), wound(0), wound(1), wound(2)];
    const late = walkOf(shown(34.48) - shown(4));
    const estimate = estimateCounter(believed, [...good, walkOf(shown(30.48) * 1.07)]);
    expect(estimate.observations).toHaveLength(5);
    const bad = estimate.residuals[4];
    if (!bad) throw new Error('five residuals expected');
    const explanation = explainResidual(estimate, bad);
    expect(explanation?.why.reason).toBe('walk-zeroed-late');
    expect(explanation?.zeroedLateM).toBeLessThan(0);
    expect(explanation?.diameterChangeM).toBeLessThan(-0.002);
    expect(explainResidual(estimateCounter(believed, [...good, late]), { ...bad, offSds: 1 })).toBeNull();
  });

  it('is asked about in its own terms', () => {
    const turns: CounterObservation = { kind: 'turns', name: 't', turns: 100, reading: 40, betweenFlips: false };
    const level: CounterObservation = {
      kind: 'level',
      name: 'l',
      afterSegment: 2,
      levelBelowRimM: 0.009,
      levelSdM: 0.0003,
      goneSinceM: [],
    };
    const estimate = estimateCounter(believed, [walkOf(shown(30.48)), wound(0), wound(1), wound(2), turns, level]);
    const kinds = estimate.residuals
      .slice(-2)
      .map((each) => explainResidual(estimate, { ...each, offSds: Math.sign(each.off) * 4 })?.why.reason);
    expect(kinds).toEqual(['turns-misfit', 'level-misfits']);
  });
});

describe('a counter that a roller drives', () => {
  const roller = {
    ...believed,
    constantM: { value: 1, sd: 0.04, source: 'maker' as const },
    counter: { unitM: 0.3048, display: 'rounds' as const, drive: 'roller' as const },
  };

  it('shows a share of what passes, however full the spool', () => {
    const estimate = estimateCounter(roller, [walkOf(97)]);
    expect(estimate.constantM.value).toBeCloseTo(0.97, 2);
    const [near, far] = correctionTable(estimate, [30.48, 150]);
    expect((far?.value ?? 0) / (near?.value ?? 1)).toBeCloseTo(150 / 30.48, 9);
    const emptier = { ...estimate.best, line: withTopStripped(estimate.best.line, 10) };
    expect(countsAt(emptier, 30.48, 0.3048)).toBeCloseTo(countsAt(estimate.best, 30.48, 0.3048), 9);
    expect(lengthAtCounts(estimate.best, 97, 0.3048)).toBeCloseTo(30.48, 0);
  });

  it('learns from segments of known length going on, and trusts slip less than turns', () => {
    const onIn = (constantM: number): CounterObservation => ({
      kind: 'wound',
      name: 'copper going on',
      segment: 1,
      fromShare: 0,
      toShare: 1,
      reading: (45 * constantM) / 0.3048,
      goneSinceM: [],
    });
    const estimate = estimateCounter(roller, [onIn(1.02)]);
    expect(estimate.constantM.value).toBeCloseTo(1.02, 2);
    // Half a per cent of slip that differs going on and coming off stays open.
    expect(estimate.constantM.sd / estimate.constantM.value).toBeGreaterThan(0.004);
  });
});
