/** Keys of acts whose answer never came, by what was asked. */
const unanswered = new Map<string, string>();

/** Keys of everything that this page has sent. */
const own = new Set<string>();

/** True for an act that this very page has sent. */
export const isOwnAct = (actId: string): boolean => own.has(actId);

/**
 * The head that carries an act's own key. An act that is sent again in the same words because its answer was lost keeps its
 * key; once answered, the same words are a new act.
 */
export function onceHead(method: string, path: string, body: unknown) {
  const words = `${method} ${path} ${JSON.stringify(body)}`;
  const key = unanswered.get(words) ?? crypto.randomUUID();
  unanswered.set(words, key);
  own.add(key);
  return { key, head: { 'x-once-key': key }, answered: () => unanswered.delete(words) };
}
