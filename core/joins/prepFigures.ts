import { because, type Reason } from '../reasons';
import { requirePositive } from '../result';
import type { LinesToJoin } from './joinedLine';
import type { PrepFigureName } from './schools';

/** A figure that a step of a guide asks for, worked out for the very line. */
export interface PrepFigure {
  readonly name: PrepFigureName;
  readonly least: number;
  readonly most: number;
  readonly unit: 'm' | 'N' | 'count';
  readonly why: Reason;
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

/** How far a line runs inside a sleeve of hollow braid, so that the sleeve's grip holds it (m; from memory). */
const SLEEVE_M = { least: 0.45, most: 0.6 } as const;

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
      return range(name, 0.1, 0.15, 'm', because('figure-strip', { leastM: 0.1, mostM: 0.15 }));
    case 'sheathStrip':
      return range(name, 0.25, 0.3, 'm', because('figure-sheath-strip', { aboutM: 0.25 }));
    case 'fold':
      return range(name, 0.08, 0.12, 'm', because('figure-fold'));
    case 'sleeve':
      return range(name, SLEEVE_M.least, SLEEVE_M.most, 'm', because('figure-sleeve'));
    case 'overhang':
      return range(name, 0.15, 0.2, 'm', because('figure-overhang', { aboutM: 0.15 }));
    case 'tag':
      return range(name, 0.001, Math.max(0.0015, 3 * thinM), 'm', because('figure-tag'));
    case 'wraps':
      return range(name, thinM < 0.0003 ? 6 : 5, 7, 'count', because('figure-wraps'));
    case 'bury': {
      const needM = Math.max(0.2, BURY_DIAMETERS * (hollow?.diameterM ?? thickM));
      return range(name, needM, Math.max(0.3, 1.25 * needM), 'm', because('figure-bury', { leastM: 0.2, mostM: 0.3 }));
    }
    case 'taper':
      return range(name, 0.03, Math.max(0.05, 40 * thinM), 'm', because('figure-taper'));
    case 'needle':
      return range(
        name,
        thinM,
        Math.max(1.6 * (hollow?.diameterM ?? thickM), 1.3 * thinM),
        'm',
        because('figure-needle'),
      );
    case 'loop': {
      // Round the reel, frame and foot about a third over the spool's rim (from memory); half of it laid flat.
      const roundM = 1.35 * reel.fullDiameterM + 1.6 * reel.widthM;
      return range(name, roundM, 1.3 * roundM, 'm', because('figure-loop'));
    }
    case 'arborTurns': {
      const slick = outer.material.includes('braid');
      return range(
        name,
        slick ? 2 : 1,
        slick ? 3 : 2,
        'count',
        because(slick ? 'figure-arbor-turns-braid' : 'figure-arbor-turns-nylon'),
      );
    }
    case 'tension': {
      const braid = [inner, outer].find((line) => line?.material.includes('braid'));
      const strengthN = braid?.strengthN?.value;
      if (strengthN === undefined) return null;
      const leastN = Math.max(LEAST_TENSION_N, TENSION_SHARE.least * strengthN);
      return range(
        name,
        leastN,
        Math.max(1.5 * leastN, TENSION_SHARE.most * strengthN),
        'N',
        because('figure-tension'),
      );
    }
    case 'seating': {
      const strengths = [inner?.strengthN, outer.strengthN].filter((each) => each != null);
      if (strengths.length === 0) return null;
      const weakerN = Math.min(...strengths.map((each) => each.value));
      return range(name, SEATING_SHARE.least * weakerN, SEATING_SHARE.most * weakerN, 'N', because('figure-seating'));
    }
  }
}

function range(name: PrepFigureName, least: number, most: number, unit: PrepFigure['unit'], why: Reason): PrepFigure {
  return { name, least, most, unit, why };
}
