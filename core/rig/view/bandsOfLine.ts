import type { Material } from '../../materials/materials';
import type { LoadedLine } from '../../spool/loadedLine';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';
import type { RigRecord } from '../../record/record';
import { coloursOf } from './rigView';

/** One segment of the line as it is drawn: a band between two lengths from the hook. */
export interface LineBand {
  readonly segmentId: string;
  readonly name: string;
  readonly lineName: string;
  readonly material: Material;
  readonly fromM: number;
  readonly toM: number;
  readonly lineDiameterM: number;
  readonly wound: boolean;
  /** Lead-core colours from the hook inwards, each with its length (m). */
  readonly colours: readonly { readonly colour: string; readonly lengthM: number }[];
}

/** The line as bands from the hook to the arbor. */
export function bandsOfLine(record: RigRecord, line: LoadedLine): readonly LineBand[] {
  let fromM = 0;
  return line.segments.toReversed().map((segment) => {
    const product = productOf(record, productIdNow(record, segment.id));
    const band = {
      segmentId: segment.id,
      name: segment.name,
      lineName: product.name,
      material: product.material,
      fromM,
      toM: fromM + segment.lengthM,
      lineDiameterM: segment.lineDiameterM,
      wound: segment.wound,
      colours: coloursOf(record, segment)
        .toReversed()
        .map(({ colour, fromM: innerM, toM: outerM }) => ({ colour, lengthM: outerM - innerM })),
    };
    fromM = band.toM;
    return band;
  });
}
