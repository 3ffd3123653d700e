import { randomUUID } from 'node:crypto';
import { NOBODY } from '../../db/withBoat';
import type { UseCaseOutcome } from '../../usecases/outcome';
import { perform } from '../../usecases/requests/perform';
import type { RequestName, RequestParams } from '../../usecases/requests/routes';
import { SCHEMAS, type RequestBody } from '../../usecases/requests/schemas';

/** An act as a browser sends it to a boat; gives the act's id. */
export async function askOf<N extends RequestName>(
  boatId: string,
  name: N,
  params: Omit<RequestParams<N>, 'boatId'>,
  body: unknown,
): Promise<{ readonly id: string; readonly outcome: UseCaseOutcome<unknown> }> {
  const id = randomUUID();
  const input = SCHEMAS[name].parse(body) as RequestBody<N>;
  const named = { boatId, ...params } as unknown as RequestParams<N>;
  return { id, outcome: await perform(NOBODY, name, named, input, id) };
}
