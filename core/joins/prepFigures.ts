import type { Known } from '../provenance/source';
import { requirePositive } from '../result';
import type { PrepFigureName } from './schools';

/** The two lines that meet, and the reel that a loop may have to pass. Null for the arbor. */
export interface LinesToJoin {
  readonly inner: JoinedLine | null;
  readonly outer: JoinedLine;
  readonly reel: { readonly fullDiameterM: number; readonly widthM: number; readonly arborDiameterM: number };
}

export interface JoinedLine {
  readonly name: string;
  readonly material: string;
  readonly diameterM: number;
  /** What it holds (N), or null when nothing is known. */
  readonly strengthN: Known | null;
}

/** A figure that a step of a guide asks for, worked out for the very line. */
export interface PrepFigure {
  readonly name: string;
  readonly least: number;
  readonly most: number;
  readonly unit: 'm' | 'N' | 'count';
  readonly why: string;
}

/** Share of the weaker line at which a join is seated: enough to close it, far from breaking it (from memory). */
const SEATING_SHARE = { least: 0.25, most: 0.4 };

/** Share of the braid's strength that keeps it taut while it is plaited, and what any braid needs (a guess). */
const TENSION_SHARE = { least: 0.03, most: 0.09 };
const LEAST_TENSION_N = 3;

/**
 * Length of a bury as a multiple of the thickness of hollow braid. Splicing rules for hollow rope ask for 63 to 72
 * thicknesses (three to three and a half fids of 21; from memory); thin line is slicker, so more; schools say 20 to
 * 30 cm.
 */
const BURY_DIAMETERS = 100;

/**
 * Works a guide's figure out for the lines at hand; null where it does not apply or the strength is not known.
 *
 * @param name the figure
 * @param lines the lines that meet
 */
export function prepFigure(name: PrepFigureName, lines: LinesToJoin): PrepFigure | null {
  const { inner, outer, reel } = lines;
  requirePositive('prepFigure', { diameterM: outer.diameterM, fullDiameterM: reel.fullDiameterM });
  const thinM = Math.min(outer.diameterM, inner?.diameterM ?? Infinity);
  const thickM = Math.max(outer.diameterM, inner?.diameterM ?? 0);
  const hollow = [inner, outer].find((line) => line?.material === 'hollow braid') ?? null;
  switch (name) {
    case 'strip':
      return range('lead to bare and break off', 0.1, 0.15, 'm', '10 to 15 cm; the sheath stays whole');
    case 'overhang':
      return range('overhang of each end', 0.15, 0.2, 'm', 'about 15 cm: enough to hold with tension on it');
    case 'tag':
      return range(
        'tag that stays',
        0.001,
        Math.max(0.0015, 3 * thinM),
        'm',
        'short enough for the rings, long enough not to slip',
      );
    case 'wraps':
      return range('wraps', thinM < 0.0003 ? 6 : 5, 7, 'count', 'thin line takes one more');
    case 'bury': {
      const needM = Math.max(0.2, BURY_DIAMETERS * (hollow?.diameterM ?? thickM));
      return range(
        'bury',
        needM,
        Math.max(0.3, 1.25 * needM),
        'm',
        '20 to 30 cm, or a hundred thicknesses where that is more',
      );
    }
    case 'taper':
      return range(
        'taper of the tag',
        0.03,
        Math.max(0.05, 40 * thinM),
        'm',
        'so that the braid has no step to break at',
      );
    case 'needle':
      return range(
        'needle, bore and outside',
        thinM,
        Math.max(1.6 * (hollow?.diameterM ?? thickM), 1.3 * thinM),
        'm',
        'the line must go into it, and it must go into the hollow braid',
      );
    case 'loop': {
      // Round the reel, frame and foot about a third over the spool's rim (from memory); half of it laid flat.
      const roundM = 1.35 * reel.fullDiameterM + 1.6 * reel.widthM;
      return range('loop, laid flat', roundM, 1.3 * roundM, 'm', 'so that the whole reel passes through it');
    }
    case 'arborTurns': {
      const slick = outer.material.includes('braid');
      return range(
        'turns round the arbor',
        slick ? 2 : 1,
        slick ? 3 : 2,
        'count',
        slick ? 'braid needs the grip' : 'nylon grips by itself',
      );
    }
    case 'tension': {
      const braid = [inner, outer].find((line) => line?.material.includes('braid'));
      const strengthN = braid?.strengthN?.value;
      if (strengthN === undefined) return null;
      const leastN = Math.max(LEAST_TENSION_N, TENSION_SHARE.least * strengthN);
      return range(
        'tension while plaiting',
        leastN,
        Math.max(1.5 * leastN, TENSION_SHARE.most * strengthN),
        'N',
        'a drag that just clicks: less and the plait sags, more and it will not lock',
      );
    }
    case 'seating': {
      const strengths = [inner?.strengthN, outer.strengthN].filter((each) => each != null);
      if (strengths.length === 0) return null;
      const weakerN = Math.min(...strengths.map((each) => each.value));
      return range(
        'seating pull',
        SEATING_SHARE.least * weakerN,
        SEATING_SHARE.most * weakerN,
        'N',
        'a quarter to two fifths of the weaker line, drawn up slowly',
      );
    }
  }
}

function range(name: string, least: number, most: number, unit: PrepFigure['unit'], why: string): PrepFigure {
  return { name, least, most, unit, why };
}
