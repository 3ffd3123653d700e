import { cleanPhoto } from '../../usecases/joins/cleanPhoto';
import { schoolsOf } from '../../core/joins/schools';
import { joinEfficiency } from '../../core/rig/strength/strengthOfRig';
import { drillInput, ownFigureInput, photoInput, tieInput, type TieInput } from '../../usecases/joins/joinInput';
import {
  addPerson,
  changeJoinKind,
  checkSlip,
  keepTiePhoto,
  noteOwnFigure,
  readJoinsBench,
  readRigRecord,
  readTiePhoto,
  recordDrill,
  recordJoinBreak,
  tieJoin,
  withdraw,
} from './acts';
import { closeDatabase, freshDatabase } from './database';
import { bench, must, type Bench } from './gear';

let b: Bench;
let other: Bench;

beforeAll(async () => {
  await freshDatabase();
  b = await bench('Halyard Lark');
  other = await bench('Second Thought');
});
afterAll(closeDatabase);

const [SWIVEL] = schoolsOf('small-swivel');
const steps = SWIVEL?.steps.map((step) => step.id) ?? [];

async function copperJoin() {
  const record = await readRigRecord(b.boatId, b.rigId);
  const outer = record?.segments[1]?.id;
  const join = record?.joins.find((candidate) => candidate.outerSegmentId === outer);
  if (!join) throw new Error('the fixture has no such join');
  return join;
}

const tie = async (change: Partial<TieInput> = {}) =>
  tieJoin(
    b.boatId,
    b.rigId,
    (await copperJoin()).id,
    tieInput.parse({ school: SWIVEL?.id, personId: null, seatedN: 40, stepsDone: steps, pullTested: false, ...change }),
  );

describe('figures of a crew’s own', () => {
  const own = async () => (await readJoinsBench(b.boatId)).ownFigures;
  const note = (step: string, figures: { least: number; most: number } | null, school = 'plait-long') =>
    noteOwnFigure(b.boatId, { school, step, own: figures });

  it('stand in the place of the school’s, the newest of each step, until they are taken back', async () => {
    expect(await own()).toEqual([]);
    must(await note('plait', { least: 26, most: 30 }));
    must(await note('plait', { least: 28, most: 28 }));
    must(await note('overhang', { least: 0.2, most: 0.25 }));
    expect((await own()).toSorted((x, y) => x.step.localeCompare(y.step))).toEqual([
      { school: 'plait-long', step: 'overhang', least: 0.2, most: 0.25 },
      { school: 'plait-long', step: 'plait', least: 28, most: 28 },
    ]);
    must(await note('plait', null));
    expect((await own()).map(({ step }) => step)).toEqual(['overhang']);
    expect((await readJoinsBench(other.boatId)).ownFigures).toEqual([]);
  });

  it('are refused for pulls, for steps that are not there, for parts of a turn and for what no step is long', async () => {
    expect(await note('seat', { least: 10, most: 20 })).toMatchObject({ status: 422 });
    expect(await note('nonsense', { least: 1, most: 2 })).toMatchObject({ status: 422 });
    expect(await note('plait', { least: 20.5, most: 22 })).toMatchObject({ why: { reason: 'turns-are-whole' } });
    expect(await note('turns', { least: 1.5, most: 2 }, 'arbor-sliding')).toMatchObject({
      why: { reason: 'turns-are-whole' },
    });
    expect(await note('overhang', { least: 6, most: 7 })).toMatchObject({ why: { reason: 'longer-than-any-step' } });
    expect(ownFigureInput.safeParse({ school: 'plait-long', step: 'plait', own: { least: 9, most: 8 } }).success).toBe(
      false,
    );
  });
});

