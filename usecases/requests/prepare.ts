import 'server-only';
import { cleanPhoto } from '../joins/cleanPhoto';
import type { UseCaseOutcome } from '../outcome';
import type { RequestName } from './routes';
import type { RequestBody } from './schemas';

/** What is done to a request's input before its transaction begins: work that takes long keeps no rows locked. */
export const PREPARE: {
  readonly [N in RequestName]?: (input: RequestBody<N>) => Promise<UseCaseOutcome<RequestBody<N>>>;
} = {
  keepTiePhoto: cleanPhoto,
};
