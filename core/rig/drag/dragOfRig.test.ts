import { pulls, woundRig } from '../../../tests/rigFixture';
import { piecesOut, stiffnessOf } from '../../drag/surge';
import type { DragPullRecord, DragSettingRecord, LeverPointRecord, RigRecord } from '../../record/record';
import { rigView } from '../view/rigView';
import { backOffOfRig, starGain } from './backOffOfRig';
import { elasticPieces, spoolInertia } from './elasticLine';
import { guideFactorFor } from './guideOfRig';
import { leverOfRig, presetOf } from './leverOfRig';

const tested = (): RigRecord => ({
  ...woundRig(),
  strengthTests: [pulls('nylon', [140, 142, 139]), pulls('lead', [80, 82, 78]), pulls('top', [85, 84, 86])],
});

function viewOf(record: RigRecord) {
  const view = rigView(record);
  if (!view) throw new Error('the fixture has a line');
  return view;
}

describe('a rig as it gives way', () => {
  const view = viewOf(tested());
  const pieces = elasticPieces(view);

  it('has a piece for each line, as strong as it was pulled', () => {
    expect(pieces).toHaveLength(view.current.line.segments.length);
    expect(pieces?.[0]).toMatchObject({ material: 'nylon', strengthN: expect.closeTo(140.33, 1) as number });
    expect(
      elasticPieces(
        viewOf({
          ...tested(),
          products: tested().products.map((p) => ({ ...p, labelStrengthN: null })),
          strengthTests: [],
        }),
      ),
    ).toBeNull();
  });

  it('counts from the hook what is out', () => {
    const out = piecesOut(pieces ?? [], 30);
    expect(out.reduce((sum, piece) => sum + piece.lengthM, 0)).toBeCloseTo(30, 9);
    expect(out[0]).toMatchObject({ strengthN: expect.closeTo(85, 1) as number });
    // What is out gives way as springs in a row.
    const whole = piecesOut(pieces ?? [], 60).reduce(
      (sum, p) => sum + p.lengthM / stiffnessOf(p.material, p.strengthN),
      0,
    );
    const half = out.reduce((sum, p) => sum + p.lengthM / stiffnessOf(p.material, p.strengthN), 0);
    expect(whole).toBeGreaterThan(half);
  });

  it('turns a spool whose inertia is that of some hundred grams a few centimetres out', () => {
    const { fullDiameterM } = view.current.line;
    const inertia = spoolInertia(view);
    expect(inertia).toBeGreaterThan(0.5 * 0.15 * (fullDiameterM / 2) ** 2);
    expect(inertia).toBeLessThan(0.5 * 0.6 * (fullDiameterM / 2) ** 2);
  });
});

const pull = (kind: DragPullRecord['kind'], movingN: number, settingStep = 0): DragPullRecord => ({
  id: `${kind} ${movingN}`,
  kind,
  movingN,
  breakawayN: movingN,
  settingStep,
  starTurns: null,
  instrument: 'by hand',
  at: '',
});
const setting = (made: readonly DragPullRecord[]): DragSettingRecord => ({
  id: 'd',
  loadId: 'load',
  fraction: 0.25,
  strengthBasis: 'weakest',
  targetN: 20,
  rodAngleRad: 1,
  basis: {},
  startedAt: '',
  acceptedAt: null,
  pulls: made,
});

describe('what the guides make of a pull', () => {
  const of = (sessions: readonly (DragSettingRecord | null)[], bend = 1, change: Partial<RigRecord> = {}) =>
    guideFactorFor({ ...woundRig(), ...change }, bend, sessions);

  it('is measured at the bend of the session, once pulled both ways at one setting', () => {
    const both = setting([pull('bent rod', 24), pull('straight', 20)]);
    expect(of([both])).toMatchObject({ value: 1.2, source: 'measured', contradictedBy: null });
    expect(of([both], 0.5).source).toBe('default');
  });

  it('is an estimate before that, and after the drag was turned', () => {
    expect(of([null]).source).toBe('default');
    expect(of([setting([pull('bent rod', 24)])]).source).toBe('default');
    const turned = setting([pull('straight', 20), pull('bent rod', 30, 1)]);
    expect(of([turned]).source).toBe('default');
  });

  it('goes by the guides that the rod has, and what runs over them', () => {
    const rollers = of([null], 1, { guides: { kind: 'rollers', count: 7 } });
    expect(rollers.value).toBeLessThan(of([null]).value);
    expect(rollers.sd).toBeLessThan(of([null]).sd);
  });

  it('says so where the straight pull is the higher one, and keeps to the estimate', () => {
    const mixed = of([setting([pull('bent rod', 16), pull('straight', 20)])]);
    expect(mixed).toMatchObject({ source: 'default', contradictedBy: 0.8 });
  });
});

