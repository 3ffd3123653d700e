import { z } from 'zod';
import { benchInput, breakInput, dragPullBenchInput, streamInput } from '../bench/benchInput';
import { boatInput } from '../boats/boatInput';
import { withdrawInput } from '../corrections/withdrawInput';
import { acceptInput, displayInput, hangInput, lineMarkInput, trialInput } from '../count/countInput';
import { practiceInput } from '../count/practiceInput';
import { dragPullInput, leverPointInput, planerLookInput, presetActInput, settingInput } from '../drag/dragInput';
import {
  lineInput,
  resetInput,
  reelInput,
  reverseFillInput,
  rigInput,
  supplyInput,
  versionField,
} from '../gear/gearInput';
import {
  drillInput,
  joinKindInput,
  joinPullInput,
  personInput,
  photoInput,
  slipInput,
  tieInput,
} from '../joins/joinInput';
import { retireInput, swapInput, windOnInput } from '../joins/windOnInput';
import {
  beginInput,
  colourInput,
  finishInput,
  levelInput,
  lineChangeInput,
  replacementInput,
  windingInput,
} from '../load/loadInput';
import { stackInput } from '../load/stackInput';
import { meantPlaceInput, moveInput, pullInput, sessionInput, testInput } from '../strength/strengthInput';

/**
 * Who may ask: 'anyone' on this machine, for what belongs to no boat yet; 'crew' of the boat that the path names. There
 * is no sign-in yet, so that everyone on this machine is of every crew.
 */
export type Role = 'anyone' | 'crew';

export interface RequestKind {
  readonly method: 'POST' | 'PUT';
  /** Parameters stand behind a colon, as in '/api/boats/:boatId'. */
  readonly path: string;
  readonly role: Role;
  readonly schema: z.ZodType;
}

const nothing = z.strictObject({});
const BOAT = '/api/boats/:boatId';
const RIG = `${BOAT}/rigs/:rigId` as const;
const LOAD = `${RIG}/loads/:loadId` as const;

