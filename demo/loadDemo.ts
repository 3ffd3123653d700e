import { randomUUID } from 'node:crypto';
import { readDragPull } from '../core/drag/readPull';
import { judgeScaleSession } from '../core/drag/scaleSession';
import { adviceForRig } from '../core/rig/count/adviceForRig';
import { readingsAt } from '../core/rig/count/readingsAt';
import { towedRig, USUAL_TOW } from '../core/rig/tow/towedRig';
import { depthWith } from '../core/tow/learnDepth';
import { noteTowed, noteWaterMark } from '../usecases/tow/noteTow';
import { rigView } from '../core/rig/view/rigView';
import type { RigRecord } from '../core/record/record';
import { because } from '../core/reasons';
import { schoolsFor } from '../core/joins/schools';
import { JOIN_PLACE_PARTS } from '../core/joins/placeParts';
import { linesOfJoin } from '../core/rig/joins/linesOfJoin';
import { sessionPulls } from '../core/record/sessionPulls';
import { readBreak } from '../core/strength/readBreak';
import { leverOfRig } from '../core/rig/drag/leverOfRig';
import { KNOT_MS, toSi } from '../core/units/units';
import { insertBoat, insertPerson } from '../db/queries/boats';
import { insertLogEntry } from '../db/queries/log';
import { insertSupplySpool } from '../db/queries/supplies';
import { insertVirtualLine, insertVirtualReel } from '../db/queries/virtualBench';
import { enterNewBoat, NO_BOAT, NOBODY, withBoat, type BoatDb } from '../db/withBoat';
import { EMPTY_REEL } from '../instruments/virtual/virtualReel';
import { breakOnVirtualGauge, workVirtualReel } from '../usecases/bench/virtualBench';
import { markLine } from '../usecases/count/counterFacts';
import { answer } from '../usecases/corrections/answer';
import { acceptCalibration, recordTrial } from '../usecases/count/calibrate';
import { recordLeverPoint, recordPlanerLook, workPreset } from '../usecases/drag/leverAndPlaner';
import { acceptSetting, recordDragPull, startDragSetting } from '../usecases/drag/setDrag';
import { createLine, createReel } from '../usecases/gear/gear';
import { createRig } from '../usecases/rigs/makeRig';
import { noteRodPosition } from '../usecases/rigs/noteRodPosition';
import { changeLength } from '../usecases/load/changeLength';
import { saveStack } from '../usecases/load/saveStack';
import { readJoinsBench, tieJoin } from '../usecases/joins/joins';
import { makeWindOn } from '../usecases/joins/windOns';
import { finishInput, windingInput } from '../usecases/load/loadInput';
import { beginWinding, finishWinding, noteWinding } from '../usecases/load/winding';
import type { UseCaseOutcome } from '../usecases/outcome';
import { learnHere } from '../usecases/rigs/learning';
import { readRig } from '../usecases/rigs/readRigs';
import { recordStrengthPull, startStrengthTest } from '../usecases/strength/testStrength';
import type { DemoBoat, DemoLine, DemoRig } from './demoTypes';

const ROD_ANGLE_RAD = Math.PI / 3;

function must<T>(outcome: UseCaseOutcome<T>): T {
  if (!outcome.ok) throw new Error(`demo data: ${JSON.stringify(outcome.why)}`);
  return outcome.value;
}

/**
 * Loads demo boats, all of them or none: one transaction. They come through the same use cases and the same virtual bench
 * that a person uses: their readings, pulls and settings were made, not made up.
 */
export async function loadDemo(boats: readonly DemoBoat[]): Promise<void> {
  await withBoat(NOBODY, NO_BOAT, 'write', async (none) => {
    for (const boat of boats) {
      await loadBoat(await enterNewBoat(none, await insertBoat(none, boat.name, boat.homeWater)), boat);
    }
  });
}

