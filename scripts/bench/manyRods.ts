import {
  loadSeen,
  ownPriorSds,
  ratingsSeen,
  type LineToFit,
  type LoadToFit,
  type ReelToFit,
} from '../../core/gear/gearEvidence';
import { gearFit, learnGear } from '../../core/gear/gearFit';
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

/** What a large boat's reels and lines cost to learn, against one plain dense fit of the same evidence in the same run. */
export function benchManyRods(reelCount: number, lineCount: number, loadCount: number): void {
  const { reels, lines, loads } = drawFleet(reelCount, lineCount, loadCount);
  gearFit(reels.slice(0, 10), lines, loads.slice(0, 10));
  let learned = learnGear([], [], []);
  const blockMs = cpuMs(() => {
    learned = learnGear(reels, lines, loads);
  });
  const withoutMs = cpuMs(() => {
    for (const [index, reel] of reels.entries()) learned.before(`load ${index}`, reel);
  });
  const owns = reels.map(ownPriorSds);
  const starts = owns.map((_, index) => lines.length + owns.slice(0, index).reduce((sum, own) => sum + own.length, 0));
  const groups = reels.flatMap((reel, place): DenseGroup[] => {
    const [start, size] = [starts[place] ?? 0, owns[place]?.length ?? 0];
    const own = Array.from({ length: size }, (_, index) => start + index);
    const seen = [
      ratingsSeen(reel),
      ...loads.filter((load) => load.reelId === reel.id).map((load) => loadSeen(load, reel, lines)),
    ];
    return seen
      .filter((each) => each.pieces.length > 0)
      .map((each) => ({
        dependsOn: [...own, ...each.border],
        observations: each.pieces.map((piece) => piece.observation),
        predict: (all) => each.predict(all.slice(start, start + size), all.slice(0, lines.length), []),
      }));
  });
  let dense = { values: [] as number[], variances: [] as number[] };
  const denseMs = cpuMs(() => {
    dense = denseFit([...lines.map((line) => line.relativeSd), ...owns.flat()], groups);
  });
  const off = learned.fit.lines.map((line, index) => Math.abs(Math.log(line.value) - (dense.values[index] ?? NaN)));
  row('the block fit, CPU', `${blockMs.toFixed(0)} ms`);
  row('leaving one load out, for each of the reels, CPU', `${withoutMs.toFixed(0)} ms`);
  row('a plain dense fit of the same evidence, CPU', `${denseMs.toFixed(0)} ms`);
  row('dense ÷ block', `${(denseMs / blockMs).toFixed(0)} times (at least 20)`);
  row('dense ÷ block with one load left out of every reel', `${(denseMs / (blockMs + withoutMs)).toFixed(0)} times`);
  row('lines apart from the dense fit, the most', `${Math.max(...off).toExponential(1)}`);
  row('pieces held out', `${learned.fit.evidence.filter((each) => each.heldOut).length}`);
}
