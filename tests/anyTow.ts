import type { LoadRecord, RigRecord } from '../core/record/record';
import { MARK_KINDS, SIDES, SPEED_BY, TURNS } from '../core/record/tow';
import { LURE_KINDS } from '../core/tow/lures';
import { WATER_TEMPERATURE_C, WATERS } from '../core/tow/medium';
import { LIMITS } from '../usecases/limits';
import type { Draw } from './anyRig';

/** Any way of towing that the requests let through, and a water log of it. */
export function anyTowing(
  draw: Draw,
  load: LoadRecord | null,
  times: readonly string[],
): Pick<RigRecord, 'towed' | 'waterMarks'> {
  const lure = draw.of(LURE_KINDS);
  const temperature = { min: WATER_TEMPERATURE_C.least, max: WATER_TEMPERATURE_C.most };
  return {
    towed: draw.chance(0.7)
      ? {
          speedMS: draw.between(LIMITS.towSpeedMS),
          speedBy: draw.of(SPEED_BY),
          currentMS: draw.chance(0.5) ? draw.between({ min: -5, max: 5 }) : null,
          water: draw.of(WATERS),
          temperatureC: draw.chance(0.5) ? draw.between(temperature) : null,
          tipHeightM: draw.between(LIMITS.tipHeightM),
          lure,
          lurePullN: draw.chance(0.3) ? draw.between(LIMITS.forceN) : null,
          bottomM: draw.chance(0.5) ? draw.between(LIMITS.depthM) : null,
          rule: draw.chance(0.3) ? { perColourM: 1.5, otherwiseM: -0.4 } : null,
        }
      : null,
    waterMarks: times.map((at, index) => ({
      ...{ id: `mark${index}`, at, loadId: load?.id ?? 'load', kind: draw.of(MARK_KINDS) },
      ...(draw.chance(0.7)
        ? { reading: draw.whole(0, 999), laps: draw.whole(0, 1), lengthOutM: null }
        : { reading: null, laps: null, lengthOutM: draw.between(LIMITS.lengthOutM) }),
      depthM: draw.between(LIMITS.depthM),
      speedMS: draw.between(LIMITS.towSpeedMS),
      ...{ lure: draw.chance(0.8) ? lure : 'spoon', side: draw.of(SIDES), turn: draw.of(TURNS) },
      ...{ note: '', instrument: 'read by eye' },
    })),
  };
}