async function loadBoat(db: BoatDb, boat: DemoBoat): Promise<void> {
  const { boatId } = db;
  for (const person of boat.people) await insertPerson(db, boatId, person.name, person.hand);
  const lineIds = new Map<string, string>();
  for (const [index, line] of boat.lines.entries()) lineIds.set(line.key, await loadLine(db, line, index));
  const idOf = (key: string): string => {
    const id = lineIds.get(key);
    if (!id) throw new Error(`demo data: there is no line ${key}`);
    return id;
  };
  for (const supply of boat.supplies) {
    await insertSupplySpool(db, boatId, {
      lineProductId: idOf(supply.line),
      label: supply.label,
      boughtLengthM: supply.boughtM,
      remainingLengthM: supply.leftM,
    });
  }
  for (const { name, line, lengthM } of boat.windOns ?? []) {
    must(await makeWindOn(db, { name, productId: idOf(line), lengthM, personId: null }));
  }
  for (const rig of boat.rigs) await loadRig(db, rig, idOf, boat.walkM);
}

async function loadLine(db: BoatDb, line: DemoLine, index: number): Promise<string> {
  const diameterM = line.diameterMm / 1000;
  const { id } = must(
    await createLine(db, {
      name: line.name,
      material: line.material,
      diameterM,
      diameterSource: line.measured ? 'measured' : 'label',
      labelStrengthN: line.labelKg === null ? null : toSi('force', line.labelKg, 'kg'),
      family: line.family ?? '',
      colourLengthM: null,
      construction: null,
      massKgPerM: null,
      colours: [],
    }),
  );
  const strengthN = toSi('force', line.truth.strengthKg, 'kg');
  const nylon = line.material === 'nylon';
  await insertVirtualLine(db, db.boatId, id, {
    seed: 1000 + index,
    windingTruth: {
      lineDiameterM: diameterM * line.truth.diameterFactor,
      packing: line.truth.packing,
      strain: nylon ? 0.012 : 0.002,
    },
    strengthTruth: { meanStrengthN: strengthN, cv: line.truth.cv, stretchAtBreak: nylon ? 0.25 : 0.04 },
  });
  if (line.pulls > 0) {
    const condition = line.condition ?? 'dry';
    const expectedN = toSi('force', line.labelKg ?? line.truth.strengthKg, 'kg');
    const test = must(
      await startStrengthTest(db, {
        productId: id,
        condition,
        gaugeLengthM: 0.5,
        expectedN,
        sampleLabel: 'outer metres of the spool',
      }),
    );
    for (let pull = 0; pull < line.pulls; pull += 1) await pullOnce(db, id, test.id);
  }
  return id;
}

async function pullOnce(db: BoatDb, productId: string, testId: string): Promise<void> {
  const shown = must(await breakOnVirtualGauge(db, productId));
  const peak = readBreak(shown.samples);
  if (!peak.ok) throw new Error(`demo data: ${peak.reason}`);
  must(
    await recordStrengthPull(db, testId, {
      peakN: peak.value,
      breakPlace: shown.breakPlace ?? 'middle',
      instrument: shown.instrument,
    }),
  );
}

