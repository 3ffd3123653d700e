import { must, bench, type Bench } from './gear';
import { askOf } from './ask';
import { readRigRecord } from './acts';
import { currentLine } from '../../core/rig/line/currentLine';
import { atBench } from '../../core/rig/line/atBench';
import { windingOutlook } from '../../core/rig/line/windingOutlook';
import { woundLengths } from '../../core/rig/load/woundLengths';
import { rigView } from '../../core/rig/view/rigView';
import { stationStates } from '../../core/rig/stationStates';
import { schoolsOf } from '../../core/joins/schools';
import type { RigRecord } from '../../core/record/record';
import { findVirtualReel, insertVirtualLine, insertVirtualReel } from '../../db/queries/virtualBench';
import { NOBODY, withBoat } from '../../db/withBoat';
import { seededRandom } from '../../instruments/random';
import { EMPTY_REEL } from '../../instruments/virtual/virtualReel';
import { readActs } from '../../usecases/history/undoActs';
import type { UseCaseOutcome } from '../../usecases/outcome';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';

/** What the rig was before an act. */
interface Point {
  readonly actId: string;
  readonly before: string;
}

/** A rig with a virtual reel, worked by acts that are drawn at random, and held against that reel after each. */
export class RandomActs {
  private readonly random: () => number;
  private points: Point[] = [];
  readonly done: string[] = [];

  private constructor(
    readonly seed: number,
    private readonly b: Bench,
  ) {
    this.random = seededRandom(seed * 7919 + 5);
  }

  static async begin(seed: number): Promise<RandomActs> {
    const b = await bench(`Random ${seed} ${Math.trunc(performance.now() * 1000)}`);
    await withBoat(NOBODY, b.boatId, 'write', async (db) => {
      const [nylon, copper] = b.lineIds;
      const strengthTruth = { meanStrengthN: 110, cv: 0.03, stretchAtBreak: 0.2 };
      const line = (lineDiameterM: number, packing: number) => ({ lineDiameterM, packing, strain: 0 });
      await insertVirtualLine(db, b.boatId, nylon ?? '', { windingTruth: line(0.0004, 0.7), strengthTruth, seed });
      await insertVirtualLine(db, b.boatId, copper ?? '', { windingTruth: line(0.00072, 0.62), strengthTruth, seed });
      await insertVirtualReel(db, b.boatId, b.rigId, {
        truth: {
          arborDiameterM: 0.0314,
          widthM: 0.0286,
          rimDiameterM: 0.0618,
          lengthPerTurnM: 0.174 * (0.98 + 0.04 * seededRandom(seed)()),
          unitM: 1,
          digits: 3,
          rounds: true,
          pitchM: 0.0286 / 24,
          pitchRelativeSd: 0.05,
          crown: 0.04,
          packingRelativeSd: 0.02,
          seed,
        },
        dragTruth: { torquePerClickNm: 0.012, breakawayRatio: 1.1, guideFriction: 0.17 },
        dragClicks: 24,
        reelState: EMPTY_REEL,
      });
    });
    return new RandomActs(seed, b);
  }

  private whole(least: number, most: number): number {
    return least + Math.floor(this.random() * (most - least + 1));
  }

  /** As it was read last, until something is sent. */
  private latest: RigRecord | null = null;

  async record(): Promise<RigRecord> {
    if (this.latest) return this.latest;
    const found = await readRigRecord(this.b.boatId, this.b.rigId);
    if (!found) throw new Error('the rig is gone');
    this.latest = found;
    return found;
  }

  /** Everything derived and everything noted, without what counts readings and writings. */
  private async state(): Promise<string> {
    const record = await this.record();
    const { load, making } = record;
    const at = (each: typeof load) => each && { ...each, version: 0 };
    const still = { ...record, readAt: '', version: 0, log: [], load: at(load), making: at(making) };
    return JSON.stringify({ ...still, line: currentLine(record), states: stationStates(record) });
  }

  private ask<N extends RequestName>(name: N, params: object, body: unknown) {
    const named = { rigId: this.b.rigId, ...params } as unknown as Omit<RequestParams<N>, 'boatId'>;
    this.latest = null;
    return askOf(this.b.boatId, name, named, body);
  }

