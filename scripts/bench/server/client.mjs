import { randomUUID } from 'node:crypto';

/** Sends an act with a key of its own, unless one is given. */
export async function post(base, method, path, body, key = randomUUID(), head = {}) {
  const response = await fetch(`${base}${path}`, {
    method,
    headers: { 'content-type': 'application/json', 'x-once-key': key, ...head },
    body: typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body),
  });
  const text = await response.text();
  return { status: response.status, text, retryAfter: response.headers.get('retry-after') };
}

/** The same, again and again while the server says that it cannot take it now; throws for any other refusal. */
export async function done(base, method, path, body) {
  const key = randomUUID();
  for (let attempt = 0; attempt < 60; attempt += 1) {
    const { status, text } = await post(base, method, path, body, key);
    if (status === 200) return JSON.parse(text);
    if (status !== 503) throw new Error(`${method} ${path}: ${status} ${text}`);
    await pause(200);
  }
  throw new Error(`${method} ${path}: never taken`);
}

export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

export async function get(base, path) {
  const started = performance.now();
  const response = await fetch(`${base}${path}`);
  const text = await response.text();
  return { status: response.status, ms: performance.now() - started, text };
}

const REEL = {
  kind: 'conventional',
  arborDiameterM: 0.0314,
  widthM: 0.0286,
  fullDiameterM: 0.0618,
  ratings: [],
  counter: { drive: 'spool', unitM: 1, digits: 3, lengthPerTurnM: 0.174, source: 'maker', display: 'rounds' },
  windHand: 'right',
  dragKind: 'star',
  dragLimitN: 88,
};

/** A boat with two lines and rigs of two segments each; so many of them wound and finished. */
export async function makeBoat(base, name, rigCount, woundCount) {
  const { id: boatId } = await done(base, 'POST', '/api/boats', { name, homeWater: 'Ormund Sound' });
  const boat = `/api/boats/${boatId}`;
  const line = (label, diameterM) => ({
    name: label,
    material: 'nylon',
    diameterM,
    diameterSource: 'label',
    labelStrengthN: 100,
  });
  const { id: backing } = await done(base, 'POST', `${boat}/lines`, line('Backing 0.40', 0.0004));
  const { id: top } = await done(base, 'POST', `${boat}/lines`, line('Top 0.35', 0.00035));
  const rigs = [];
  const one = async (index) => {
    const { id: reelId } = await done(base, 'POST', `${boat}/reels`, { ...REEL, name: `Reel ${index}` });
    const { id } = await done(base, 'POST', `${boat}/rigs`, {
      name: `Rod ${String(index).padStart(4, '0')}`,
      note: '',
      reelId,
    });
    const segments = [
      {
        id: randomUUID(),
        name: 'Backing',
        role: 'backing',
        productId: backing,
        lengthM: null,
        lengthKnown: false,
        wound: true,
        colours: [],
      },
      {
        id: randomUUID(),
        name: 'Top shot',
        role: 'top shot',
        productId: top,
        lengthM: 60,
        lengthKnown: true,
        wound: true,
        colours: [],
      },
    ];
    await done(base, 'PUT', `${boat}/rigs/${id}/stack`, { version: 1, segments, joins: [] });
    const rig = { id, path: `${boat}/rigs/${id}`, page: `/boats/${boatId}/rigs/${id}`, segments, loadId: null };
    if (index < woundCount) {
      const { loadId } = await done(base, 'POST', `${rig.path}/loads`, { version: 2, levelBelowRimM: 0.002 });
      for (const segment of segments) {
        await done(base, 'POST', `${rig.path}/loads/${loadId}/winding`, {
          segmentId: segment.id,
          reading: 700 + (index % 50),
        });
      }
      await done(base, 'POST', `${rig.path}/loads/${loadId}/finish`, { version: 1, levelBelowRimM: 0.0021 });
      rig.loadId = loadId;
    }
    rigs.push(rig);
  };
  for (let from = 0; from < rigCount; from += 4) {
    await Promise.all([0, 1, 2, 3].filter((step) => from + step < rigCount).map((step) => one(from + step)));
  }
  return { boatId, page: `/boats/${boatId}`, path: boat, rigs, lines: [backing, top] };
}