async function loadRig(db: BoatDb, rig: DemoRig, idOf: (key: string) => string, walkM: number): Promise<void> {
  const { reel, truth } = rig;
  const reelId = must(
    await createReel(db, {
      name: reel.name,
      kind: reel.kind,
      arborDiameterM: reel.arborMm / 1000,
      widthM: reel.widthMm / 1000,
      fullDiameterM: reel.fullMm / 1000,
      ratings: reel.ratings.map(({ label, lineMm, lengthM }) => ({ label, lineDiameterM: lineMm / 1000, lengthM })),
      counter: reel.counter && { ...reel.counter, drive: 'spool', digits: 3, source: 'maker', display: 'rounds' },
      windHand: reel.windHand ?? 'right',
      gearRatio: null,
      dragKind: reel.dragKind,
      dragLimitN: reel.dragLimitKg === null ? null : toSi('force', reel.dragLimitKg, 'kg'),
    }),
  ).id;
  const rigId = must(await createRig(db, { name: rig.name, note: rig.note, reelId })).id;
  if (rig.position) must(await noteRodPosition(db, rigId, rig.position));
  const forceScaleNm = toSi('force', reel.dragLimitKg ?? 5, 'kg') * (reel.fullMm / 2000);
  await insertVirtualReel(db, db.boatId, rigId, {
    truth: {
      arborDiameterM: (reel.arborMm / 1000) * truth.arbor,
      widthM: reel.widthMm / 1000,
      rimDiameterM: (reel.fullMm / 1000) * truth.full,
      lengthPerTurnM: (reel.counter?.lengthPerTurnM ?? 0.2) * truth.constant,
      unitM: reel.counter?.unitM ?? 1,
      digits: 3,
      rounds: true,
      pitchM: reel.widthMm / 1000 / 24,
      pitchRelativeSd: 0.05,
      crown: 0.04,
      packingRelativeSd: 0.03,
      seed: truth.seed,
    },
    dragTruth: { torquePerClickNm: forceScaleNm / 240, breakawayRatio: truth.breakawayRatio, guideFriction: 0.17 },
    dragClicks: 24,
    reelState: EMPTY_REEL,
  });
  await saveSegments(db, rigId, rig, idOf);
  if (rig.done.wound) await tieJoins(db, rigId, rig.done.pullTested ?? false);
  if (rig.done.wound) await workThrough(db, rigId, rig, walkM);
  for (const entry of rig.done.log ?? [])
    await insertLogEntry(db, db.boatId, rigId, 'note', because('noted', { text: entry }));
}

/** Every join as the first of the crew ties it, by the first school of its kind. */
async function tieJoins(db: BoatDb, rigId: string, pullTested: boolean): Promise<void> {
  const { people } = await readJoinsBench(db);
  const record = await recordOf(db, rigId);
  for (const join of record.joins) {
    const [school] = schoolsFor(join.kind, linesOfJoin(record, join));
    if (!school) throw new Error(`demo data: no school ties ${join.kind}`);
    must(
      await tieJoin(db, rigId, join.id, {
        school: school.id,
        personId: people[0]?.id ?? null,
        seatedN: null,
        stepsDone: school.steps.map((step) => step.id),
        pullTested,
        note: '',
      }),
    );
  }
}

async function saveSegments(db: BoatDb, rigId: string, rig: DemoRig, idOf: (key: string) => string): Promise<void> {
  const segments = rig.segments.map((segment) => ({
    id: randomUUID(),
    name: segment.name,
    role: segment.role,
    productId: idOf(segment.line),
    lengthM: segment.lengthM,
    lengthKnown: segment.known ?? false,
    wound: !segment.byHand,
    colours: [...(segment.colours ?? [])],
    colourLengthM: null,
    purpose: null,
  }));
  const joins = rig.segments.flatMap((segment, index) =>
    JOIN_PLACE_PARTS.flatMap((part) => {
      const kind = { ...segment.ends, join: segment.join }[part];
      const [innerSegmentId, outerSegmentId] = [segments[index - 1]?.id ?? null, segments[index]?.id ?? ''];
      return kind ? [{ innerSegmentId, outerSegmentId, kind, part }] : [];
    }),
  );
  must(await saveStack(db, rigId, { version: 1, segments, joins, fill: null }));
}

async function recordOf(db: BoatDb, rigId: string): Promise<RigRecord> {
  const record = await readRig(db, rigId);
  if (!record) throw new Error('demo data: the rig is gone');
  return record;
}