  /** Sends an act; one that was kept is a point to come back to. */
  private async act<N extends RequestName>(name: N, params: object, body: unknown): Promise<UseCaseOutcome<unknown>> {
    const before = await this.state();
    const { id, outcome } = await this.ask(name, params, body);
    this.done.push(`${name} ${outcome.ok ? 'ok' : outcome.why.reason}`);
    if (outcome.ok) this.points.push({ actId: id, before });
    return outcome;
  }

  async step(): Promise<void> {
    const record = await this.record();
    const work = atBench(record).load;
    const choices: (() => Promise<unknown>)[] = [() => this.undo()];
    if (work?.status === 'winding') {
      choices.push(...Array.from({ length: 7 }, () => () => this.wind(record)), () =>
        this.act('cancelWinding', { loadId: work.id }, { noted: work.winding.length }),
      );
      if (this.random() < 0.3) choices.push(() => this.act('abandonWinding', { loadId: work.id }, {}));
    } else {
      choices.push(
        () => this.plan(record),
        () => this.begin(record),
        () => this.begin(record),
      );
    }
    if (record.load?.status === 'wound' && !record.making) {
      const loadId = record.load.id;
      choices.push(
        () => this.lose(record, loadId),
        () => this.mend(record, loadId),
        () => this.tie(record),
        () => this.walk(loadId),
        () => this.act('acceptCalibration', {}, { loadId, method: 'card' }),
        () => this.drag(record, loadId),
        () => this.twice(record, loadId),
      );
    }
    await choices[this.whole(0, choices.length - 1)]?.();
  }

  private plan(record: RigRecord) {
    const segments = this.b.stack.segments.map((segment) =>
      segment.name === 'Top shot' ? { ...segment, lengthM: this.whole(20, 45) } : segment,
    );
    return this.act('saveStack', {}, { ...this.b.stack, version: record.version, segments });
  }

  private begin(record: RigRecord) {
    return this.act('beginWinding', {}, { version: record.version, levelBelowRimM: 0.002 });
  }

  /** Winds the next segment on the virtual reel and notes what it shows, now and then with a slip of the hand. */
  private async wind(record: RigRecord) {
    const bench = atBench(record);
    const { load } = bench;
    if (!load) return;
    const next = load.segments.find(
      (each) => each.wound && !load.winding.some((entry) => entry.segmentId === each.segmentId),
    );
    if (!next) return this.act('finishWinding', { loadId: load.id }, { version: load.version, levelBelowRimM: null });
    if (windingOutlook(bench)?.mustAsk) return;
    const shown = await this.act('workVirtualReel', {}, { act: 'wind', segmentId: next.segmentId });
    if (!shown.ok) return;
    const { reading } = shown.value as { reading: number };
    const slip = !next.solved && this.random() < 0.25 ? this.whole(4, 9) : 0;
    const body = { segmentId: next.segmentId, reading: (reading + slip) % 1000 };
    const noted = await this.act('noteWinding', { loadId: load.id }, body);
    // Asked which length is on, the hand knows that all of it is: the slip was in the reading.
    if (!noted.ok) await this.act('noteWinding', { loadId: load.id }, { ...body, lengthIs: 'piece' });
  }

  private lose(record: RigRecord, loadId: string) {
    const line = currentLine(record);
    const most = line.ok ? line.value.line.totalLengthM : 0;
    // Now and then more than there is.
    return this.act('loseLine', { loadId }, { lengthM: Math.max(1, this.random() * most * 0.5), reason: 'lost' });
  }

  private mend(record: RigRecord, loadId: string) {
    const line = currentLine(record);
    const outer = line.ok ? line.value.line.segments.at(-1) : undefined;
    if (!outer) return Promise.resolve();
    return this.act('changeLength', { loadId }, { segmentId: outer.id, changeM: this.whole(1, 8), reason: 'added' });
  }

  private tie(record: RigRecord) {
    const join = record.joins[this.whole(0, record.joins.length - 1)];
    const [school] = join ? schoolsOf(join.kind) : [];
    if (!join || !school) return Promise.resolve();
    const stepsDone = school.steps.map((step) => step.id);
    const how = { school: school.id, stepsDone, personId: null, seatedN: 20, pullTested: true, note: '' };
    return this.act('tieJoin', { joinId: join.id }, how);
  }

  private async walk(loadId: string) {
    const shown = await this.act('workVirtualReel', {}, { act: 'walk', lengthM: 20 });
    if (!shown.ok) return;
    const { reading } = shown.value as { reading: number };
    await this.act('recordTrial', {}, { kind: 'tape', loadId, trueLengthM: 20, reading, instrument: 'virtual' });
  }