/** Every request that writes or works something, with its schema and the role that it asks. */
export const REQUESTS = {
  createBoat: { method: 'POST', path: '/api/boats', role: 'anyone', schema: boatInput },
  practise: { method: 'POST', path: '/api/practice', role: 'anyone', schema: practiceInput },

  addPerson: { method: 'POST', path: `${BOAT}/people`, role: 'crew', schema: personInput },
  createReel: { method: 'POST', path: `${BOAT}/reels`, role: 'crew', schema: reelInput },
  changeReel: {
    method: 'PUT',
    path: `${BOAT}/reels/:reelId`,
    role: 'crew',
    schema: z.strictObject({ ...versionField, reel: reelInput }),
  },
  noteDisplay: { method: 'PUT', path: `${BOAT}/reels/:reelId/display`, role: 'crew', schema: displayInput },
  forgetReel: { method: 'POST', path: `${BOAT}/reels/:reelId/forget`, role: 'crew', schema: resetInput },
  reverseFill: { method: 'POST', path: `${BOAT}/reels/:reelId/reverse-fills`, role: 'crew', schema: reverseFillInput },
  createLine: { method: 'POST', path: `${BOAT}/lines`, role: 'crew', schema: lineInput },
  changeLine: {
    method: 'PUT',
    path: `${BOAT}/lines/:lineId`,
    role: 'crew',
    schema: z.strictObject({ ...versionField, line: lineInput }),
  },
  addSupply: { method: 'POST', path: `${BOAT}/supplies`, role: 'crew', schema: supplyInput },
  createRig: { method: 'POST', path: `${BOAT}/rigs`, role: 'crew', schema: rigInput },
  withdraw: { method: 'POST', path: `${BOAT}/withdrawals`, role: 'crew', schema: withdrawInput },

  saveStack: { method: 'PUT', path: `${RIG}/stack`, role: 'crew', schema: stackInput },
  beginWinding: { method: 'POST', path: `${RIG}/loads`, role: 'crew', schema: beginInput },
  noteWinding: { method: 'POST', path: `${LOAD}/winding`, role: 'crew', schema: windingInput },
  noteColour: { method: 'POST', path: `${LOAD}/colours`, role: 'crew', schema: colourInput },
  noteLevel: { method: 'POST', path: `${LOAD}/levels`, role: 'crew', schema: levelInput },
  finishWinding: { method: 'POST', path: `${LOAD}/finish`, role: 'crew', schema: finishInput },
  abandonWinding: { method: 'POST', path: `${LOAD}/abandon`, role: 'crew', schema: nothing },
  changeLength: { method: 'POST', path: `${LOAD}/changes`, role: 'crew', schema: lineChangeInput },
  replaceSegment: { method: 'POST', path: `${LOAD}/replacements`, role: 'crew', schema: replacementInput },

  tieJoin: { method: 'POST', path: `${RIG}/joins/:joinId/ties`, role: 'crew', schema: tieInput },
  changeJoinKind: { method: 'PUT', path: `${RIG}/joins/:joinId`, role: 'crew', schema: joinKindInput },
  checkSlip: { method: 'POST', path: `${RIG}/joins/:joinId/slip-checks`, role: 'crew', schema: slipInput },
  breakJoin: { method: 'POST', path: `${RIG}/joins/:joinId/pulls`, role: 'crew', schema: joinPullInput },
  keepTiePhoto: { method: 'POST', path: `${BOAT}/ties/:tieId/photo`, role: 'crew', schema: photoInput },
  recordDrill: { method: 'POST', path: `${BOAT}/drills`, role: 'crew', schema: drillInput },
  makeWindOn: { method: 'POST', path: `${BOAT}/wind-ons`, role: 'crew', schema: windOnInput },
  retireWindOn: { method: 'PUT', path: `${BOAT}/wind-ons/:windOnId`, role: 'crew', schema: retireInput },
  swapWindOn: { method: 'POST', path: `${RIG}/wind-ons`, role: 'crew', schema: swapInput },

  recordTrial: { method: 'POST', path: `${RIG}/trials`, role: 'crew', schema: trialInput },
  acceptCalibration: { method: 'POST', path: `${RIG}/calibrations`, role: 'crew', schema: acceptInput },
  noteHang: { method: 'PUT', path: `${RIG}/hang`, role: 'crew', schema: hangInput },
  markLine: { method: 'POST', path: `${RIG}/line-marks`, role: 'crew', schema: lineMarkInput },

  planSession: { method: 'POST', path: `${BOAT}/strength-sessions`, role: 'crew', schema: sessionInput },
  startStrengthTest: { method: 'POST', path: `${BOAT}/strength-tests`, role: 'crew', schema: testInput },
  recordStrengthPull: { method: 'POST', path: `${BOAT}/strength-tests/:testId/pulls`, role: 'crew', schema: pullInput },
  movePull: { method: 'POST', path: `${BOAT}/strength-tests/:testId/moved-pulls`, role: 'crew', schema: moveInput },
  chooseMeantPlace: { method: 'PUT', path: `${RIG}/meant-place`, role: 'crew', schema: meantPlaceInput },

  startDragSetting: { method: 'POST', path: `${RIG}/drag-settings`, role: 'crew', schema: settingInput },
  recordDragPull: {
    method: 'POST',
    path: `${RIG}/drag-settings/:settingId/pulls`,
    role: 'crew',
    schema: dragPullInput,
  },
  acceptSetting: { method: 'POST', path: `${RIG}/drag-settings/:settingId/accept`, role: 'crew', schema: nothing },
  recordLeverPoint: { method: 'POST', path: `${RIG}/lever-points`, role: 'crew', schema: leverPointInput },
  workPreset: { method: 'POST', path: `${RIG}/preset-acts`, role: 'crew', schema: presetActInput },
  recordPlanerLook: { method: 'POST', path: `${RIG}/planer-looks`, role: 'crew', schema: planerLookInput },

  workVirtualReel: { method: 'POST', path: `${RIG}/virtual-reel`, role: 'crew', schema: benchInput },
  streamVirtualPull: { method: 'POST', path: `${RIG}/virtual-reel/stream`, role: 'crew', schema: dragPullBenchInput },
  breakOnVirtualGauge: { method: 'POST', path: `${BOAT}/virtual-gauge`, role: 'crew', schema: breakInput },
  streamVirtualGauge: { method: 'POST', path: `${BOAT}/virtual-gauge/stream`, role: 'crew', schema: streamInput },
} as const satisfies Record<string, RequestKind>;

export type RequestName = keyof typeof REQUESTS;

/** The parameters of a path, by their names. */
export type ParamsOf<P extends string> = P extends `${string}:${infer Rest}`
  ? Rest extends `${infer Name}/${infer Further}`
    ? { readonly [K in Name]: string } & ParamsOf<`/${Further}`>
    : { readonly [K in Rest]: string }
  : unknown;

export type RequestParams<N extends RequestName> = ParamsOf<(typeof REQUESTS)[N]['path']>;
export type RequestBody<N extends RequestName> = z.output<(typeof REQUESTS)[N]['schema']>;
