import { correctionTable } from '../../calibration/correctionTable';
import type { Figure } from '../../provenance/figure';
import { counterOf } from '../line/counterOf';
import { notedCounts } from '../line/woundSegments';
import { marksOfView } from './lineMarks';
import { coloursOf, type RigView } from '../view/rigView';

/** A place on the line worth knowing the reading of. */
export interface CountMark {
  readonly kind: 'length' | 'join' | 'colour' | 'mark';
  readonly name: string;
  /** Length from the hook when the place is at the tip (m). */
  readonly lengthOutM: number;
  /** What the counter shows then, by the model; turns of the spool on a reel without one. */
  readonly reading: Figure;
  /** What the winding log says of the same place (counts), where it was noted: turns are conserved. */
  readonly loggedReading: number | null;
}

/**
 * The marks of a rig: round lengths, joins, and each colour of lead core as it leaves the tip, in order
 * from the hook.
 *
 * @param view the rig
 * @param roundLengthsM lengths from the hook that the reader wants (m); those beyond the line are left out
 */
export function countMarks(view: RigView, roundLengthsM: readonly number[]): readonly CountMark[] {
  const { line } = view.current;
  const places = [...lengthPlaces(view, roundLengthsM), ...joinPlaces(view), ...tiedPlaces(view)].toSorted(
    (a, b) => a.lengthOutM - b.lengthOutM,
  );
  const hangM = view.record.hangM ?? 0;
  const paidOutsM = places.map((place) =>
    Math.min(Math.max(place.lengthOutM - line.handLinedLengthM - hangM, 0), line.woundLengthM),
  );
  const readings = correctionTable(view.ruler, paidOutsM);
  return places.flatMap((place, index) => {
    const reading = readings[index];
    return reading ? [{ ...place, reading }] : [];
  });
}

type Place = Omit<CountMark, 'reading'>;

function lengthPlaces(view: RigView, roundLengthsM: readonly number[]): readonly Place[] {
  return roundLengthsM
    .filter((lengthOutM) => lengthOutM <= view.current.line.totalLengthM)
    .map((lengthOutM) => ({ kind: 'length', name: '', lengthOutM, loggedReading: null }));
}

function tiedPlaces(view: RigView): readonly Place[] {
  return marksOfView(view).flatMap(({ mark, lengthOutM }) => {
    const name = `${mark.looks}, ${mark.kind}`;
    return lengthOutM === null ? [] : [{ kind: 'mark', name, lengthOutM, loggedReading: null }];
  });
}

function joinPlaces(view: RigView): readonly Place[] {
  const places: Place[] = [];
  let fromHookM = 0;
  const inwards = view.current.line.segments.toReversed();
  inwards.forEach((segment, index) => {
    const toHookM = fromHookM + segment.lengthM;
    const colours = coloursOf(view.record, segment).toReversed();
    colours.slice(0, -1).forEach(({ colour, fromM }) => {
      const lengthOutM = toHookM - fromM;
      places.push({ kind: 'colour', name: `${segment.name}: ${colour} is out`, lengthOutM, loggedReading: null });
    });
    const inner = inwards[index + 1];
    if (inner) {
      const logged = inner.wound ? loggedReadingAt(view, segment.id) : null;
      places.push({
        kind: 'join',
        name: `${segment.name} out, ${inner.name} follows`,
        lengthOutM: toHookM,
        loggedReading: logged,
      });
    }
    fromHookM = toHookM;
  });
  return places;
}

/**
 * Reading at which the inner end of a segment leaves, from the winding log alone: the counts wound on
 * from there outwards. Whatever packing or constant, the same turns come off again. Null where a
 * reading is missing, or line has been lost since.
 */
function loggedReadingAt(view: RigView, segmentId: string): number | null {
  const { load } = view.record;
  const counter = counterOf(view.record);
  if (!counter || load?.status !== 'wound' || load.changes.length > 0) return null;
  const wound = load.segments.filter((segment) => segment.wound);
  const outwards = wound.slice(wound.findIndex((segment) => segment.segmentId === segmentId));
  let counts = 0;
  for (const segment of outwards) {
    const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.segmentId);
    if (entry?.reading == null) return null;
    counts += notedCounts(segment, entry.reading, counter, entry.laps);
  }
  return counts;
}
