import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { row } from './report.ts';
import { get } from './server/client.mjs';
import { withBuiltServer } from './server/builtServer.mjs';
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

/** A well-known page audit with its own idea of a phone on a slow line; medians of three. */
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
  try {
    for (const path of paths) {
      const runs = [];
      for (let run = 0; run < 3; run += 1) {
        const { lhr } = await lighthouse(`${base}${path}`, {
          port: 9333,
          output: 'json',
          logLevel: 'error',
          onlyCategories: ['performance', 'best-practices'],
        });
        runs.push(lhr);
      }
      const middle = (of) => runs.map(of).toSorted((a, b) => a - b)[1];
      const blocking = middle((lhr) => lhr.audits['total-blocking-time'].numericValue);
      const shift = middle((lhr) => lhr.audits['cumulative-layout-shift'].numericValue);
      const issues = runs[0].audits['inspector-issues']?.details?.items ?? [];
      const errors = runs[0].audits['errors-in-console']?.details?.items ?? [];
      row(
        `${short(path)}, audit as on a phone`,
        `performance ${middle((lhr) => lhr.categories.performance.score).toFixed(2)} (at least ${path === '/' ? 0.9 : 0.85}), ` +
          `blocked ${blocking.toFixed(0)} ms (under 300), shift ${shift.toFixed(3)}, issues ${issues.length + errors.length} (none)`,
      );
      for (const each of [...issues, ...errors]) console.log(`    ${JSON.stringify(each).slice(0, 300)}`);
    }
  } finally {
    await browser.close();
  }
}
