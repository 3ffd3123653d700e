/** The rig that a tour goes round: that of this page, else the first that is to be found from it. */
export function rigToTour(pathname: string, places: readonly { readonly path: string }[]): string | null {
  const isRig = /^\/boats\/[^/]+\/rigs\/[^/]+/;
  return isRig.exec(pathname)?.[0] ?? places.find(({ path }) => isRig.test(path))?.path ?? null;
}
