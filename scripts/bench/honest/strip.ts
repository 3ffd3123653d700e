import { topAdjustment } from '../../../core/calibration/topAdjustment';
import { row } from '../report';
import { estimateOf, note, type Noted } from './observed';
import { percent, Tally } from './tally';
import type { Laid, World } from './world';
import { WALK_M, woundOutfit } from './wound';

/** Strip advice on plain line, followed twice. */
export function benchStrip(world: World, rigs: number): void {
  for (const [name, use] of [
    ['length loaded and level known', { level: true, log: true }],
    ['by label and ratings', { level: false, log: false, rated: true }],
    ['by label alone', { level: false, log: false }],
  ] as const) {
    const after = [0, 0];
    const advised = new Tally();
    const chances: number[] = [];
    let asked = 0;
    for (let seed = 1; seed <= rigs; seed += 1) {
      const wound = woundOutfit(world, seed * 107 + 13, true);
      if (!wound) continue;
      const { outfit, laid, meantM } = wound;
      const walkedM = WALK_M;
      const stripped = [0];
      const walks: { readonly atM: number; readonly walk: Noted['walks'][number] }[] = [];
      const noted = note(outfit, laid, { walksM: [], stopped: !use.level });
      const wantM = neededStrip(laid);
      const totalM = laid.lengthsM[0] ?? 0;
      if (wantM === null || wantM > totalM - 1.5 * WALK_M || wantM < -0.2 * totalM) continue;
      // Line cannot be added to the simulated reel: such reels are stripped by so much first.
      if (wantM < 0) continue;
      asked += 1;
      for (const step of [0, 1]) {
        const goneM = stripped.reduce((sum, each) => sum + each, 0);
        const view: Laid = { ...laid, counts: (lengthM) => laid.counts(goneM + lengthM) - laid.counts(goneM) };
        const [walk] = note(outfit, view, { walksM: [walkedM], stopped: true }).walks;
        if (!walk) break;
        walks.push({ atM: goneM, walk });
        const seen = walks.map((each) => ({ ...each.walk, goneSinceM: [goneM - each.atM] }));
        const estimate = estimateOf(outfit, { ...noted, walks: seen }, meantM, { ...use, strippedM: goneM });
        const advice = topAdjustment(estimate, WALK_M, outfit.truth.rimDiameterM * 1.2);
        const byM = advice.ok ? advice.value.stripM.value : 0;
        if (step === 0 && advice.ok) {
          advised.add(byM - wantM, advice.value.stripM.plusMinus);
          chances.push(advice.value.chanceWithinOnePercent);
        }
        stripped.push(Math.max(-goneM, Math.min(byM, totalM - goneM - 1.1 * WALK_M)));
        const nowM = stripped.reduce((sum, each) => sum + each, 0);
        const error = (laid.counts(nowM + WALK_M) - laid.counts(nowM)) / 100 - 1;
        if (Math.abs(error) <= 0.01) after[step] = (after[step] ?? 0) + 1;
      }
    }
    row(
      `strip advice, ${name}: true within 1 % after one, two`,
      after.map((n) => percent(n, asked)).join(', ') + ` of ${asked}`,
    );
    row(`strip advice, ${name}: its ±`, advised.text);
    const promised = chances.reduce((sum, each) => sum + each, 0) / chances.length;
    row(`strip advice, ${name}: chance of 1 % that it gives itself`, percent(promised, 1));
  }
}

/** How much must come off so that the counter shows 100 at 100 ft; null where nothing does. */
function neededStrip(laid: Laid): number | null {
  const totalM = laid.lengthsM[0] ?? 0;
  const off = (stripM: number): number => laid.counts(stripM + WALK_M) - laid.counts(stripM) - 100;
  let [low, high] = [0, totalM - 1.2 * WALK_M];
  if (off(low) > 0) return -1;
  if (off(high) < 0) return null;
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    if (off(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
