import { benchActs } from './acts';
import { benchBreakChance } from './breakChance';
import { benchCadence } from './cadence';
import { benchClosedForm } from './closedForm';
import { benchDepthLearning, benchDepthSpeed } from './depth';
import { benchFirstAdvice } from './firstAdvice';
import { benchDragFactor, benchEnvelope } from './drag';
import { benchHonest } from './honest';
import { benchKnowledge } from './knowledge';
import { benchManyRods } from './manyRods';
import { benchPages } from './pages.mjs';
import { benchPlaner } from './planer';
import { benchReplan } from './replan';
import { benchServer } from './server/run.mjs';
import { benchStrengthBound } from './strengthBound';
import { benchTrace } from './trace';
import { benchWholeLine } from './wholeLine';
import { benchLengthMinutes, benchList, benchMinutes, benchRealisedGain } from './worth';

/**
 * Figures that are measured, not tested: seeded, so that they repeat. Comparisons stand in the same run. `npm run bench` runs
 * all parts, `npm run bench -- NAME …` those that are named.
 */
const PARTS: Readonly<Record<string, () => void | Promise<void>>> = {
  'closed-form': () => {
    console.log('Closed form against the reel laid turn by turn, 1000 random stacks');
    benchClosedForm(1000);
  },
  'first-advice': () => {
    console.log('Making a counter true at 100 ft, 2000 plain loads');
    benchFirstAdvice(2000);
  },
  'whole-line': () => {
    console.log('One walk, the whole of a segmented line, 1000 stacks');
    benchWholeLine(1000, 1);
    console.log('The same with 1.5 times the scatter that the model assumes, 500 stacks');
    benchWholeLine(500, 1.5);
  },
  strength: () => {
    console.log('Lower bound of break tests, 100000 lots');
    benchStrengthBound(100_000);
  },
  trace: () => {
    console.log('A recorded trace, read, analysed and thinned');
    benchTrace(1_000_000);
  },
  drag: () => {
    console.log('Drag as line leaves, against the reel laid turn by turn, 300 stacks');
    benchDragFactor(300);
    benchEnvelope(12, 500, 400);
  },
  planer: () => {
    console.log('A planer by feel, 2000 runs each');
    for (const looks of [3, 8, 60, 200]) benchPlaner(2000, looks);
  },
  'break-chance': () => {
    console.log('Chances of breaking as stated for the tension at which rigs broke, 20000 rigs');
    benchBreakChance(20_000);
  },
  depth: () => {
    console.log('A towed line: times, and 1000 rigs whose law, hum, weight and speed are drawn');
    benchDepthSpeed();
    benchDepthLearning(1000);
  },
  worth: () => {
    console.log('What to measure next: gains before and after, 1000 rigs');
    benchRealisedGain(1000);
    benchMinutes(300);
    benchLengthMinutes(300);
    benchList();
  },
  acts: () => {
    console.log('Random sequences of acts: the record against the reel, and every point of it to come back to, 10000');
    benchActs(10_000);
  },
  replan: () => {
    console.log('A key stroke in the plan');
    benchReplan(12, 400);
  },
  knowledge: () => {
    console.log('Planned level against the reel laid turn by turn, 10000 reels at each depth of knowledge');
    benchKnowledge(10_000, 1);
    console.log('The same with 1.5 times the scatter that the model assumes, 2000 reels');
    benchKnowledge(2000, 1.5);
  },
  honest: () => {
    console.log('Every ± against reels laid turn by turn, as modelled and otherwise, 400 outfits in each world');
    benchHonest(400);
  },
  cadence: () => {
    console.log('A stroke of the cadence trainer');
    benchCadence(200_000);
  },
  'many-rods': () => {
    console.log('What the loads of a large boat teach: 200 reels, 60 lines, 300 loads');
    benchManyRods(200, 60, 300);
  },
  pages: () => {
    console.log('Pages: what a browser loads first, and what a page audit says on a phone');
    return benchPages();
  },
  server: () => {
    console.log('The server under bad requests, many hands, many rods and kill -9');
    return benchServer();
  },
};

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !Object.hasOwn(PARTS, name));
if (unknown.length > 0) {
  console.error(`There is no part ${unknown.join(', ')}: choose of ${Object.keys(PARTS).join(', ')}.`);
  process.exit(2);
}
for (const [name, part] of Object.entries(PARTS)) {
  if (wanted.length === 0 || wanted.includes(name)) await part();
}
