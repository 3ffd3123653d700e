import type { JoinKind } from '../joins/joinKinds';
import { USUAL_OPENING_M } from '../joins/usual';
import { joinBulkM } from '../joins/joinWork';
import { because, type Reason } from '../reasons';
import type { BackingPurpose } from './backing';
import type { Material } from '../materials/materials';

/** A planned segment as advice looks at it, in order from the arbor. */
export interface AdvisedSegment {
  readonly name: string;
  readonly role: string;
  readonly material: Material;
  readonly lineDiameterM: number;
  readonly lengthM: number;
  readonly wound: boolean;
  /** Colours of lead core; 0 for other lines. */
  readonly colours: number;
  readonly joinKind: JoinKind | null;
  readonly purpose: BackingPurpose | null;
  /** Space that it takes on the spool (m³). */
  readonly volumeM3: number;
}

export interface AdvisedLoad {
  readonly reelKind: 'conventional' | 'fixed-spool' | 'fly';
  readonly fullDiameterM: number;
  readonly widthM: number;
  /** Volume between the arbor and the planned level (m³). */
  readonly volumeM3: number;
  readonly levelBelowRimM: number;
  /** The smallest opening that a join has to pass (m); null: nobody has measured it. */
  readonly smallestOpeningM: number | null;
  readonly segments: readonly AdvisedSegment[];
  /** Lengths in which each segment's line is sold, as they stand on the shelf (m). */
  readonly retailLengthsM: readonly (readonly number[])[];
}

/** A piece of advice: figures in SI and the reason, for the screen to word. */
export interface LoadAdvice {
  readonly kind:
    | 'thin-backing'
    | 'thin-abrasion'
    | 'thick-backing'
    | 'bare-arbor'
    | 'retail-length'
    | 'bulky-lead-core'
    | 'overfull'
    | 'loop-over-reel'
    | 'thick-join';
  readonly weight: 'caution' | 'note';
  readonly segment: string;
  readonly reason: Reason;
  readonly figures: Readonly<Record<string, number>>;
  /** Ways out, each with what it asks for. */
  readonly ways: readonly Reason[];
}

const BRAIDS: readonly Material[] = ['braid', 'hollow braid'];
const ROUND: readonly Material[] = ['nylon', 'fluorocarbon'];

/** Room under the rim that each kind of reel wants at least (m), common practice, no source. */
const LEAST_ROOM_M = { conventional: 0.001, 'fixed-spool': 0.0012, fly: 0.003 } as const;

/** Share of the spool that lead core may fill before thinner line behind it is worth a thought. */
const BULKY_SHARE = 0.6;

/** How near to a retail length a top shot must be for the whole spool to be the better choice. */
const NEAR_RETAIL = 0.2;

/** Advice on a planned load, each with its reason; empty when there is nothing to say. */
export function loadAdvice(load: AdvisedLoad): readonly LoadAdvice[] {
  return [
    ...backingAdvice(load),
    ...arborAdvice(load),
    ...retailAdvice(load),
    ...leadCoreAdvice(load),
    ...levelAdvice(load),
    ...loopAdvice(load),
    ...joinAdvice(load),
  ];
}

function backingAdvice({ segments }: AdvisedLoad): readonly LoadAdvice[] {
  const [backing, above] = segments;
  if (backing?.role !== 'backing' || !above || !ROUND.includes(backing.material) || !ROUND.includes(above.material)) {
    return [];
  }
  const ratio = backing.lineDiameterM / above.lineDiameterM;
  const figures = { backingM: backing.lineDiameterM, aboveM: above.lineDiameterM, ratio };
  if (backing.purpose === 'abrasion') {
    // What is to stand rock is judged by the rock, never by the length that thinner line would buy.
    if (ratio >= 0.995) return [];
    const reason = because('thin-abrasion');
    const ways = [because('thin-abrasion-thicker')];
    return [{ kind: 'thin-abrasion', weight: 'caution', segment: backing.name, reason, figures, ways }];
  }
  if (ratio < 0.995) {
    return [
      {
        kind: 'thin-backing',
        weight: 'note',
        segment: backing.name,
        reason: because('thin-backing'),
        figures,
        ways: [because('thin-backing-thicker'), because('thin-backing-keep')],
      },
    ];
  }
  if (ratio <= 1.12) return [];
  return [
    {
      kind: 'thick-backing',
      weight: 'note',
      segment: backing.name,
      reason: because('thick-backing'),
      figures,
      ways: [],
    },
  ];
}