async function workThrough(db: BoatDb, rigId: string, rig: DemoRig, walkM: number): Promise<void> {
  const planned = await recordOf(db, rigId);
  const levelBelowRimM = (rig.done.levelBelowRimMm ?? 2) / 1000;
  const { loadId } = must(await beginWinding(db, rigId, { version: planned.version, levelBelowRimM }));
  for (const segment of planned.segments.filter((candidate) => candidate.wound)) {
    const shown = must(await workVirtualReel(db, rigId, { act: 'wind', segmentId: segment.id }));
    must(
      await noteWinding(
        db,
        rigId,
        loadId,
        windingInput.parse({
          segmentId: segment.id,
          reading: shown.reading,
          // A whole piece is all on, whatever a counter makes of it.
          lengthIs: segment.lengthKnown ? 'piece' : 'plan',
          instrument: shown.instrument,
        }),
      ),
    );
  }
  const level = must(await workVirtualReel(db, rigId, { act: 'measure-level' }));
  must(await finishWinding(db, rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: level.levelBelowRimM })));
  await learnHere(db);
  for (const { kind, looks, atM } of rig.done.marks ?? []) {
    must(await markLine(db, rigId, { loadId, kind, looks, lengthOutM: atM }));
  }
  if (rig.done.calibrate) await calibrate(db, rigId, loadId, walkM, rig.done.calibrate);
  if (rig.done.drag) await setDrag(db, rigId, loadId, rig.done.drag);
  if (rig.done.lever) await pullLever(db, rigId, loadId);
  if (rig.done.planer) await towPlaner(db, rigId, rig.done.planer);
  if (rig.done.presetInGear) {
    must(await workPreset(db, rigId, { act: 'into-gear' }));
    must(await workPreset(db, rigId, { act: 'was-turned-in-gear', turns: rig.done.presetInGear }));
    const clicks = Math.round(24 * rig.done.presetInGear);
    must(await workVirtualReel(db, rigId, { act: 'turn-drag', clicks }));
  }
  if (rig.done.lostM) {
    const top = planned.segments.findLast((segment) => segment.wound);
    must(
      await changeLength(db, rigId, loadId, {
        segmentId: top?.id ?? '',
        changeM: rig.done.lostM,
        reason: 'lost',
        note: 'Broken off on a wreck.',
      }),
    );
  }
  if (rig.done.towed) await tow(db, rigId, loadId, rig.done.towed);
}

/** How it is towed, and what the sounder showed. */
async function tow(
  db: BoatDb,
  rigId: string,
  loadId: string,
  { speedKn, lure, tipHeightM, seen }: NonNullable<DemoRig['done']['towed']>,
): Promise<void> {
  const speedMS = speedKn * KNOT_MS;
  must(await noteTowed(db, rigId, { ...USUAL_TOW, speedMS, lure, tipHeightM }));
  const view = rigView(await recordOf(db, rigId));
  if (!view || !seen) return;
  const { belief } = towedRig(view);
  const depths = depthWith(belief, speedMS, seen.lengthsOutM, seen.truth);
  for (const [index, there] of readingsAt(view, seen.lengthsOutM).entries()) {
    const depthM = Math.round(10 * (depths[index] ?? 0)) / 10;
    must(
      await noteWaterMark(db, rigId, {
        ...{ loadId, kind: 'sonar', reading: there.shown, laps: there.laps, lengthOutM: null, depthM, speedMS, lure },
        ...{ side: 'port', turn: 'straight', note: '', instrument: 'virtual sounder (simulated)' },
      }),
    );
  }
}

async function calibrate(
  db: BoatDb,
  rigId: string,
  loadId: string,
  walkM: number,
  method: 'true' | 'card',
): Promise<void> {
  const walk = async (): Promise<void> => {
    const shown = must(await workVirtualReel(db, rigId, { act: 'walk', lengthM: walkM }));
    const walked = must(
      await recordTrial(db, rigId, {
        kind: 'tape',
        loadId,
        trueLengthM: walkM,
        reading: shown.reading ?? 0,
        instrument: shown.instrument,
      }),
    );
    // One of the faults to find: the crew has said that the walk is right.
    if (walked.heldOut) must(await answer(db, { kind: 'trial', id: walked.id, rigId }));
  };
  await walk();
  if (method === 'true') {
    const record = await recordOf(db, rigId);
    const view = rigView(record);
    const top = view ? adviceForRig(view)?.top : undefined;
    if (top?.ok && top.value.stripM.value > 0) {
      must(
        await changeLength(db, rigId, loadId, {
          segmentId: top.value.segmentId,
          changeM: top.value.stripM.value,
          reason: 'stripped',
          note: '',
        }),
      );
      await walk();
    }
  }
  must(await acceptCalibration(db, rigId, { loadId, method }));
  await learnHere(db);
}

