import { benchClosedForm } from './closedForm';
import { benchFirstAdvice } from './firstAdvice';

/** Figures that are measured, not tested: seeded, so that they repeat. Comparisons stand in the same run. */
console.log('Closed form against the reel laid turn by turn, 1000 random stacks');
benchClosedForm(1000);
console.log('Making a counter true at 100 ft, 2000 plain loads');
benchFirstAdvice(2000);
