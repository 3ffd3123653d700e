import { COMPUTE_KINDS } from '../compute/kinds';

/** A kind by its name, for tests. */
export const kind = (name: string) => {
  const found = COMPUTE_KINDS.find((candidate) => candidate.name === name);
  if (!found) throw new Error(`no kind ${name}`);
  return found;
};

/** Runs a kind and gives its value; fails the test when it refuses. */
export function value(name: string, request: unknown): Record<string, never> & { [key: string]: unknown } {
  const result = kind(name).run(request);
  if (!result.ok) throw new Error(JSON.stringify(result.fields));
  return result.value as never;
}
