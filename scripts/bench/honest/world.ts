import { normalDeviate, seededRandom, type Random } from '../../../instruments/random';
import { layReel, type LaidReel, type ReelTruth, type WoundLine } from '../../../instruments/virtual/layReel';

/**
 * The world as it may be, drawn without a look at what estimators believe: its figures are stated here, and its reels are laid turn by
 * turn. A perturbation changes one of them.
 */
export interface World {
  /** Winding strain of nylon, drawn anew for each load: uniform between, or normal about. */
  readonly strain: { readonly between: readonly [number, number] } | { readonly mean: number; readonly sd: number };
  /** Relative bias of the outfit's tape. */
  readonly tapeShare: number | { readonly sd: number };
  /** Share of the width that no turn fills. */
  readonly flange: number | { readonly most: number };
  /** Growth of packing from arbor to rim. */
  readonly depth: number | { readonly sd: number };
  /** How much more the counter shows going on than coming off. */
  readonly slip: number | { readonly sd: number };
  /** The display truncates, and the person says that it rounds. */
  readonly truncates: boolean;
  readonly caliperSdM: number;
  /** What a maker's ratings are off by, all of them together and one by one. */
  readonly ratings: { readonly habitSd: number; readonly sd: number };
  /** Thickness of nylons over their label, by their ids; those not named: four makers in five within 5 %, the fifth within 10 %. */
  readonly labelOff: Readonly<Partial<Record<string, number>>>;
}

export const AS_MODELLED: World = {
  strain: { mean: 0.02, sd: 0.012 },
  tapeShare: { sd: 0.003 },
  flange: { most: 0.05 },
  depth: { sd: 0.05 },
  slip: { sd: 0.004 },
  truncates: false,
  caliperSdM: 0.0002,
  ratings: { habitSd: 0.06, sd: 0.05 },
  labelOff: {},
};

export const FOOT_M = 0.3048;

/** One line of an outfit: what its label says, and what it is. */
export interface OutfitLine {
  readonly id: string;
  readonly isNylon: boolean;
  readonly labelM: number;
  readonly trueM: number;
  readonly packing: number;
}

export interface Outfit {
  readonly random: Random;
  readonly world: World;
  readonly tapeShare: number;
  readonly truth: Omit<ReelTruth, 'seed'>;
  readonly flange: number;
  /** Caliper readings of arbor, width and rim (m). */
  readonly caliperM: readonly [number, number, number];
  /** Lengths (m) of two lines that the maker says the spool takes. */
  readonly ratings: readonly { readonly label: string; readonly lineDiameterM: number; readonly lengthM: number }[];
  /** The constant as its maker states it (m per turn). */
  readonly statedM: number;
  readonly lines: readonly OutfitLine[];
}

const between = (random: Random, low: number, high: number): number => low + (high - low) * random();
const drawn = (random: Random, of: number | { readonly sd: number }): number =>
  typeof of === 'number' ? of : of.sd * normalDeviate(random);

function nylon(random: Random, world: World, id: string, labelM: number): OutfitLine {
  const maker = random() < 0.8 ? 0.05 : 0.1;
  const off = maker * normalDeviate(random);
  const packing = 0.68 * Math.exp(0.05 * normalDeviate(random));
  return { id, isNylon: true, labelM, trueM: labelM * (1 + (world.labelOff?.[id] ?? off)), packing };
}

function copper(random: Random, id: string, labelM: number): OutfitLine {
  return {
    ...{ id, isNylon: false, labelM },
    trueM: labelM * (1 + 0.015 * normalDeviate(random)),
    packing: 0.62 * Math.exp(0.07 * normalDeviate(random)),
  };
}

/** What a maker says that a spool takes: by a packing of 0.68 and his own idea of full. */
function ratingsOf(random: Random, { ratings }: World, volumeM3: number): Outfit['ratings'] {
  const habit = Math.exp(ratings.habitSd * normalDeviate(random));
  return [0.00035, 0.00045].map((lineDiameterM) => ({
    ...{ label: `${lineDiameterM}`, lineDiameterM },
    lengthM:
      ((0.68 * volumeM3) / ((Math.PI / 4) * lineDiameterM ** 2)) * habit * Math.exp(ratings.sd * normalDeviate(random)),
  }));
}

const volumeOf = (arborM: number, widthM: number, rimM: number): number =>
  (Math.PI / 4) * widthM * (rimM ** 2 - arborM ** 2);

