import type { DragBasis } from '../../drag/dragTarget';
import type { Known } from '../../provenance/source';
import { because, type Reason } from '../../reasons';
import type { LoadedLine } from '../../spool/loadedLine';
import type { StrengthPlace } from '../../strength/rigStrength';
import type { RigRecord } from '../../record/record';
import { strengthInReach } from '../strength/reach';

export interface DragBasisChoice {
  readonly basis: DragBasis;
  /** Strength that a fraction would be taken of, or null with the reason. */
  readonly strengthN: Known | null;
  /** The place, or null where it is not known. */
  readonly of: string | null;
  readonly why: Reason;
}

/**
 * The strengths that people take a fraction of, side by side: the weakest label, the weakest tested
 * line, and the weakest place with its joins, each of what may be out.
 */
export function dragBases(record: RigRecord, line: LoadedLine): readonly DragBasisChoice[] {
  const [best, label] = [strengthInReach(record, line), strengthInReach(record, line, 'label')];
  const weakestSegment = (places: readonly StrengthPlace[], tested: boolean): StrengthPlace | null =>
    places
      .filter((place) => place.kind === 'segment' && (!tested || place.strengthN.source === 'measured'))
      .toSorted((a, b) => a.strengthN.value - b.strengthN.value)[0] ?? null;
  const labelPlace = label ? weakestSegment(label.places, false) : null;
  const testedPlace = best ? weakestSegment(best.places, true) : null;
  const allTested = best?.places.every((p) => p.kind === 'join' || p.strengthN.source === 'measured') ?? false;
  return [
    {
      basis: 'weakest',
      strengthN: best?.weakest.strengthN ?? null,
      of: best?.weakest.name ?? null,
      why: because(best ? 'basis-weakest' : 'basis-weakest-unknown'),
    },
    {
      basis: 'tested',
      strengthN: allTested ? (testedPlace?.strengthN ?? null) : null,
      of: testedPlace?.name ?? null,
      why: because(allTested ? 'basis-tested' : 'basis-not-tested'),
    },
    {
      basis: 'label',
      strengthN: labelPlace?.strengthN ?? null,
      of: labelPlace?.name ?? null,
      why: because(labelPlace ? 'basis-label' : 'basis-no-label'),
    },
  ];
}
