import {
  loadSeen,
  ownPriorSds,
  ratingsSeen,
  type LineToFit,
  type LoadToFit,
  type ReelToFit,
} from '../../core/gear/gearEvidence';
import { learnGear } from '../../core/gear/gearFit';
import { ERRORS } from '../../core/measurement/errors';
import type { Known } from '../../core/provenance/source';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { denseFit, type DenseGroup } from './denseFit';
import { row } from './report';

/** A fleet's evidence: reels of many sizes, loads of three lines each, levels and counts as the model has them. */
function drawFleet(reelCount: number, lineCount: number, loadCount: number) {
  const random = seededRandom(2026);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const known = (value: number, relativeSd: number): Known => ({ value, sd: value * relativeSd, source: 'measured' });
  const lines: LineToFit[] = Array.from({ length: lineCount }, (_, index) => ({
    id: `line ${index}`,
    name: `line ${index}`,
    areaM2: ((Math.PI / 4) * between(0.0002, 0.0008) ** 2) / 0.66,
    relativeSd: between(0.05, 0.25),
    windingStrain: { value: 0.002, sd: 0.001 },
  }));
  const trueFactor = lines.map((line) => Math.exp(0.5 * line.relativeSd * normalDeviate(random)));
  const reels: ReelToFit[] = Array.from({ length: reelCount }, (_, index) => {
    const fullM = between(0.045, 0.085);
    return {
      id: `reel ${index}`,
      arborDiameterM: known(0.52 * fullM, 0.006),
      widthM: known(0.48 * fullM, 0.006),
      fullDiameterM: known(fullM, 0.003),
      ratings: [],
      counter: { unitM: 1, lengthPerTurnM: known(Math.PI * fullM * 0.92, 0.04) },
    };
  });
  const loads: LoadToFit[] = Array.from({ length: loadCount }, (_, index) => {
    const reel = reels[index % reelCount];
    if (!reel) throw new Error('drawFleet: there is no reel');
    const places = [0, 1, 2].map(() => Math.floor(random() * lineCount));
    const { arborDiameterM, widthM, fullDiameterM, counter } = reel;
    const roomM3 = (Math.PI / 4) * widthM.value * (fullDiameterM.value ** 2 - arborDiameterM.value ** 2);
    let innerM = arborDiameterM.value;
    const segments = places.map((place) => {
      const areaM2 = (lines[place]?.areaM2 ?? NaN) * (trueFactor[place] ?? 1);
      const lengthM = (0.3 * roomM3) / (lines[place]?.areaM2 ?? NaN);
      const outerM = Math.sqrt(innerM ** 2 + (4 * areaM2 * lengthM) / (Math.PI * widthM.value));
      const turns = ((outerM - innerM) * widthM.value) / (2 * areaM2);
      innerM = outerM;
      const counts = Math.round(turns * (counter?.lengthPerTurnM.value ?? NaN) * (1 + 0.004 * normalDeviate(random)));
      return { name: `line ${place}`, lineId: `line ${place}`, lengthM, counts, turns: null };
    });
    const levelBelowRimM = (fullDiameterM.value - innerM) / 2 + 0.0002 * normalDeviate(random);
    const levels = [{ afterSegment: 2, levelBelowRimM }];
    return {
      reelId: reel.id,
      loadId: `load ${index}`,
      name: `load ${index}`,
      evenTension: true,
      levelSdM: 0.0003,
      segments,
      levels,
    };
  });
  return { reels, lines, loads };
}

function cpuMs(work: () => void): number {
  const before = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(before);
  return (user + system) / 1000;
}

type Fleet = ReturnType<typeof drawFleet>;

/** The fleet's evidence as one problem without blocks: lines and tape, then each reel's own, then each load's own. */
function asOneProblem({ reels, lines, loads }: Fleet) {
  const shared = [...lines.map((line) => line.relativeSd), ERRORS.tapeShare.sd];
  const priorSds = [...shared, ...reels.flatMap((reel) => ownPriorSds(reel))];
  const owns = reels.map((reel) => ownPriorSds(reel).length);
  const groups = reels.flatMap((reel, place): DenseGroup[] => {
    const start = shared.length + owns.slice(0, place).reduce((sum, own) => sum + own, 0);
    const own = Array.from({ length: owns[place] ?? 0 }, (_, index) => start + index);
    const seen = [
      ratingsSeen(reel),
      ...loads.filter((load) => load.reelId === reel.id).map((load) => loadSeen(load, reel, lines)),
    ];
    return seen
      .filter((each) => each.pieces.length > 0)
      .map((each) => {
        const from = priorSds.push(...each.innerPriorSds) - each.innerPriorSds.length;
        return {
          dependsOn: [...own, ...each.border, ...each.innerPriorSds.map((_, index) => from + index)],
          observations: each.pieces.map((piece) => piece.observation),
          predict: (all) =>
            each.predict(
              all.slice(start, start + own.length),
              all.slice(0, shared.length),
              all.slice(from, from + each.innerPriorSds.length),
            ),
        };
      });
  });
  return { priorSds, groups };
}

/** What a large boat's reels and lines cost to learn, and a boat a tenth its size against one plain dense fit of the same evidence. */
export function benchManyRods(reelCount: number, lineCount: number, loadCount: number): void {
  const whole = drawFleet(reelCount, lineCount, loadCount);
  const part = drawFleet(reelCount / 10, lineCount / 10, loadCount / 10);
  learnGear(part.reels, part.lines, part.loads);
  let learned = learnGear([], [], []);
  const wholeMs = cpuMs(() => {
    learned = learnGear(whole.reels, whole.lines, whole.loads);
  });
  const withoutMs = cpuMs(() => {
    for (const [index, reel] of whole.reels.entries()) learned.before(`load ${index}`, reel);
  });
  row('the block fit, CPU', `${wholeMs.toFixed(0)} ms`);
  row('leaving one load out, for each of the reels, CPU', `${withoutMs.toFixed(0)} ms`);
  row('pieces held out', `${learned.fit.evidence.filter((each) => each.heldOut).length}`);
  let small = learnGear([], [], []);
  const partMs = cpuMs(() => {
    small = learnGear(part.reels, part.lines, part.loads);
  });
  row('ten times the boat ÷ the boat', `${(wholeMs / partMs).toFixed(0)} times`);
  const { priorSds, groups } = asOneProblem(part);
  let dense = { values: [] as number[], variances: [] as number[] };
  const denseMs = cpuMs(() => {
    dense = denseFit(priorSds, groups);
  });
  const off = small.fit.lines.map((line, index) => Math.abs(Math.log(line.value) - (dense.values[index] ?? NaN)));
  const sdsOff = small.fit.lines.map((line, index) =>
    Math.abs(line.relativeSd / Math.sqrt(dense.variances[index] ?? NaN) - 1),
  );
  row('a tenth of it: a plain dense fit ÷ the block fit', `${(denseMs / partMs).toFixed(0)} times`);
  row(
    '  lines apart from the dense fit, the most; their SDs',
    `${Math.max(...off).toExponential(1)}; ${Math.max(...sdsOff).toExponential(1)}`,
  );
}