describe('a join', () => {
  it('cannot be noted without its seating pull, or by another join’s school', async () => {
    const noSeat = steps.filter((step) => step !== 'seat');
    expect(await tie({ stepsDone: noSeat })).toMatchObject({
      status: 422,
      why: { reason: 'step-left-out', figures: { step: 'pull-one-line' } },
    });
    expect(await tie({ school: 'plait-long' })).toMatchObject({ status: 422 });
    expect(
      tieInput.safeParse({ school: 'nonsense', personId: null, seatedN: null, stepsDone: [], pullTested: false })
        .success,
    ).toBe(false);
    expect((await copperJoin()).lastTie).toBeNull();
  });

  it('is on record by whom, how and how hard, and can be taken back', async () => {
    const { id: personId } = must(await addPerson(b.boatId, { name: 'Splicer', hand: 'left' }));
    must(await tie({ personId, pullTested: true }));
    const tied = await copperJoin();
    expect(tied).toMatchObject({ pullTested: true, lastTie: { person: 'Splicer', seatedN: 40, school: SWIVEL?.id } });
    // Tied anew and not pulled: what held was the one before.
    must(await tie());
    expect(await copperJoin()).toMatchObject({ pullTested: false });
    const id = (await copperJoin()).lastTie?.id ?? '';
    must(await withdraw(b.boatId, { kind: 'tie', id, rigId: b.rigId, reason: 'wrong join' }));
    expect(await copperJoin()).toMatchObject({ pullTested: true, lastTie: { person: 'Splicer' } });
  });

  it('of another boat’s hands, or another boat’s rig, is not there', async () => {
    const stranger = must(await addPerson(other.boatId, { name: 'Stranger', hand: 'right' })).id;
    expect(await tie({ personId: stranger })).toMatchObject({ status: 422 });
    const { id } = await copperJoin();
    expect(await changeJoinKind(other.boatId, other.rigId, id, 'loop-to-loop')).toMatchObject({ status: 404 });
  });

  it('gives way to another kind, and comes back with its past', async () => {
    const before = await copperJoin();
    must(await changeJoinKind(b.boatId, b.rigId, before.id, 'double-sliding-knot'));
    const changed = await copperJoin();
    expect(changed).toMatchObject({ kind: 'double-sliding-knot', lastTie: null, pullTested: false });
    expect(await changeJoinKind(b.boatId, b.rigId, changed.id, 'double-sliding-knot')).toMatchObject({ status: 409 });
    must(await changeJoinKind(b.boatId, b.rigId, changed.id, 'small-swivel'));
    expect(await copperJoin()).toMatchObject({ id: before.id, lastTie: { person: 'Splicer' } });
  });
});

describe('the arbor', () => {
  const arborJoin = async () => (await readRigRecord(b.boatId, b.rigId))?.joins.find((each) => !each.innerSegmentId);

  it('keeps each look at the mark, and shows the newest since it was tied', async () => {
    const id = (await arborJoin())?.id ?? '';
    must(await checkSlip(b.boatId, b.rigId, id, { movedM: 0.012, pulledN: 50 }));
    must(await checkSlip(b.boatId, b.rigId, id, { movedM: 0, pulledN: null }));
    expect((await arborJoin())?.lastSlip).toMatchObject({ movedM: 0, pulledN: null });
    const [school] = schoolsOf('arbor-sliding-knot');
    const stepsDone = school?.steps.map((step) => step.id) ?? [];
    must(
      await tieJoin(
        b.boatId,
        b.rigId,
        id,
        tieInput.parse({ school: school?.id, personId: null, seatedN: null, stepsDone, pullTested: true }),
      ),
    );
    expect((await arborJoin())?.lastSlip).toBeNull();
  });

  it('alone is marked', async () => {
    const { id } = await copperJoin();
    expect(await checkSlip(b.boatId, b.rigId, id, { movedM: 0, pulledN: null })).toMatchObject({ status: 409 });
  });
});

