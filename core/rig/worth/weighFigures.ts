import type { Reason } from '../../reasons';
import type { FigureKind } from '../../worth/enough';
import { keyOf } from '../../worth/measurement';
import { measureNext, quickestTo, type MeasureOption } from '../../worth/measureNext';
import { minutesFor } from '../../worth/minutes';
import type { RigRecord } from '../../record/record';
import type { RigView } from '../view/rigView';
import { figuresOfRig } from './figuresOfRig';
import { sayable, type NamedFigure, type RigFigure } from './rigFigure';

/** A figure with what would narrow its ±. */
export interface WeighedFigure {
  readonly figure: NamedFigure;
  /** The best for its minutes first. */
  readonly options: readonly MeasureOption[];
  /** What makes it good enough in the least time; null where nothing does. */
  readonly quickest: readonly MeasureOption[] | null;
}

export interface Weighed {
  readonly figures: readonly WeighedFigure[];
  /** What has to be answered before anything more is measured, or null. */
  readonly first: Reason | null;
}

/** Weighs figures one by one; where one measurement is the next for two of them, it is said of the first alone. */
export function weighFigures(
  figures: readonly RigFigure[],
  { minutes }: Pick<RigRecord, 'minutes'>,
): readonly WeighedFigure[] {
  const minutesOf = minutesFor(minutes);
  const said = new Set<string>();
  return figures.flatMap((each): WeighedFigure[] => {
    const options = measureNext([each], minutesOf);
    const next = options[0] ? keyOf(options[0]) : '';
    if (said.has(next)) return [];
    said.add(next);
    return [{ figure: sayable(each), options, quickest: quickestTo(each, minutesOf) }];
  });
}

/**
 * What to measure next for figures of a rig.
 *
 * @param kinds of the figures that are asked about
 */
export function weighRig(view: RigView, kinds: readonly FigureKind[]): Weighed {
  const { figures, first } = figuresOfRig(view);
  const asked = figures.filter(({ kind }) => kinds.includes(kind));
  return { figures: first ? [] : weighFigures(asked, view.record), first: asked.length > 0 ? first : null };
}
