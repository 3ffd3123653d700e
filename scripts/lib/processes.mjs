import { readdirSync, readFileSync } from 'node:fs';

/**
 * When a process was started, in ticks since the machine was, or null when there is none of that number. Numbers of
 * processes are used again; a number together with this is one process and no other.
 */
export function startTimeOf(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name in brackets may hold spaces; the 22nd field is the 20th after it.
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

/** A process as it can be told again later. */
export function markOf(pid) {
  return { pid, startTime: startTimeOf(pid) };
}

/** True while the very process of a mark runs; a zombie, or another of the same number, does not count. */
export function isSame(mark) {
  return Boolean(mark && Number.isInteger(mark.pid) && mark.startTime && startTimeOf(mark.pid) === mark.startTime);
}

/** The process number of a PostgreSQL server that has a folder as its data, or null: whatever its own pid file says. */
export function postgresOf(folder) {
  for (const name of readdirSync('/proc')) {
    if (!/^\d+$/.test(name)) continue;
    try {
      const args = readFileSync(`/proc/${name}/cmdline`, 'utf8').split('\0');
      if (/(^|\/)postgres$/.test(args[0] ?? '') && args[args.indexOf('-D') + 1] === folder && args.includes('-D')) {
        return Number(name);
      }
    } catch {
      // Gone since it was listed.
    }
  }
  return null;
}

/** Ends the very process of a mark, with force when it does not go by itself. */
export async function end(mark) {
  for (const signal of ['SIGTERM', 'SIGKILL']) {
    if (!isSame(mark)) return;
    try {
      process.kill(mark.pid, signal);
    } catch {
      return;
    }
    for (let wait = 0; wait < 30 && isSame(mark); wait += 1) await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
