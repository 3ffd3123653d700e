import { buildLoadedLine, spoolStateAt } from '../../core/spool/loadedLine';
import { layReel, turnsOff } from '../../instruments/virtual/layReel';
import { randomStack } from '../../tests/randomStack';
import { percentile, row } from './report';

/**
 * The closed form against the reel laid turn by turn, on seeded random stacks: the share within the larger of
 * 0.5 % and 0.6 turn, and how far off the rest are.
 */
export function benchClosedForm(stacks: number): void {
  const relative: number[] = [];
  let within = 0;
  let checks = 0;
  for (let seed = 1; seed <= stacks; seed += 1) {
    const { spool, segments, random, truth } = randomStack(seed);
    const line = buildLoadedLine(spool, segments);
    const reel = layReel(
      truth,
      segments.map((segment) => ({ ...segment, strain: 0 })),
    );
    for (let k = 0; k < 5; k += 1) {
      const lengthM = line.woundLengthM * (0.02 + 0.97 * random());
      const turns = turnsOff(reel, lengthM);
      const off = Math.abs(spoolStateAt(line, lengthM).turns - turns);
      if (off <= Math.max(0.005 * turns, 0.6)) within += 1;
      if (lengthM > 30) relative.push(off / turns);
      checks += 1;
    }
  }
  row('within max(0.5 %, 0.6 turn)', `${((100 * within) / checks).toFixed(2)} % of ${checks}`);
  row(
    'off beyond 30 m, median and 99th percentile',
    `${(100 * percentile(relative, 0.5)).toFixed(2)} %, ${(100 * percentile(relative, 0.99)).toFixed(2)} %`,
  );
}
