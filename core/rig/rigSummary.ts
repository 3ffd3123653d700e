import type { LoadedLine } from '../spool/loadedLine';
import { bandsOfLine, type LineBand } from './view/bandsOfLine';
import { heldOutPieces } from './heldOut';
import type { JoinRecord, RigRecord } from '../record/record';
import { lineToShow } from './view/rigView';
import type { RodPosition } from '../record/rodPosition';
import type { Station } from '../record/stations';
import { stationStates } from './stationStates';
import type { StationState } from '../record/stationState';

/** A rig as the locker shows it: plain data, with nothing that a station works out. */
export interface RigSummary {
  readonly id: string;
  readonly name: string;
  readonly reelName: string;
  readonly rodPosition: RodPosition | null;
  /** The line as it is on the reel or planned; null while there is none. */
  readonly line: LoadedLine | null;
  readonly isWound: boolean;
  readonly bands: readonly LineBand[];
  readonly joins: readonly JoinRecord[];
  readonly states: Readonly<Record<Station, StationState>>;
  /** Noted figures that disagree so far that nothing rests on them. */
  readonly heldOut: number;
}

/** Sums a rig up for the locker. */
export function rigSummary(record: RigRecord): RigSummary {
  const current = lineToShow(record);
  return {
    id: record.id,
    name: record.name,
    reelName: record.reel.name,
    rodPosition: record.rodPosition,
    line: current?.line ?? null,
    isWound: current?.state === 'wound',
    bands: current ? bandsOfLine(record, current.line) : [],
    joins: record.joins,
    states: stationStates(record),
    heldOut: heldOutPieces(record).length,
  };
}
