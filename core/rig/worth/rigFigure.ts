import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import { sdOfBelief } from '../../worth/belief';
import { enoughOf, type Enough, type FigureKind } from '../../worth/enough';
import type { FigureToNarrow } from '../../worth/measureNext';
import type { RigView } from '../view/rigView';

/** A figure of a rig that somebody acts by, what is open of it, and what could be measured for it. */
export interface RigFigure extends FigureToNarrow {
  readonly rigId: string;
  readonly rigName: string;
  readonly kind: FigureKind;
  /** Of what: a segment, a place of the line; empty where the kind says all. */
  readonly of: string;
  readonly value: number;
  readonly plusMinus: number;
  /** Where along the line (m off the spool), or null. */
  readonly atM: number | null;
  readonly because: Enough['because'];
}

/** What is said of a figure, without what it is weighed by. */
export type NamedFigure = Omit<RigFigure, 'belief' | 'measurements'>;

/** A figure without what it is weighed by: that is large, and nothing for a page. */
export function sayable(figure: RigFigure): NamedFigure {
  const { id, rigId, rigName, kind, of, atM, value, plusMinus, enough, because } = figure;
  return { id, rigId, rigName, kind, of, atM, value, plusMinus, enough, because };
}

type Figured = Pick<RigFigure, 'kind' | 'of' | 'value' | 'atM' | 'belief' | 'measurements'>;

/**
 * A figure of a rig, with its ± and the ± that is enough.
 *
 * @param byHand what a hand does in the figure's unit, where it does less well than the decision asks
 */
export function named({ record }: RigView, figure: Figured, byHand = 0): RigFigure {
  const enough = enoughOf(figure.kind, figure.value, byHand);
  return {
    ...figure,
    ...{ id: `${record.id} ${figure.kind} ${figure.of}`, rigId: record.id, rigName: record.name },
    plusMinus: PLUS_MINUS_SDS * sdOfBelief(figure.belief),
    ...{ enough: enough.plusMinus, because: enough.because },
  };
}
