import type { JoinKind } from '@/core/joins/joinKinds';
import type { Material } from '@/core/materials/materials';
import { STATIONS, type Station } from '@/core/record/stations';

export const boatPath = (boatId: string): string => `/boats/${boatId}`;
export const gearPath = (boatId: string): string => `/boats/${boatId}/gear`;
/** Where a new rig is made, like another one. */
export const likePath = (boatId: string, rigId: string): string => `${gearPath(boatId)}?likeRigId=${rigId}`;
/** What a scale should show, with no reel on record. */
export const firstReelPath = (boatId: string): string => `/boats/${boatId}/first-reel`;
export const quickDragPath = (boatId: string): string => `/boats/${boatId}/quick-drag`;
/** Where a line is put on record of which somebody said what it is, and its label (N) where they know it. */
export const quickLinePath = (boatId: string, material: Material, labelN: number | null): string =>
  `${gearPath(boatId)}?material=${encodeURIComponent(material)}${labelN === null ? '' : `&labelN=${labelN}`}`;
/** How knots are tied, one of them open. */
export const knotsPath = (boatId: string, kind?: JoinKind): string =>
  `/boats/${boatId}/knots${kind === undefined ? '' : `?knot=${kind}`}`;
/** What is to be tied on a boat before a trip. */
export const tieListPath = (boatId: string): string => `/boats/${boatId}/tie-list`;
export const rigPath = (boatId: string, rigId: string): string => `/boats/${boatId}/rigs/${rigId}`;
export const stationPath = (boatId: string, rigId: string, station: Station): string =>
  `${rigPath(boatId, rigId)}/${station}`;

/** Every rod of a boat by its counter, and the card of one rod. */
export const fleetPath = (boatId: string): string => `/boats/${boatId}/fleet`;
/** What to measure next on a boat, for so many minutes, on a page of its rods where there are more than one. */
export const measuringPath = (boatId: string, minutes?: number, page = 1): string =>
  `/boats/${boatId}/measure${minutes === undefined ? '' : `?minutes=${minutes}${page > 1 ? `&page=${page}` : ''}`}`;
export const cardPath = (boatId: string, rigId: string): string => `${rigPath(boatId, rigId)}/card`;

/** Run sheets on paper: of one load, and of all loads of a boat. */
export const sheetPath = (boatId: string, rigId: string): string => `${rigPath(boatId, rigId)}/sheet`;
export const sheetsPath = (boatId: string): string => `/boats/${boatId}/sheets`;

/** A very winding at its bench; of a plan, the station where it is taken there. */
export const windingPath = (boatId: string, rigId: string, loadId: string | null): string =>
  `${stationPath(boatId, rigId, 'load')}${loadId === null ? '' : `?winding=${loadId}`}`;

/** What was done on a rig, and the way back. */
export const historyPath = (boatId: string, rigId: string): string => `${rigPath(boatId, rigId)}/history`;

/** @property alsoCalled other words by which it is found */
export interface Place {
  readonly label: string;
  readonly path: string;
  readonly alsoCalled?: readonly string[];
}

/** What else people call the work of a station. */
const STATION_WORDS: Readonly<Record<Station, readonly string[]>> = {
  load: ['backing', 'spool', 'fill', 'wind'],
  joins: ['knots', 'splices', 'leader'],
  count: ['counter', 'calibrate', 'tape', 'colours'],
  strength: ['pull test', 'break', 'line class'],
  drag: ['scale', 'lever', 'planer', 'preset'],
  depth: ['trolling', 'lead core', 'bottom', 'sonar', 'setback', 'how deep'],
};

/** The places of one rig, for the palette and the number keys. */
export function rigPlaces(boatId: string, rigId: string): readonly Place[] {
  return [
    { label: 'The whole line', path: rigPath(boatId, rigId) },
    ...STATIONS.map(({ id, title }) => ({
      label: title,
      path: stationPath(boatId, rigId, id),
      alsoCalled: STATION_WORDS[id],
    })),
    { label: 'History, and undo', path: historyPath(boatId, rigId), alsoCalled: ['undo', 'redo', 'log'] },
    { label: 'Run sheet to print', path: sheetPath(boatId, rigId), alsoCalled: ['print', 'paper'] },
    { label: 'Card of this rod', path: cardPath(boatId, rigId), alsoCalled: ['print', 'correction table'] },
  ];
}