/** An outfit of that world: a reel with its counter, and one line or three. */
export function drawOutfit(world: World, seed: number, isPlain: boolean): Outfit {
  const random = seededRandom(seed);
  const rimM = between(random, 0.045, 0.08);
  const arborM = rimM * between(random, 0.42, 0.62);
  const widthM = rimM * between(random, 0.38, 0.58);
  const caliper = (value: number): number => value + world.caliperSdM * normalDeviate(random);
  const lengthPerTurnM = Math.PI * rimM * between(random, 0.75, 1.05);
  return {
    random,
    world,
    tapeShare: drawn(random, world.tapeShare),
    flange: typeof world.flange === 'number' ? world.flange : world.flange.most * random(),
    truth: {
      ...{ arborDiameterM: arborM, widthM, rimDiameterM: rimM, lengthPerTurnM, unitM: FOOT_M, digits: 4, rounds: true },
      ...{ pitchM: widthM / 25, pitchRelativeSd: 0.03, crown: 0.02, packingRelativeSd: 0.03 },
    },
    caliperM: [caliper(arborM), caliper(widthM), caliper(rimM)],
    ratings: ratingsOf(random, world, volumeOf(arborM, widthM, rimM)),
    statedM: lengthPerTurnM * Math.exp(0.04 * normalDeviate(random)),
    lines: isPlain
      ? [nylon(random, world, 'plain', between(random, 0.0003, 0.0005))]
      : [
          nylon(random, world, 'backing', between(random, 0.00032, 0.0005)),
          copper(random, 'copper', between(random, 0.0006, 0.0008)),
          nylon(random, world, 'top', between(random, 0.0003, 0.0004)),
        ],
  };
}

/** Another outfit that nobody could tell from this one by caliper and labels: what they leave open is drawn anew. */
export function outfitLike({ world, truth, caliperM, lines, ratings }: Outfit, seed: number): Outfit {
  const random = seededRandom(seed);
  const [arborDiameterM, widthM, rimDiameterM] = caliperM.map(
    (value) => value - world.caliperSdM * normalDeviate(random),
  ) as [number, number, number];
  const lengthPerTurnM = Math.PI * rimDiameterM * between(random, 0.75, 1.05);
  return {
    ...{ random, world, caliperM, ratings },
    tapeShare: drawn(random, world.tapeShare),
    flange: typeof world.flange === 'number' ? world.flange : world.flange.most * random(),
    truth: { ...truth, arborDiameterM, widthM, rimDiameterM, lengthPerTurnM },
    statedM: lengthPerTurnM * Math.exp(0.04 * normalDeviate(random)),
    lines: lines.map((line): OutfitLine =>
      line.isNylon ? nylon(random, world, line.id, line.labelM) : copper(random, line.id, line.labelM),
    ),
  };
}

/** A load as it lies, and what its counter shows. */
export interface Laid {
  readonly reel: LaidReel;
  readonly lengthsM: readonly number[];
  /** By how much each line lies stretched on the spool. */
  readonly strains: readonly number[];
  /** Exact counts of each line going on. */
  readonly countsOn: readonly number[];
  /** Exact counts that a length off the spool makes. */
  counts(lengthM: number): number;
}

/** Parts that a line is laid in, so that packing can change with depth. */
const PARTS = 6;

/** Winds an outfit's lines on for real: with this load's own strain, packing and depth. */
export function layLoad(outfit: Outfit, lengthsM: readonly number[], seed: number): Laid {
  const { random, world, truth, flange } = outfit;
  const strained =
    'between' in world.strain
      ? between(random, ...world.strain.between)
      : world.strain.mean + world.strain.sd * normalDeviate(random);
  const strainOf = (line: OutfitLine): number => Math.max(line.isNylon ? strained : 0.001, 0);
  const depth = drawn(random, world.depth);
  const slip = drawn(random, world.slip);
  const repeats = outfit.lines.map(() => Math.exp(0.01 * normalDeviate(random)));
  const totalM2 = outfit.lines.reduce(
    (sum, line, index) => sum + ((lengthsM[index] ?? 0) * line.trueM ** 2) / line.packing,
    0,
  );
  let goneM2 = 0;
  const parts = outfit.lines.flatMap((line, index) =>
    Array.from({ length: PARTS }, (): WoundLine => {
      const lengthM = (lengthsM[index] ?? 0) / PARTS;
      const spaceM2 = (lengthM * line.trueM ** 2) / line.packing;
      const at = (goneM2 + spaceM2 / 2) / totalM2 - 0.5;
      goneM2 += spaceM2;
      const strain = strainOf(line);
      const packing = line.packing * (repeats[index] ?? 1) * (1 + depth * at);
      return { lengthM, lineDiameterM: line.trueM, packing, strain };
    }),
  );
  const reel = layReel({ ...truth, widthM: truth.widthM * (1 - flange), seed }, parts);
  const perCount = truth.lengthPerTurnM / truth.unitM;
  const turnsOf = (line: number): number =>
    reel.turnsPerLine.slice(line * PARTS, (line + 1) * PARTS).reduce((sum, each) => sum + each, 0);
  return {
    reel,
    lengthsM,
    strains: outfit.lines.map((line) => strainOf(line)),
    countsOn: outfit.lines.map((_, line) => turnsOf(line) * perCount * (1 + slip)),
    counts: (lengthM) => {
      let left = lengthM;
      let turns = 0;
      for (let index = reel.laid.length - 1; index >= 0 && left > 0; index -= 1) {
        const turn = reel.laid[index];
        if (!turn) break;
        turns += turn.turns * Math.min(1, left / turn.lengthM);
        left -= turn.lengthM;
      }
      return turns * perCount;
    },
  };
}

/** What a display shows of exact counts. */
export const shown = ({ world }: Outfit, counts: number): number =>
  world.truncates ? Math.floor(counts) : Math.round(counts);
