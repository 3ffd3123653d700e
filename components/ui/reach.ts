let isAway = false;

/** Notes whether the server was heard just now, by whoever asked it something. */
export function heardServer(isThere: boolean): void {
  isAway = !isThere;
}

/** True where the server may be out of reach: it was not heard when it was asked last, or this device has no network. */
export const mayBeAway = (): boolean => isAway || (typeof navigator !== 'undefined' && !navigator.onLine);

/** Asks the server anything at all: true when it answers, whatever it says. */
export async function answers(): Promise<boolean> {
  const isThere = await fetch('/api/there', { method: 'HEAD', cache: 'no-store' }).then(
    () => true,
    () => false,
  );
  heardServer(isThere);
  return isThere;
}
