import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { ROUTES } from '../../../usecases/requests/routes.ts';
import { SCHEMAS } from '../../../usecases/requests/schemas.ts';
import { get, post } from './client.mjs';

/** A small generator of numbers from 0 to 1 that repeats. */
function generator(seed) {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

const ODD_TEXT = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\u001b[2J',
  '=1+1',
  '🎣'.repeat(40),
  'x'.repeat(5000),
  '\ud800',
  "'; DROP TABLE rigs; --",
  '__proto__',
  'constructor',
  'NaN',
];
const ODD_NUMBERS = [
  0,
  -1,
  1e308,
  -1e308,
  1e-308,
  2 ** 31,
  2 ** 31 - 1,
  2 ** 53,
  -(2 ** 31) - 1,
  0.1,
  1.5,
  999999,
  25,
  0.025,
  5e-324,
];
const ODD_THINGS = [null, true, [], {}, [[]], 'text', 7, { length: 1 }, ['a', 1]];

/** A value that a JSON schema lets through, or nearly: with a chance at every place for something odd. */
function draw(schema, random, ids, oddness, name = '') {
  const of = (all) => all[Math.floor(random() * all.length)];
  if (random() < oddness) return of([...ODD_TEXT, ...ODD_NUMBERS, ...ODD_THINGS]);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return of(schema.enum);
  const options = schema.anyOf ?? schema.oneOf;
  if (options) return draw(of(options), random, ids, oddness, name);
  switch (schema.type) {
    case 'object': {
      const entries = Object.entries(schema.properties ?? {})
        .filter(([name]) => schema.required?.includes(name) || random() < 0.6)
        .filter(() => random() >= oddness / 2)
        .map(([field, each]) => [field, draw(each, random, ids, oddness, field)]);
      if (random() < oddness) entries.push([of(['__proto__', 'extra', 'boatId', 'id']), of(ODD_THINGS)]);
      return Object.fromEntries(entries);
    }
    case 'array':
      return Array.from({ length: Math.floor(random() * Math.min(schema.maxItems ?? 4, 5)) }, () =>
        draw(schema.items ?? {}, random, ids, oddness, name),
      );
    case 'integer':
    case 'number': {
      const [low, high] = [schema.minimum ?? schema.exclusiveMinimum ?? -1000, schema.maximum ?? 1000];
      if (random() < 0.25) return of([low, high, ...ODD_NUMBERS]);
      const value = low > 0 ? low * (high / low) ** random() : low + (high - low) * random();
      return schema.type === 'integer' ? Math.round(value) : value;
    }
    case 'boolean':
      return random() < 0.5;
    case 'string':
      if (schema.format === 'uuid') return random() < 0.9 ? of(ids[name] ?? ids.any) : randomUUID();
      return random() < 0.2 ? of(ODD_TEXT) : of(['read by eye', 'a', 'Rod one', 'red', 'pull']);
    default:
      return of(ODD_THINGS);
  }
}

/** Most come as a browser sends them; the doors have their share. */
const HEADS = [
  ...Array.from({ length: 60 }, () => ({})),
  { 'content-type': 'text/plain' },
  { 'content-type': 'application/jsonp' },
  { origin: 'http://elsewhere.example' },
  { 'sec-fetch-site': 'cross-site' },
  { 'x-once-key': 'no key' },
  { cookie: 'person=nobody; units=constructor.toString.__proto__' },
];

/**
 * Sends so many requests drawn from the schemas of all requests, most of them bad in one way or another.
 *
 * @returns how often each status came, and every answer of 500 and above that does not say when to come back
 */
export async function sendBadRequests(base, boat, count) {
  const random = generator(7);
  const kinds = Object.entries(ROUTES).map(([name, each]) => ({
    name,
    ...each,
    json: z.toJSONSchema(SCHEMAS[name], { io: 'input', unrepresentable: 'any' }),
  }));
  // What was made on the way is named by later requests: tests, spools, settings.
  const made = [boat.boatId];
  const statuses = {};
  const fallen = [];
  const one = async () => {
    const kind = kinds[Math.floor(random() * kinds.length)];
    const rig = boat.rigs[Math.floor(random() * boat.rigs.length)];
    const segments = rig.segments.map(({ id }) => id);
    const ids = {
      productId: boat.lines,
      lineProductId: boat.lines,
      segmentId: segments,
      innerSegmentId: segments,
      outerSegmentId: segments,
      rigId: [rig.id],
      loadId: [rig.loadId ?? boat.boatId],
      any: [boat.boatId, rig.id, ...boat.lines, ...segments],
    };
    const fixed = { boatId: boat.boatId, rigId: rig.id, loadId: rig.loadId ?? randomUUID() };
    const path = kind.path.replaceAll(/:(\w+)/g, (_, name) => {
      if (random() < 0.03) return encodeURIComponent(['x', '..', '%00', "'", randomUUID()][Math.floor(random() * 5)]);
      return fixed[name] ?? made[Math.floor(random() * made.length)];
    });
    const body = draw(kind.json, random, ids, [0, 0, 0.02, 0.15][Math.floor(random() * 4)]);
    const text =
      random() < 0.02
        ? JSON.stringify(body ?? null).slice(0, -1)
        : random() < 0.004
          ? 'x'.repeat(400_000)
          : JSON.stringify(body ?? null);
    const method = random() < 0.02 ? 'PUT' : kind.method;
    const head = HEADS[Math.floor(random() * HEADS.length)];
    try {
      const answer = await post(base, method, path, text, randomUUID(), head);
      statuses[answer.status] = (statuses[answer.status] ?? 0) + 1;
      const id = answer.status === 200 && answer.text.startsWith('{') ? JSON.parse(answer.text).id : null;
      if (id) made.push(id);
      if (answer.status >= 500 && !(answer.status === 503 && answer.retryAfter))
        fallen.push(`${answer.status} ${kind.name} ${text.slice(0, 300)}`);
    } catch (error) {
      statuses.broken = (statuses.broken ?? 0) + 1;
      fallen.push(`broken ${kind.name}: ${error.cause?.code ?? error.message}`);
    }
  };
  for (let sent = 0; sent < count; sent += 8) await Promise.all(Array.from({ length: Math.min(8, count - sent) }, one));
  return { statuses, fallen };
}

/** Every page of a boat, and those that do not answer 200. */
export async function visitPages(base, boat) {
  const paths = [boat.page, `${boat.page}/gear`, `${boat.page}/fleet`];
  for (const rig of boat.rigs)
    for (const station of ['', '/load', '/joins', '/count', '/strength', '/drag', '/card'])
      paths.push(rig.page + station);
  const fallen = [];
  for (const path of paths) {
    const { status } = await get(base, path);
    if (status !== 200) fallen.push(`${status} ${path}`);
  }
  return { pages: paths.length, fallen };
}