function arborAdvice({ segments }: AdvisedLoad): readonly LoadAdvice[] {
  const [first] = segments;
  if (!first || !BRAIDS.includes(first.material)) return [];
  return [
    {
      kind: 'bare-arbor',
      weight: 'caution',
      segment: first.name,
      reason: because('bare-arbor'),
      figures: {},
      ways: [because('bare-arbor-underlay'), because('bare-arbor-tape'), because('bare-arbor-criss-cross')],
    },
  ];
}

function retailAdvice({ segments, retailLengthsM }: AdvisedLoad): readonly LoadAdvice[] {
  return segments.flatMap((segment, index): LoadAdvice[] => {
    if (segment.role !== 'top shot') return [];
    const near = (retailLengthsM[index] ?? [])
      .filter((lengthM) => Math.abs(segment.lengthM / lengthM - 1) < NEAR_RETAIL)
      .toSorted((a, b) => Math.abs(a - segment.lengthM) - Math.abs(b - segment.lengthM))[0];
    if (near === undefined || Math.abs(segment.lengthM - near) < 0.5) return [];
    return [
      {
        kind: 'retail-length',
        weight: 'note',
        segment: segment.name,
        reason: because('retail-length'),
        figures: { lengthM: segment.lengthM, retailM: near },
        ways: [because('retail-length-whole')],
      },
    ];
  });
}

function leadCoreAdvice({ segments, volumeM3 }: AdvisedLoad): readonly LoadAdvice[] {
  return segments.flatMap((segment): LoadAdvice[] => {
    if (segment.material !== 'lead core' || segment.colours === 0) return [];
    const share = segment.volumeM3 / volumeM3;
    if (share <= BULKY_SHARE) return [];
    const perColourM3 = segment.volumeM3 / segment.colours;
    const othersM3 = segments.reduce((sum, each) => sum + (each.wound && each !== segment ? each.volumeM3 : 0), 0);
    const [backing] = segments;
    // What is worked out gives way first: all but the backing stays.
    const fixedM3 = othersM3 - (backing && backing !== segment && backing.role === 'backing' ? backing.volumeM3 : 0);
    return [
      {
        kind: 'bulky-lead-core',
        weight: share > 0.85 ? 'caution' : 'note',
        segment: segment.name,
        reason: because('bulky-lead-core'),
        figures: {
          share,
          coloursThatFit: Math.max(0, Math.floor((volumeM3 - fixedM3) / perColourM3)),
          coloursForHalf: Math.max(0, Math.floor((0.5 * volumeM3) / perColourM3)),
        },
        ways: [because('bulky-lead-core-fewer'), because('bulky-lead-core-larger')],
      },
    ];
  });
}

function levelAdvice({ reelKind, levelBelowRimM }: AdvisedLoad): readonly LoadAdvice[] {
  const leastM = LEAST_ROOM_M[reelKind];
  if (levelBelowRimM >= leastM) return [];
  return [
    {
      kind: 'overfull',
      weight: 'caution',
      segment: '',
      reason: because(`overfull-${reelKind}`),
      figures: { levelBelowRimM, leastM },
      ways: [because('overfull-leave-room'), because('overfull-on-purpose')],
    },
  ];
}

function loopAdvice({ segments, reelKind, fullDiameterM, widthM }: AdvisedLoad): readonly LoadAdvice[] {
  return segments.flatMap((segment, index): LoadAdvice[] => {
    const below = segments[index - 1];
    if (segment.joinKind !== 'loop-to-loop' || below?.role !== 'backing' || reelKind === 'fixed-spool') return [];
    // The loop must go round the reel: frame and foot stand about a third over the spool's rim (from memory).
    const loopM = 1.35 * fullDiameterM + 1.6 * widthM;
    return [
      {
        kind: 'loop-over-reel',
        weight: 'note',
        segment: segment.name,
        reason: because('loop-over-reel'),
        figures: { loopM },
        ways: [],
      },
    ];
  });
}

function joinAdvice({ segments, smallestOpeningM }: AdvisedLoad): readonly LoadAdvice[] {
  return segments.flatMap((segment, index): LoadAdvice[] => {
    const below = segments[index - 1];
    if (!below || !segment.joinKind || !segment.wound) return [];
    const bulkM = joinBulkM(segment.joinKind, below.lineDiameterM, segment.lineDiameterM);
    if (bulkM <= (smallestOpeningM ?? USUAL_OPENING_M)) return [];
    return [
      {
        kind: 'thick-join',
        weight: 'note',
        segment: segment.name,
        reason: because('thick-join'),
        figures: { bulkM },
        ways: [],
      },
    ];
  });
}
