/** Prints one plain line for the person at the keyboard. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** Ends the process with a clear sentence. */
export function stopWith(sentence) {
  process.stderr.write(`\n${sentence}\n`);
  process.exit(1);
}

/** Runs a phase, prints how long it took, and hands on its result. */
export async function phase(name, work) {
  const started = performance.now();
  const result = await work();
  say(`  ${name}: ${((performance.now() - started) / 1000).toFixed(1)} s`);
  return result;
}
