import { benchBest } from './best';
import { benchCounter } from './counter';
import { benchFourLoads, benchLateWalk } from './pieces';
import { benchEnvelopeCover } from './envelope';
import { benchPlans } from './plans';
import { benchReload } from './reload';
import { benchStrip } from './strip';
import { AS_MODELLED, type World } from './world';

const WORLDS: Readonly<Record<string, World>> = {
  'as modelled': AS_MODELLED,
  'nylon strained by 1 to 3.5 %': { ...AS_MODELLED, strain: { between: [0.01, 0.035] } },
  'tape 0.3 % long': { ...AS_MODELLED, tapeShare: 0.003 },
  'flanges take 6 %': { ...AS_MODELLED, flange: 0.06 },
  'packing grows 5 % with depth': { ...AS_MODELLED, depth: 0.05 },
  'packing falls 5 % with depth': { ...AS_MODELLED, depth: -0.05 },
  'counter slips by 1 %': { ...AS_MODELLED, slip: 0.01 },
  'display truncates, told that it rounds': { ...AS_MODELLED, truncates: true },
  'capacity SD doubled': { ...AS_MODELLED, ratings: { habitSd: 0.12, sd: 0.1 } },
  'caliper SD doubled': { ...AS_MODELLED, caliperSdM: 0.0004 },
  'label of one line 10 % too thin': { ...AS_MODELLED, labelOff: { plain: 0.1, backing: 0.1 } },
  'label of one line 10 % too thick': { ...AS_MODELLED, labelOff: { plain: -0.1, backing: -0.1 } },
  'labels of all nylon 10 % too thin': { ...AS_MODELLED, labelOff: { plain: 0.1, backing: 0.1, top: 0.1 } },
  'labels of all nylon 10 % too thick': { ...AS_MODELLED, labelOff: { plain: -0.1, backing: -0.1, top: -0.1 } },
};

/**
 * Every ± against a world that estimators have no part in: reels laid turn by turn, with errors drawn as stated in `world.ts`, as
 * modelled and with one thing otherwise.
 *
 * @param rigs how many in each world
 */
export function benchHonest(rigs: number): void {
  for (const [name, world] of Object.entries(WORLDS)) {
    console.log(` ${name}`);
    benchCounter(world, rigs);
    benchEnvelopeCover(world, rigs);
    benchPlans(world, Math.ceil(rigs / 2));
    benchReload(world, Math.ceil(rigs / 2));
    if (world === AS_MODELLED) benchBest(Math.ceil(rigs / 20));
    if (name === 'as modelled' || name.startsWith('tape') || name.startsWith('capacity') || name.startsWith('label'))
      benchStrip(world, rigs);
  }
  const untaped = { ...AS_MODELLED, tapeShare: 0 };
  console.log(' no shared tape error');
  benchStrip(untaped, rigs);
  console.log(' pieces that disagree');
  benchLateWalk(rigs);
  console.log(' loads in a row');
  benchFourLoads(Math.ceil(rigs / 2));
}
