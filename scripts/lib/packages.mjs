import { existsSync, readFileSync } from 'node:fs';
import { ROOT, runShown, runSync } from './run.mjs';
import { say, stopWith } from './say.mjs';

/**
 * True when what npm says it installed is what the lockfile asks for. Packages that are optional for this
 * machine may be missing.
 */
function packagesMatchLockfile() {
  const installed = `${ROOT}/node_modules/.package-lock.json`;
  if (!existsSync(installed)) return false;
  const have = JSON.parse(readFileSync(installed, 'utf8')).packages;
  const want = JSON.parse(readFileSync(`${ROOT}/package-lock.json`, 'utf8')).packages;
  return Object.entries(want).every(
    ([path, { version, optional }]) => path === '' || have[path]?.version === version || (optional && !have[path]),
  );
}

/**
 * Installs the npm packages of the lockfile when they are missing or were made from another lockfile.
 * `quiet` sends npm's words to standard error, for commands whose output is data.
 */
export async function ensurePackages({ quiet = false } = {}) {
  if (packagesMatchLockfile()) return;
  if (quiet) process.stderr.write('Installing npm packages from the lockfile …\n');
  else say('Installing npm packages from the lockfile (about a minute) …');
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
  const status = quiet ? runSync('npm', args).status : await runShown('npm', args);
  if (status !== 0) stopWith('npm could not install the packages of package-lock.json. Is the npm registry reachable?');
}

/** Installs Debian packages, or says in a sentence why that cannot be. */
export async function ensureDebianPackage(packageName, isThere, whatFor) {
  if (isThere()) return;
  if (process.getuid?.() !== 0) {
    stopWith(
      `${packageName} is missing, which ${whatFor}. Installing it needs administrator rights: ` +
        `run "sudo apt-get install ${packageName}" once, then this command again.`,
    );
  }
  if (runSync('apt-get', ['--version']).status !== 0) {
    stopWith(`${packageName} is missing, which ${whatFor}, and there is no apt-get here to install it with.`);
  }
  say(`Installing ${packageName} from Debian's packages …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const install = () => runSync('apt-get', ['install', '-y', '-q', '--no-install-recommends', packageName], { env });
  let result = install();
  if (result.status !== 0) {
    runSync('apt-get', ['update', '-q'], { env });
    result = install();
  }
  if (result.status !== 0 || !isThere()) {
    stopWith(`${packageName} could not be installed:\n${result.output.split('\n').slice(-8).join('\n')}`);
  }
}
