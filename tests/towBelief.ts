import type { DepthBelief } from '../core/tow/depthBelief';
import { depthWith } from '../core/tow/learnDepth';
import type { SeenDepth } from '../core/tow/seenDepth';
import { waterOf } from '../core/tow/medium';
import { sinksBy } from '../core/tow/sinking';

const SEA = waterOf('salt', 12);
const known = (value: number, share: number) => ({ value, sd: share * value, source: 'label' }) as const;

/** A lead core with thin braid behind it, with so much of it otherwise. */
export const belief = (over: Partial<DepthBelief> = {}): DepthBelief => ({
  lines: [
    {
      key: 'l',
      name: 'Leader',
      lengthM: 6,
      diameterM: known(0.00035, 0.03),
      isSoft: false,
      sinks: sinksBy('fluorocarbon', null),
    },
    {
      key: 'p',
      name: 'Lead core',
      lengthM: 45,
      diameterM: known(0.00082, 0.05),
      isSoft: true,
      sinks: sinksBy('lead core', null),
    },
    {
      key: 'b',
      name: 'Braid',
      lengthM: 60,
      diameterM: known(0.00028, 0.06),
      isSoft: true,
      sinks: sinksBy('braid', null),
    },
  ],
  ...{ lure: 'spoon', lurePull: null, water: SEA, tipHeightM: 1.2, bottomM: null, speedShareSd: 0.04 },
  ...over,
});

export const WHOLE_M = 100;
/** A rig that truly is so many SDs off what is believed of it. */
export const TRUE = [0.8, -1, 0, 0, 0.9, 0, 0, 0, 0];
/** A depth as it would be seen with the true rig, so much off (m). */
export const seen = (id: string, lengthOutM: number, speedMS: number, offM = 0): SeenDepth => ({
  ...{ id, lengthOutM, lengthSdM: 0.2, speedMS, depthSdM: 0.3 },
  depthM: (depthWith(belief(), speedMS, [lengthOutM], TRUE)[0] ?? NaN) + offM,
});
