import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

/** Sequences between two notes of how far it has come. */
const IN_ONE_GO = 400;
const KEPT = 'data/bench/acts.json';

/**
 * Random sequences of acts through the use cases on PostgreSQL, far more of them than the tests try. Goes on where it was ended; a
 * seed that fails is printed with what was done, and is where the next run begins.
 *
 * @param sequences how many in all
 */
export function benchActs(sequences: number): void {
  mkdirSync('data/bench', { recursive: true });
  const kept = existsSync(KEPT) ? (JSON.parse(readFileSync(KEPT, 'utf8')) as { next: number }) : { next: 1 };
  let { next } = kept.next > sequences ? { next: 1 } : kept;
  for (; next <= sequences; next += IN_ONE_GO) {
    writeFileSync(KEPT, JSON.stringify({ next }));
    const count = Math.min(IN_ONE_GO, sequences - next + 1);
    const env = { ...process.env, ACT_FIRST_SEED: String(next), ACT_SEQUENCES: String(count) };
    const run = spawnSync('npm', ['run', '-s', 'test:db', '--', 'tests/integration/randomActs.test.ts'], { env });
    if (run.status !== 0) {
      console.log(`${run.stdout.toString()}${run.stderr.toString()}`);
      throw new Error(`a sequence of seeds ${next} to ${next + count - 1} fails`);
    }
    console.log(`  ${next + count - 1} of ${sequences} sequences hold`);
  }
  writeFileSync(KEPT, JSON.stringify({ next: 1 }));
}