  /** A scale session: begun and pulled in, or the open one called off. */
  private async drag(record: RigRecord, loadId: string) {
    if (record.dragSession) return this.act('dropSession', { settingId: record.dragSession.id }, {});
    const target = { loadId, fraction: 0.2, strengthBasis: 'weakest', rodAngleRad: 1 };
    const begun = await this.act('startDragSetting', {}, target);
    if (!begun.ok) return;
    const { id: settingId } = begun.value as { id: string };
    const pull = { kind: 'bent rod', movingN: 12, breakawayN: null, settingStep: 0, instrument: 'scale' };
    await this.act('recordDragPull', { settingId }, pull);
  }

  /** Two devices at once: each act is kept, or refused aloud. */
  private async twice(record: RigRecord, loadId: string) {
    const before = await this.state();
    const outer = record.load?.segments.at(-1)?.segmentId;
    const body = { segmentId: outer, changeM: 1, reason: 'stripped' };
    const both = await Promise.all([
      this.ask('changeLength', { loadId }, body),
      this.ask('changeLength', { loadId }, body),
    ]);
    const changes = (await this.record()).load?.changes.length ?? 0;
    const kept = both.filter((each) => each.outcome.ok).length;
    if (changes !== (record.load?.changes.length ?? 0) + kept) throw new Error('an act of two at once has vanished');
    this.done.push(`twice ${kept}`);
    // Which of the two came first is the history's to say; both together are one point.
    const acts = await this.acts();
    const first = acts.findLast((act) => both.some((each) => each.id === act.id));
    if (first) this.points.push({ actId: first.id, before });
  }

  private acts() {
    return withBoat(NOBODY, this.b.boatId, 'read', (db) => readActs(db, this.b.rigId));
  }

  /** Undoes up to a point drawn at random; what was derived there is back exactly, and by undoing that what is now. */
  private async undo() {
    const index = this.whole(0, this.points.length - 1);
    const point = this.points[index];
    if (!point) return;
    const [now, acts] = [await this.state(), await this.acts()];
    const [newest] = acts;
    // Called off since, with its winding: the page offers no way back from there.
    if (acts.find((act) => act.id === point.actId)?.undoneBy !== null) return;
    const { id, outcome } = await this.ask('undoActs', {}, { fromId: point.actId, newestId: newest?.id });
    must(outcome);
    this.same(await this.state(), point.before, 'undone');
    this.done.push(`undo to ${index}`);
    if (this.random() < 0.5) {
      must((await this.ask('undoActs', {}, { fromId: id, newestId: id })).outcome);
      this.same(await this.state(), now, 'brought back');
      this.done.push('redo');
      return;
    }
    this.points = this.points.slice(0, index);
  }

  private same(now: string, then: string, how: string): void {
    if (now !== then) throw new Error(`what was ${how} is not what it was:\n${now}\n${then}`);
  }

  /** What the application says is on the reel against what the virtual reel holds. */
  async check(): Promise<void> {
    const record = await this.record();
    if (!rigView(record)) throw new Error('there is no line to show');
    const { load } = record;
    const virtual = await withBoat(NOBODY, this.b.boatId, 'read', (db) =>
      findVirtualReel(db, this.b.boatId, this.b.rigId),
    );
    const line = currentLine(record);
    if (load?.status !== 'wound' || !line.ok || virtual?.reelState.loadId !== load.id) return;
    const said = line.value.line.segments.filter((segment) => segment.wound);
    const lengths = woundLengths(record, load, line.value);
    const held = virtual.reelState.wound;
    // A rest shorter than its error may be gone on the reel, and the other way round: what is not there counts as nothing.
    const ids = load.segments.filter((segment) => segment.wound).map((segment) => segment.segmentId);
    for (const [index, id] of ids.entries()) {
      const saidM = said.find((segment) => segment.id === id)?.lengthM ?? 0;
      const heldM = held[index]?.lengthM ?? 0;
      const open = 2 * (lengths[id]?.plusMinus ?? 0) + 0.06 * Math.max(heldM, saidM) + 2;
      if (!(Math.abs(saidM - heldM) < open)) throw new Error(`${id}: said ${saidM} m, held ${heldM} m, open ${open}`);
    }
  }
}