/** Warm-up pulls, then turn and pull until the last three pulls agree with the target. */
async function setDrag(db: BoatDb, rigId: string, loadId: string, fraction: number): Promise<void> {
  const { id } = must(
    await startDragSetting(db, rigId, { loadId, fraction, strengthBasis: 'weakest', rodAngleRad: ROD_ANGLE_RAD }),
  );
  const pull = async (kind: 'warm-up' | 'bent rod', settingStep: number): Promise<void> => {
    const shown = must(await workVirtualReel(db, rigId, { act: 'pull-drag', rodAngleRad: ROD_ANGLE_RAD }));
    const read = readDragPull(shown.samples);
    if (!read.ok) throw new Error(`demo data: ${read.reason}`);
    must(
      await recordDragPull(db, rigId, id, {
        kind,
        ...read.value,
        settingStep,
        starTurns: null,
        instrument: shown.instrument,
      }),
    );
  };
  await pull('warm-up', 0);
  await pull('warm-up', 0);
  let clicks = 24;
  for (let step = 0; step < 30; step += 1) {
    await pull('bent rod', step);
    const { dragSession } = await recordOf(db, rigId);
    if (!dragSession) throw new Error('demo data: the scale session is gone');
    const session = judgeScaleSession(sessionPulls(dragSession), dragSession.targetN);
    if (!session) throw new Error('demo data: no pull was read');
    if (session.verdict === 'pull-again' || session.verdict === 'set') {
      await pull('bent rod', step);
      await pull('bent rod', step);
      const { dragSession: after } = await recordOf(db, rigId);
      if (after && judgeScaleSession(sessionPulls(after), after.targetN)?.verdict === 'set') {
        must(await acceptSetting(db, rigId, id));
        return;
      }
    }
    const turn = Math.round((clicks * session.toGoN) / session.medianN) || Math.sign(session.toGoN);
    const held = Math.max(-60, Math.min(60, turn));
    clicks += held;
    must(await workVirtualReel(db, rigId, { act: 'turn-drag', clicks: held }));
  }
  throw new Error('demo data: the drag could not be set');
}

/** The lever pulled at five places of its sweep; with the lever back there is nothing to read. */
async function pullLever(db: BoatDb, rigId: string, loadId: string): Promise<void> {
  for (const position of [0, 0.25, 0.5, 0.75, 1]) {
    const shown = must(
      await workVirtualReel(db, rigId, {
        act: 'pull-drag',
        rodAngleRad: ROD_ANGLE_RAD,
        leverPosition: position,
      }),
    );
    const read = readDragPull(shown.samples);
    const forceN = read.ok ? read.value.movingN : 0;
    must(await recordLeverPoint(db, rigId, { loadId, position, forceN, instrument: shown.instrument }));
  }
}

/** A planer towed with the lever at one place after another. */
async function towPlaner(
  db: BoatDb,
  rigId: string,
  { name, speedKn, positions }: NonNullable<DemoRig['done']['planer']>,
): Promise<void> {
  for (const leverPosition of positions) {
    const { curve } = leverOfRig(await recordOf(db, rigId));
    const look = { planer: name, speedMS: speedKn * KNOT_MS, leverPosition };
    const shown = must(await workVirtualReel(db, rigId, { act: 'tow-planer', ...look, water: 'ordinary' }));
    const { creep, instrument } = shown;
    if (!creep) throw new Error('demo data: the planer was not looked at');
    const sea = { heading: 'into the waves', current: 'with you' } as const;
    const holdsN = curve.ok ? curve.value.forceAt(leverPosition) : null;
    const seen = { creep, isSet: true, handPull: null, strike: null };
    must(await recordPlanerLook(db, rigId, { ...look, ...sea, ...seen, holdsN, instrument }));
  }
}
