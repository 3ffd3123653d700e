import { readFileSync } from 'node:fs';

/** Licences under which others' code may be used, changed and passed on here, and built from without opening one's own. */
const FINE = new Set([
  'MIT',
  'ISC',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'BlueOak-1.0.0',
  'Unlicense',
  'CC0-1.0',
  'BSL-1.0',
]);

/** Others that were looked at, each with the reason. */
const LOOKED_AT: Readonly<Record<string, string>> = {
  'OFL-1.1': 'the typeface: it may be shipped with anything',
  'MPL-2.0': 'the style sheets’ compiler: used as it is, when the application is built',
  'CC-BY-4.0': 'a table of browsers, read when the application is built',
};

interface Locked {
  readonly dev?: boolean;
  readonly link?: boolean;
  readonly license?: string;
}

describe('the packages that the product is built from', () => {
  const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, Locked> };
  const used = Object.entries(packages).filter(
    ([path, each]) => path.startsWith('node_modules/') && !each.dev && !each.link,
  );

  it('have a licence that is fine, or was looked at', () => {
    expect(used.length).toBeGreaterThan(100);
    const strange = used.filter(([, { license = 'none' }]) =>
      license
        .split(/ (?:AND|OR) /)
        .some((each) => !FINE.has(each.replaceAll(/[()]/g, '')) && !Object.hasOwn(LOOKED_AT, each)),
    );
    expect(strange.map(([path, { license }]) => `${path}: ${license}`)).toEqual([]);
  });

  it('come without the image library that the framework would bring, and without addresses of a registry', () => {
    expect(used.filter(([path]) => path.includes('/@img/'))).toEqual([]);
    expect(readFileSync('package-lock.json', 'utf8')).not.toMatch(/"resolved": "http/);
  });
});
