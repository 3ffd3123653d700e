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

const WHAT_FAILED = {
  EACCES: 'must not be written by this user',
  EPERM: 'must not be changed by this user',
  EROFS: 'lies on a disk that can only be read',
  ENOSPC: 'cannot be written: the disk is full',
  EDQUOT: "cannot be written: this user's share of the disk is used up",
  ENOTDIR: 'is to be a folder, but a file stands in its way',
  EEXIST: 'is to be a folder, but a file stands in its way',
  EISDIR: 'is to be a file, but a folder stands in its way',
  ENOENT: 'cannot be found or made here',
  EMFILE: 'cannot be opened: too many files are open',
};

/** Ends the process with a sentence for an error that a disk or a right has raised; anything else is shown whole. */
export function stopForError(error) {
  const failed = error && Object.hasOwn(WHAT_FAILED, error.code) ? WHAT_FAILED[error.code] : null;
  if (failed && error.path) {
    stopWith(`${error.path} ${failed}. Nothing was lost. TIDY_MARLIN_DATA names another folder for the records.`);
  }
  stopWith(failed ? `A file ${failed}.` : (error?.stack ?? String(error)));
}
