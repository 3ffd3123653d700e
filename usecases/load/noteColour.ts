import 'server-only';
import { because } from '../../core/reasons';
import { insertColourReading } from '../../db/queries/windingLog';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { ColourInput } from './loadInput';
import { refuseReading } from './winding';

/** Notes what the counter shows when a colour of lead core has just gone on; noting it again corrects it. */
export async function noteColour(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: ColourInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId, 'winding');
  const load = record?.load;
  if (!record || load?.id !== loadId) return notFound('load');
  if (load.status !== 'winding') return conflict(because('log-closed'));
  const segment = load.segments.find((candidate) => candidate.segmentId === input.segmentId);
  if (!segment || segment.colours.length === 0) return notFound('lead core on this spool');
  if (input.coloursOn >= segment.colours.length) {
    return invalid(
      'coloursOn',
      because('last-colour-at-join', { segment: segment.name, colours: segment.colours.length }),
    );
  }
  if (load.winding.some((entry) => entry.segmentId === segment.segmentId)) {
    return conflict(because('segment-all-on', { segment: segment.name }));
  }
  const tooLarge = refuseReading(record, input.reading);
  if (tooLarge) return tooLarge;
  await insertColourReading(db, boatId, { ...input, loadId });
  return done({ done: true });
}
