import { row, percentile } from '../report.ts';
import { sendBadRequests, visitPages } from './badRequests.mjs';
import { withBuiltServer } from './builtServer.mjs';
import { get, makeBoat, pause, post } from './client.mjs';
import { killRounds } from './kills.mjs';

const NUMBERS = {
  badRequests: Number(process.env.BAD_REQUESTS ?? 20_000),
  kills: Number(process.env.KILLS ?? 100),
  manyRigs: Number(process.env.MANY_RIGS ?? 1000),
};

/** The built application on a throw-away database: what it does under bad requests, many hands, many rods and kill -9. */
export async function benchServer() {
  await withBuiltServer([], async (base) => {
    await benchBadRequests(base);
    await benchWriters(base);
    await benchManyRigs(base);
  });
  if (NUMBERS.kills > 0) await killRounds(NUMBERS.kills);
}

async function benchBadRequests(base) {
  const boat = await makeBoat(base, 'Halyard Lark', 6, 4);
  const { statuses, fallen } = await sendBadRequests(base, boat, NUMBERS.badRequests);
  row(`${NUMBERS.badRequests} requests drawn from all schemas, by status`, JSON.stringify(statuses));
  row('answers of 500 and above that do not say when to come back', `${fallen.length} (none)`);
  for (const each of fallen.slice(0, 10)) console.log(`    ${each}`);
  const after = await visitPages(base, boat);
  row(`pages of that boat afterwards that do not answer 200, of ${after.pages}`, `${after.fallen.length} (none)`);
  for (const each of after.fallen.slice(0, 10)) console.log(`    ${each}`);
}

/** Fifty writers at once on fifty rigs, each noting strengths, marks and lost line for ten seconds. */
async function benchWriters(base) {
  const boat = await makeBoat(base, 'Second Thought', 50, 50);
  const until = performance.now() + 10_000;
  const statuses = {};
  let strange = 0;
  await Promise.all(
    boat.rigs.map(async (rig) => {
      while (performance.now() < until) {
        const [path, body] =
          Math.random() < 0.5
            ? [`${rig.path}/line-marks`, { loadId: rig.loadId, kind: 'inked', looks: 'red', lengthOutM: 20 }]
            : [
                `${rig.path}/loads/${rig.loadId}/changes`,
                { segmentId: rig.segments[1].id, changeM: 0.1, reason: 'lost' },
              ];
        const { status, retryAfter } = await post(base, 'POST', path, body).catch(() => ({ status: 'broken' }));
        statuses[status] = (statuses[status] ?? 0) + 1;
        if (status === 'broken' || (status >= 500 && !(status === 503 && retryAfter))) strange += 1;
      }
    }),
  );
  row('fifty writers on fifty rigs for ten seconds, by status', JSON.stringify(statuses));
  row('of them 5xx that do not say when to come back', `${strange} (none)`);
}

async function timesOf(base, path, times) {
  const all = [];
  for (let count = 0; count < times; count += 1) {
    const { status, ms } = await get(base, path);
    if (status !== 200) throw new Error(`${path}: ${status}`);
    all.push(ms);
  }
  return all;
}

async function benchManyRigs(base) {
  const small = await makeBoat(base, 'Small boat', 10, 10);
  const large = await makeBoat(base, 'Large boat', NUMBERS.manyRigs, 60);
  const other = await makeBoat(base, 'Another boat', 6, 6);
  for (const { page } of [small, large, other]) await timesOf(base, page, 3);
  const [ofSmall, ofLarge] = [[], []];
  for (let round = 0; round < 40; round += 1) {
    ofSmall.push(...(await timesOf(base, small.page, 1)));
    ofLarge.push(...(await timesOf(base, large.page, 1)));
  }
  const p95 = (all) => percentile(all, 0.95);
  row(
    `locker of ${NUMBERS.manyRigs} rigs ÷ of 10 rigs, p95`,
    `${(p95(ofLarge) / p95(ofSmall)).toFixed(2)} (at most 1.5); ${p95(ofLarge).toFixed(0)} against ${p95(ofSmall).toFixed(0)} ms`,
  );
  const page = other.rigs[0].page;
  const alone = await timesOf(base, page, 40);
  let asking = true;
  const asker = (async () => {
    while (asking) {
      await get(base, large.page);
      await pause(50);
    }
  })();
  const meanwhile = await timesOf(base, page, 40);
  asking = false;
  await asker;
  const ratio = (share) => (percentile(meanwhile, share) / percentile(alone, share)).toFixed(2);
  row(
    "another boat's page while the large locker is asked for ÷ alone",
    `median ${ratio(0.5)}, p95 ${ratio(0.95)} (at most 1.5)`,
  );
}
