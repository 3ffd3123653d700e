import 'server-only';
import { setImmediate as turn } from 'node:timers/promises';
import type { RigRecord } from '../../core/record/record';
import { rigView } from '../../core/rig/view/rigView';
import { depthOfRig } from '../../core/rig/worth/depthOfRig';
import { figuresOfRig } from '../../core/rig/worth/figuresOfRig';
import { sayable, type NamedFigure, type RigFigure } from '../../core/rig/worth/rigFigure';
import type { Reason } from '../../core/reasons';
import { LEAST_GAIN } from '../../core/worth/enough';
import { measureNext, measureSet, type MeasureOption, type MeasureSet } from '../../core/worth/measureNext';
import { ON_THE_WATER } from '../../core/worth/measurement';
import { minutesFor, type KnownMinutes } from '../../core/worth/minutes';
import type { BoatDb } from '../../db/withBoat';
import { pageOf, RODS_BESIDE_EACH_OTHER, type PageOf } from './locker';

export interface MeasuringPage extends Omit<PageOf<RigRecord>, 'rigs'> {
  readonly figures: readonly NamedFigure[];
  /** The best for its minutes first. */
  readonly options: readonly MeasureOption[];
  /** What fits the time at the bench, in the order to make it. */
  readonly set: MeasureSet;
  /** Rods of which something has to be answered first. */
  readonly first: readonly { readonly rigId: string; readonly rigName: string; readonly why: Reason }[];
  readonly minutes: readonly KnownMinutes[];
}

/** What a strength is known to is what the drag from it is known to: it is counted once. */
function listed(figures: readonly RigFigure[]): readonly RigFigure[] {
  const hasTarget = figures.some(({ kind }) => kind === 'target');
  return figures.filter(({ kind }) => kind !== 'straight' && !(hasTarget && kind === 'strength'));
}

/** A figure with what can be measured for it ashore. */
const atBench = (figure: RigFigure): RigFigure => ({
  ...figure,
  measurements: figure.measurements.filter(({ kind }) => !ON_THE_WATER.includes(kind)),
});

/** What to measure next on a boat: one list for all of its rods, and a set that fits a time. */
export async function readMeasuring(db: BoatDb, find: string, page: number, minutes: number): Promise<MeasuringPage> {
  const { rigs, ...paged } = await pageOf(db, find, page, RODS_BESIDE_EACH_OTHER, 'whole');
  const figures: RigFigure[] = [];
  const first: MeasuringPage['first'][number][] = [];
  for (const rig of rigs) {
    const view = rigView(rig);
    const known = view && figuresOfRig(view);
    if (known?.first) first.push({ rigId: rig.id, rigName: rig.name, why: known.first });
    else figures.push(...listed(known?.figures ?? []));
    const depth = view && depthOfRig(view);
    if (depth) figures.push(depth);
    await turn();
  }
  const known = rigs[0]?.minutes ?? [];
  const minutesOf = minutesFor(known);
  return {
    ...paged,
    figures: figures.map(sayable),
    options: measureNext(figures, minutesOf).filter((option) => option.gain >= LEAST_GAIN),
    set: measureSet(figures.map(atBench), minutesOf, minutes),
    ...{ first, minutes: known },
  };
}
