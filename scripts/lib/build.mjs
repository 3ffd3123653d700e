import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { ROOT, runSync } from './run.mjs';
import { stopWith } from './say.mjs';

const SOURCE_FOLDERS = ['app', 'components', 'core', 'compute', 'db', 'instruments', 'usecases', 'workers', 'words'];
const SOURCE_FILES = [
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
  'proxy.ts',
  'scripts/lib/build.mjs',
];

function filesUnder(folder) {
  return readdirSync(folder, { recursive: true })
    .map((name) => `${folder}/${name}`)
    .filter((path) => statSync(path).isFile());
}

/** Hash over everything that the built application is made from. */
function sourceHash() {
  const hash = createHash('sha256');
  const paths = [
    ...SOURCE_FILES.map((name) => `${ROOT}/${name}`).filter((path) => existsSync(path)),
    ...SOURCE_FOLDERS.flatMap((name) => filesUnder(`${ROOT}/${name}`)),
  ].sort();
  for (const path of paths) hash.update(path.slice(ROOT.length)).update('\0').update(readFileSync(path)).update('\0');
  return hash.digest('hex');
}

const BUILD_MARK = `${ROOT}/.next/tidy-marlin-source`;

/** Builds the application when its sources have changed since the last build. */
export async function ensureBuild() {
  const hash = sourceHash();
  if (existsSync(BUILD_MARK) && existsSync(`${ROOT}/.next/BUILD_ID`) && readFileSync(BUILD_MARK, 'utf8') === hash) {
    return;
  }
  const result = runSync(`${ROOT}/node_modules/.bin/next`, ['build'], {
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  });
  if (result.status !== 0) stopWith(`The application could not be built:\n${result.output}`);
  compileAtOnce();
  withholdSources();
  writeFileSync(BUILD_MARK, hash);
}

/** Asks the browser to compile a whole script while it comes; it has to stand at the head of the file. */
const COMPILE_AT_ONCE = '//# allFunctionsCalledOnLoad\n';

/**
 * Without being asked, a browser reads each script twice: once over, and each part again at its first call, when the
 * page stands still for it. What is asked for here happens beside the page. Browsers that do not know it pass over it.
 */
function compileAtOnce() {
  for (const file of filesUnder(`${ROOT}/.next/static/chunks`).filter((name) => name.endsWith('.js'))) {
    const script = readFileSync(file, 'utf8');
    if (!script.startsWith(COMPILE_AT_ONCE)) writeFileSync(file, COMPILE_AT_ONCE + script);
  }
}

/** The bundler publishes the source of each worker beside what it makes of it; nobody asks for it. */
function withholdSources() {
  for (const file of filesUnder(`${ROOT}/.next/static/media`).filter((name) => /\.tsx?$/.test(name))) rmSync(file);
}
