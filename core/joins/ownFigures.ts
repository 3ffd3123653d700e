import type { PrepFigure } from './prepFigures';
import type { GuideStep, School } from './schools';

/** A figure of a guide as a crew has it: turns of a counted step, else metres. */
export interface OwnFigure {
  readonly school: string;
  readonly step: string;
  readonly least: number;
  readonly most: number;
}

/**
 * True where a crew may put a figure of its own in the place of the school's. The pulls are none of them: they follow from what the
 * very lines hold.
 */
export const canBeOwn = ({ times, figure }: GuideStep): boolean =>
  times !== undefined || (figure !== undefined && figure !== 'seating' && figure !== 'tension');

/** True where a figure is a number of turns, and not a length. */
export const countsTurns = ({ times, figure }: GuideStep): boolean =>
  times !== undefined || figure === 'arborTurns' || figure === 'wraps';

/** A school with the crew's own counts. */
export function withOwnCounts(school: School, own: readonly OwnFigure[]): School {
  return {
    ...school,
    steps: school.steps.map((step) => {
      const found = step.times && ownFigureOf(school, step, own);
      return found ? { ...step, times: { least: Math.round(found.least), most: Math.round(found.most) } } : step;
    }),
  };
}

/** The crew's own figure of a step; null where it has none. */
export function ownFigureOf(school: School, step: GuideStep, own: readonly OwnFigure[]): OwnFigure | null {
  return own.find((each) => each.school === school.id && each.step === step.id) ?? null;
}

/** A guide's figure with the crew's own range, where there is one. */
export function withOwnRange(figure: PrepFigure, own: OwnFigure | null): PrepFigure {
  return own ? { ...figure, least: own.least, most: own.most } : figure;
}
