import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { setTimeout as wait } from 'node:timers/promises';
import { test as base } from '@playwright/test';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { addressOf, dropDatabase, newDatabase } from '../cluster';
import { OPEN_FOLDS } from '../openFolds';

export { expect, type Page } from '@playwright/test';

interface Served {
  readonly file: string;
  readonly address: string;
  readonly end: () => Promise<void>;
}

/**
 * Every file of tests has the demo boats for itself, as they are shipped, and a server for them: what one file
 * pulls, ties and winds is not found by another, in whatever order they run.
 */
export const test = base.extend<object, { demoOf: (file: string) => Promise<Served> }>({
  demoOf: [
    async ({}, provide) => {
      let served: Served | undefined;
      await provide(async (file) => {
        if (served?.file === file) return served;
        await served?.end();
        served = await serve(file);
        return served;
      });
      await served?.end();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  baseURL: async ({ demoOf }, provide, { file }) => provide((await demoOf(file)).address),
  // The paths follow the work with its folds open; how pages open by themselves is a test of its own.
  storageState: ({ baseURL }, provide) =>
    provide({
      cookies: [],
      origins: [{ origin: baseURL ?? '', localStorage: [{ name: OPEN_FOLDS.key, value: OPEN_FOLDS.kept }] }],
    }),
});

async function serve(file: string): Promise<Served> {
  const database = await newDatabase('demo');
  const port = await freePort();
  const server = spawn('node_modules/.bin/next', ['start', '-H', '127.0.0.1', '-p', String(port)], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      DATABASE_URL: addressOf(database, 'app'),
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
    },
  });
  await untilItAnswers(server, `http://127.0.0.1:${port}/`);
  return {
    file,
    address: `http://localhost:${port}`,
    end: async () => {
      server.kill('SIGTERM');
      if (server.exitCode === null && server.signalCode === null) await once(server, 'exit');
      await dropDatabase(database);
    },
  };
}

async function untilItAnswers(server: ChildProcess, address: string): Promise<void> {
  for (let attempt = 0; attempt < 300; attempt += 1) {
    if (server.exitCode !== null) throw new Error(`the server ended with ${server.exitCode}`);
    const answered = await fetch(address).then(
      (response) => response.ok,
      () => false,
    );
    if (answered) return;
    await wait(100);
  }
  throw new Error('the server does not answer');
}
