import { benchCadence } from './cadence';
import { benchClosedForm } from './closedForm';
import { benchFirstAdvice } from './firstAdvice';
import { benchKnowledge } from './knowledge';
import { benchReplan } from './replan';
import { benchStrengthBound } from './strengthBound';
import { benchWholeLine } from './wholeLine';

/** Figures that are measured, not tested: seeded, so that they repeat. Comparisons stand in the same run. */
console.log('Closed form against the reel laid turn by turn, 1000 random stacks');
benchClosedForm(1000);
console.log('Making a counter true at 100 ft, 2000 plain loads');
benchFirstAdvice(2000);
console.log('One walk, the whole of a segmented line, 1000 stacks');
benchWholeLine(1000, 1);
console.log('The same with 1.5 times the scatter that the model assumes, 500 stacks');
benchWholeLine(500, 1.5);
console.log('Lower bound of break tests, 100000 lots');
benchStrengthBound(100_000);
console.log('A key stroke in the plan');
benchReplan(12, 400);
console.log('Planned level against the reel laid turn by turn, 10000 reels at each depth of knowledge');
benchKnowledge(10_000, 1);
console.log('The same with 1.5 times the scatter that the model assumes, 2000 reels');
benchKnowledge(2000, 1.5);
console.log('A stroke of the cadence trainer');
benchCadence(200_000);