describe('a join pulled to the break', () => {
  const breakAt = async (share: number, brokeAt: 'join' | 'grip' = 'join') => {
    const { id } = await copperJoin();
    const input = { peakN: 100 * share, brokeAt, school: SWIVEL?.id ?? null, instrument: 'read by eye' };
    return recordJoinBreak(b.boatId, b.rigId, id, input);
  };

  it('has a default until three samples were broken, then its own figure, for Strength and the chooser', async () => {
    expect(joinEfficiency(await copperJoin()).source).toBe('default');
    for (const share of [0.8, 0.84, 0.82]) must(await breakAt(share));
    must(await breakAt(0.5, 'grip'));
    const join = await copperJoin();
    expect(join.breaks).toHaveLength(4);
    expect(joinEfficiency(join)).toMatchObject({ source: 'measured' });
    expect(joinEfficiency(join).value).toBeCloseTo(0.82, 9);
    const { tested } = (await readJoinsBench(b.boatId)).crew;
    expect(Object.keys(tested)).toEqual(['small-swivel']);
    expect(tested['small-swivel']?.value).toBeCloseTo(0.82, 9);
    // Half of the 95 % interval of three pulls of SD 0.02, by Student's t with two degrees (4.303), as the SD that stands for it.
    expect(tested['small-swivel']?.sd).toBeCloseTo((4.303 * 0.02) / Math.sqrt(3) / 1.96, 4);
    must(
      await withdraw(b.boatId, { kind: 'joinPull', id: join.breaks[0]?.id ?? '', rigId: b.rigId, reason: 'slipped' }),
    );
    expect(joinEfficiency(await copperJoin()).source).toBe('default');
  });

  it('refuses more than the line can hold, and another boat', async () => {
    expect(await breakAt(2.5)).toMatchObject({ status: 422 });
    const { id } = await copperJoin();
    const input = { peakN: 80, brokeAt: 'join', school: null, instrument: 'read by eye' } as const;
    expect(await recordJoinBreak(other.boatId, other.rigId, id, input)).toMatchObject({ status: 404 });
  });
});

describe('a photo of a tie', () => {
  const jpeg = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(400, 7)]);

  it('is kept and given back, the newest first', async () => {
    const tieId = (await copperJoin()).lastTie?.id ?? '';
    expect(await readTiePhoto(b.boatId, tieId)).toBeNull();
    must(await keepTiePhoto(b.boatId, tieId, photoInput.parse({ jpegBase64: jpeg.toString('base64') })));
    const newer = Buffer.concat([jpeg, Buffer.alloc(10, 1)]);
    must(await keepTiePhoto(b.boatId, tieId, { jpegBase64: newer.toString('base64') }));
    expect((await readTiePhoto(b.boatId, tieId))?.equals(newer)).toBe(true);
    expect((await copperJoin()).lastTie?.hasPhoto).toBe(true);
    expect(await readTiePhoto(other.boatId, tieId)).toBeNull();
  });

  it('that is no JPEG, or of another boat’s tie, is refused', async () => {
    const tieId = (await copperJoin()).lastTie?.id ?? '';
    const text = Buffer.alloc(400, 65).toString('base64');
    expect(await cleanPhoto({ jpegBase64: text })).toMatchObject({ status: 422 });
    expect(await keepTiePhoto(other.boatId, tieId, { jpegBase64: jpeg.toString('base64') })).toMatchObject({
      status: 404,
    });
    expect(photoInput.safeParse({ jpegBase64: 'not base64 !' }).success).toBe(false);
  });
});

describe('a drill', () => {
  it('is kept per person, and counts no more mistakes than strokes', async () => {
    const drill = { school: 'plait-long', personId: null, strokes: 34, mistakes: 2, seconds: 81.5 };
    must(await recordDrill(b.boatId, drillInput.parse(drill)));
    expect((await readJoinsBench(b.boatId)).drills).toMatchObject([{ strokes: 34, mistakes: 2, person: null }]);
    expect((await readJoinsBench(other.boatId)).drills).toEqual([]);
    expect(drillInput.safeParse({ ...drill, mistakes: 40 }).success).toBe(false);
  });
});
