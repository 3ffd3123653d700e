import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { row } from './report.ts';
import { get } from './server/client.mjs';
import { withBuiltServer } from './server/builtServer.mjs';
import { withEmptyPage } from './server/emptyPage.mjs';
import { ROOT } from '../lib/run.mjs';

const STATIONS = ['', '/load', '/joins', '/count', '/strength', '/drag', '/depth', '/card'];

/** The pages of the built application with the demo boats: JavaScript that is loaded first, and a page audit as on a phone. */
export async function benchPages() {
  await withBuiltServer(['--demo'], async (base) => {
    const paths = await pathsOf(base);
    await benchFirstLoad(base, paths);
    // AUDIT=none leaves the audit out, AUDIT=count audits the pages whose address holds that word.
    const { AUDIT = '' } = process.env;
    await benchAudit(
      base,
      paths.filter((path) => `${path}/`.includes(AUDIT)),
    );
  });
}

/** One address of every kind of page, of the rig with the most on record. */
async function pathsOf(base) {
  const boat = /href="(\/boats\/[0-9a-f-]+)"/.exec((await get(base, '/')).text)?.[1];
  const locker = (await get(base, boat)).text;
  const rigs = [...locker.matchAll(/href="(\/boats\/[0-9a-f-]+\/rigs\/[0-9a-f-]+)"[^>]*>([^<]*)</g)];
  const wound = rigs.find(([, , name]) => name.startsWith('Five-colour'))?.[1];
  const planned = rigs.find(([, , name]) => name.startsWith('Spare'))?.[1];
  return [
    '/',
    boat,
    `${boat}/gear`,
    `${boat}/fleet`,
    ...STATIONS.map((station) => `${wound}${station}`),
    `${planned}/load`,
  ];
}

const short = (path) => path.replace(/\/boats\/[0-9a-f-]+/, '/boat').replace(/\/rigs\/[0-9a-f-]+/, '/rig');

const sizeOf = new Map();
function gzipped(file) {
  if (!sizeOf.has(file)) sizeOf.set(file, gzipSync(readFileSync(`${ROOT}/.next/${file}`)).length);
  return sizeOf.get(file);
}

/** Bytes of script, gzipped, that each page asks for at once by a tag or by a hint to fetch it; an empty page asks for the framework's own files alone. */
async function benchFirstLoad(base, paths) {
  const { rootMainFiles } = JSON.parse(readFileSync(`${ROOT}/.next/build-manifest.json`, 'utf8'));
  const empty = rootMainFiles.reduce((sum, file) => sum + gzipped(file), 0);
  row('an empty page, gzipped script', `${(empty / 1000).toFixed(0)} kB`);
  for (const path of paths) {
    const { text } = await get(base, path);
    const files = new Set(
      [...text.matchAll(/<(?:script|link)(?![^>]*noModule)[^>]*? (?:src|href)="\/_next\/(static\/[^"?]+\.js)/gi)].map(
        (m) => m[1],
      ),
    );
    const bytes = [...files].reduce((sum, file) => sum + gzipped(file), 0);
    row(
      `${short(path)}, gzipped script`,
      `${(bytes / 1000).toFixed(0)} kB, ${(bytes / empty).toFixed(2)} times an empty page (at most ${path === '/' ? 1.3 : 2})`,
    );
  }
}

/** Runs of each page; the middle one is told. */
const RUNS = 3;

/** A well-known page audit with its own idea of a phone on a slow line, medians; the empty page first. */
async function benchAudit(base, paths) {
  const { default: lighthouse } = await import('lighthouse');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--disable-background-networking',
      '--remote-debugging-port=9333',
    ],
  });
  const audit = async (url, cpuSlowdownMultiplier) => {
    const runs = [];
    for (let run = 0; run < RUNS; run += 1) {
      const { lhr } = await lighthouse(url, {
        port: 9333,
        output: 'json',
        logLevel: 'error',
        onlyCategories: ['performance', 'best-practices'],
        throttling: { cpuSlowdownMultiplier },
      });
      runs.push(lhr);
    }
    return runs;
  };
  try {
    await withEmptyPage(async (empty) => {
      const usual = await audit(empty, USUAL_SLOWDOWN);
      const index = middle(usual, (lhr) => lhr.environment.benchmarkIndex);
      const slowdown = slowdownFor(index);
      row(
        'speed of this machine, as the audit has it',
        `${index.toFixed(0)}: a phone is ${slowdown.toFixed(1)} times slower`,
      );
      tell(`an empty page, ${USUAL_SLOWDOWN} times slower`, usual, null);
      tell('an empty page', await audit(empty, slowdown), null);
      for (const path of paths) {
        tell(`${short(path)}, audit as on a phone`, await audit(`${base}${path}`, slowdown), path === '/' ? 0.9 : 0.85);
      }
    });
  } finally {
    await browser.close();
  }
}

const middle = (runs, of) => runs.map(of).toSorted((a, b) => a - b)[Math.floor(runs.length / 2)];

/** What the audit slows the processor down by, meant for a fast desk computer. */
const USUAL_SLOWDOWN = 4;

/**
 * How many times slower than this machine the audit's phone is, by the index that the audit gives the machine: its authors' own table
 * (the CPU slowdown calculator beside its throttling guide; from memory), since four times slower than a slow machine is no phone at all.
 */
function slowdownFor(index) {
  if (index >= 1300) return 3 + (index - 1300) / 233;
  if (index >= 800) return 2 + (index - 800) / 500;
  return Math.max(1, 1 + (index - 150) / 650);
}

function tell(name, runs, least) {
  const blocking = middle(runs, (lhr) => lhr.audits['total-blocking-time'].numericValue);
  const shift = middle(runs, (lhr) => lhr.audits['cumulative-layout-shift'].numericValue);
  const issues = runs[0].audits['inspector-issues']?.details?.items ?? [];
  const errors = runs[0].audits['errors-in-console']?.details?.items ?? [];
  row(
    name,
    `performance ${middle(runs, (lhr) => lhr.categories.performance.score).toFixed(2)}${least === null ? '' : ` (at least ${least})`}, ` +
      `blocked ${blocking.toFixed(0)} ms${least === null ? '' : ' (under 300)'}, shift ${shift.toFixed(3)}, issues ${issues.length + errors.length}`,
  );
  for (const each of [...issues, ...errors]) console.log(`    ${JSON.stringify(each).slice(0, 300)}`);
}
