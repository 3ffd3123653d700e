import { readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';
import { ROOT } from './lib/run.mjs';
import { say } from './lib/say.mjs';

/*
 * Cuts the three faces of app/fonts out of one large variable font: plain letters, figures of one width, and the
 * lettering of headings. All of it at once weighs three times as much, which is a second and more on a phone's line.
 */
const SOURCE = `${ROOT}/node_modules/@fontsource-variable/recursive/files/recursive-latin-full-normal.woff2`;

const range = (from, to) => Array.from({ length: to - from + 1 }, (_, at) => String.fromCodePoint(from + at)).join('');

/** The characters of the source, as its own style sheet lists them. */
const LATIN = [range(0x20, 0x7e), range(0xa0, 0xff), 'ıŒœʻʼˆ˚˜\u0304\u0308\u0329€™↑↓−∕', range(0x2000, 0x206f)].join(
  '',
);

const WEIGHTS = { min: 400, max: 750 };

const FACES = {
  text: { MONO: 0, CASL: 0, slnt: 0, CRSV: 0, wght: WEIGHTS },
  figures: { MONO: 1, CASL: 0, slnt: 0, CRSV: 0, wght: WEIGHTS },
  lettered: { MONO: 0, CASL: 1, slnt: -4, CRSV: 0.5, wght: 750 },
};

const source = readFileSync(SOURCE);
for (const [name, variationAxes] of Object.entries(FACES)) {
  const face = await subsetFont(source, LATIN, { targetFormat: 'woff2', variationAxes });
  writeFileSync(`${ROOT}/app/fonts/${name}.woff2`, face);
  say(`app/fonts/${name}.woff2: ${(face.length / 1000).toFixed(0)} kB`);
}
