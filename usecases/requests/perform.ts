import 'server-only';
import { because } from '../../core/reasons';
import { createHash } from 'node:crypto';
import { claimOnce, keepAnswer, type ActOnRig } from '../../db/queries/onceKeys';
import { NO_BOAT, withBoat, type Principal } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { HANDLERS, type Handler } from './handlers';
import { PREPARE } from './prepare';
import { ROUTES, type RequestName, type RequestParams } from './routes';
import type { RequestBody } from './schemas';

/**
 * Carries out a request in one transaction of its boat, once: the same key again gives the answer that was kept with it,
 * and writes nothing. A refusal keeps nothing, not even its key.
 *
 * @param params of the path; `boatId` among them where a boat is asked for
 * @param input as the request's schema has let it through
 * @param key made by the sender for this very act
 * @param signal ends the work when the sender has gone
 */
export async function perform<N extends RequestName>(
  principal: Principal,
  name: N,
  params: RequestParams<N>,
  input: RequestBody<N>,
  key: string,
  signal?: AbortSignal,
): Promise<UseCaseOutcome<unknown>> {
  const { role } = ROUTES[name];
  const boatId = boatOf(params);
  if ((role === 'crew') !== (boatId !== null)) throw new Error(`perform: ${name} is asked of the wrong place`);
  const handler = (HANDLERS as { readonly [K in RequestName]: Handler<K> })[name];
  const request = `${name} ${createHash('sha256')
    .update(JSON.stringify([params, input]))
    .digest('hex')}`;
  const prepared = (await PREPARE[name]?.(input)) ?? done(input);
  if (!prepared.ok) return prepared;
  return withBoat(
    principal,
    boatId ?? NO_BOAT,
    'write',
    async (db): Promise<UseCaseOutcome<unknown>> => {
      if (boatId !== null && db.boat === null) return notFound('boat');
      const act = actOf(name, params, input);
      const kept = await claimOnce(db, key, request, act);
      if (kept) return kept.request === request ? done(kept.answer) : conflict(because('key-used'));
      const outcome = await handler(db, params, prepared.value);
      if (outcome.ok) await keepAnswer(db, key, outcome.value, act?.rigId ?? null);
      return outcome;
    },
    signal,
  );
}

/**
 * What is done on a rig is kept as an act of its history, by the rig that the path or the input names. Taking a rig out is none:
 * it leaves no history.
 */
function actOf(request: string, params: unknown, asked: unknown): ActOnRig | null {
  const named = isRecord(asked) && asked.thing === 'rig' && request !== 'remove' ? asked.id : undefined;
  const rigId = [named, ...[params, asked].map((of) => (isRecord(of) ? of.rigId : undefined))].find(isText);
  return rigId === undefined ? null : { rigId, request, asked };
}

const isText = (value: unknown): value is string => typeof value === 'string';

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

function boatOf(params: unknown): string | null {
  return typeof params === 'object' && params !== null && 'boatId' in params ? String(params.boatId) : null;
}