describe('backing off by what the hand has', () => {
  const viewOf = (record: RigRecord) => {
    const view = rigView(record);
    if (!view) throw new Error('the fixture has a line');
    return view;
  };
  const tested = (): RigRecord => ({
    ...woundRig(),
    strengthTests: [pulls('lead', [80, 82, 78]), pulls('nylon', [140, 142, 139])],
  });

  it('says by the counter where, and asks for a scale where nobody knows the star', () => {
    const { by, rows } = backOffOfRig(viewOf(tested()), 15, [20, 60]);
    expect(by).toBe('scale');
    expect(rows[1]).toMatchObject({ lever: null, starTurns: null, reading: { isCounter: true, laps: 0 } });
    expect(rows[1]?.reading.shown).toBeGreaterThan(rows[0]?.reading.shown ?? 0);
  });

  it('turns newtons into turns of this very star, from pulls that tell where it stood', () => {
    const starred = (movingN: number, starTurns: number | null) => ({ ...pull('bent rod', movingN), starTurns });
    const session = setting([starred(10, 0), starred(12, 0.5), starred(14, 1), starred(16, 1.5)]);
    expect(starGain({ ...woundRig(), dragSession: null, dragSetting: session })?.newtonsPerTurn).toBeCloseTo(4, 9);
    const elsewhere = { ...session, loadId: 'another' };
    expect(starGain({ ...woundRig(), dragSession: null, dragSetting: elsewhere })).toBeNull();
    const { by, rows } = backOffOfRig(viewOf({ ...tested(), dragSetting: session }), 16, [60]);
    expect(by).toBe('star');
    const [row] = rows;
    expect(row?.starTurns?.value).toBeCloseTo((16 * ((row?.easeTo ?? 1) - 1)) / 4, 9);
    expect(row?.starTurns?.value).toBeLessThan(0);
    expect(
      starGain({
        ...woundRig(),
        dragSession: null,
        dragSetting: setting([starred(10, null), starred(12, 1), starred(14, 2)]),
      }),
    ).toBeNull();
  });
});

describe('the lever of a rig', () => {
  const at = (position: number, forceN: number, presetTurns = 0): LeverPointRecord => ({
    id: `${position} ${presetTurns}`,
    position,
    forceN,
    presetTurns,
    instrument: 'by hand',
    at: '',
  });

  it('has a curve of the preset as it stands, not of an earlier one', () => {
    const leverPoints = [at(0, 0), at(0.5, 30), at(1, 45)];
    expect(leverOfRig({ leverPoints, presetActs: [] }).curve.ok).toBe(true);
    const turned = [{ id: '1', act: { act: 'turn' as const, turns: 1 }, at: '' }];
    expect(leverOfRig({ leverPoints, presetActs: turned }).curve).toMatchObject({
      ok: false,
      reason: 'too-few-places',
    });
  });

  it('learns a turn where the lever was pulled at several presets, not where it is nearly free', () => {
    const leverPoints = [at(0.1, 2), at(0.1, 9, 1), at(0.5, 30), at(0.5, 38, 1), at(0.75, 40)];
    expect(leverOfRig({ leverPoints, presetActs: [] }).gain).toEqual({
      newtonsPerTurn: 8,
      plusMinusN: null,
      position: 0.5,
    });
  });

  it('passes over a step that could not have been', () => {
    const acts = [
      { id: '1', act: { act: 'into-gear' as const }, at: '' },
      { id: '2', act: { act: 'turn' as const, turns: 1 }, at: '' },
    ];
    expect(presetOf(acts)).toEqual({ lever: 'in gear', turns: 0, wrongTurns: 0 });
  });
});
