import { z } from 'zod';
import { benchInput, breakInput, dragPullBenchInput, streamInput } from '../bench/benchInput';
import { boatInput, minutesInput } from '../boats/boatInput';
import { answerInput, withdrawInput } from '../corrections/withdrawInput';
import {
  acceptInput,
  displayInput,
  hangInput,
  lineMarkInput,
  trialInput,
  workingRangeInput,
} from '../count/countInput';
import { practiceInput } from '../count/practiceInput';
import {
  dragPullInput,
  leverPointInput,
  planerLookInput,
  presetActInput,
  settingInput,
  reachInput,
  guidesInput,
} from '../drag/dragInput';
import {
  lineInput,
  resetInput,
  reelInput,
  reverseFillInput,
  supplyInput,
  versionField,
  measuredLineInput,
  measuredReelInput,
} from '../gear/gearInput';
import {
  drillInput,
  joinKindInput,
  openingInput,
  ownFigureInput,
  joinPullInput,
  personInput,
  photoInput,
  slipInput,
  tieInput,
} from '../joins/joinInput';
import { undoInput } from '../history/historyInput';
import { retireInput, swapInput, windOnInput } from '../joins/windOnInput';
import {
  agreeInput,
  beginInput,
  cancelInput,
  colourInput,
  finishInput,
  levelInput,
  lineChangeInput,
  lossInput,
  replacementInput,
  turnInput,
  windingInput,
} from '../load/loadInput';
import { archiveInput, keepPlanInput, removeInput, renameInput } from '../keeping/keepingInput';
import { lurePullInput, towedInput, waterMarkInput } from '../tow/towInput';
import { firstReelInput } from '../firstReel/firstReelInput';
import { moveRigInput, rigInput, rodPositionInput } from '../rigs/rigInput';
import { stackInput } from '../load/stackInput';
import {
  correctPullInput,
  meantPlaceInput,
  moveInput,
  pullInput,
  sessionInput,
  testInput,
} from '../strength/strengthInput';

import type { RequestName } from './routes';

const nothing = z.strictObject({});

/** What each request may carry: one schema serves the form, the request and its handler. */
export const SCHEMAS = {
  createBoat: boatInput,
  setMinutes: minutesInput,
  practise: practiceInput,
  addPerson: personInput,
  createReel: reelInput,
  changeReel: z.strictObject({ ...versionField, reel: reelInput }),
  noteDisplay: displayInput,
  forgetReel: resetInput,
  reverseFill: reverseFillInput,
  createLine: lineInput,
  measureReel: measuredReelInput,
  measureLine: measuredLineInput,
  changeLine: z.strictObject({ ...versionField, line: lineInput }),
  addSupply: supplyInput,
  makeFirstRig: firstReelInput,
  createRig: rigInput,
  withdraw: withdrawInput,
  rename: renameInput,
  putAway: archiveInput,
  remove: removeInput,
  keepPlan: keepPlanInput,
  noteRodPosition: rodPositionInput,
  moveRig: moveRigInput,
  undoActs: undoInput,
  saveStack: stackInput,
  beginWinding: beginInput,
  noteWinding: windingInput,
  noteColour: colourInput,
  noteLevel: levelInput,
  finishWinding: finishInput,
  agreeLength: agreeInput,
  cancelWinding: cancelInput,
  abandonWinding: nothing,
  loseLine: lossInput,
  turnSegment: turnInput,
  changeLength: lineChangeInput,
  replaceSegment: replacementInput,
  tieJoin: tieInput,
  noteFish: nothing,
  noteOpening: openingInput,
  changeJoinKind: joinKindInput,
  checkSlip: slipInput,
  breakJoin: joinPullInput,
  keepTiePhoto: photoInput,
  noteOwnFigure: ownFigureInput,
  recordDrill: drillInput,
  makeWindOn: windOnInput,
  retireWindOn: retireInput,
  swapWindOn: swapInput,
  recordTrial: trialInput,
  acceptCalibration: acceptInput,
  noteHang: hangInput,
  noteWorkingRange: workingRangeInput,
  markLine: lineMarkInput,
  planSession: sessionInput,
  startStrengthTest: testInput,
  recordStrengthPull: pullInput,
  movePull: moveInput,
  correctPull: correctPullInput,
  answer: answerInput,
  chooseReach: reachInput,
  noteGuides: guidesInput,
  chooseMeantPlace: meantPlaceInput,
  startDragSetting: settingInput,
  recordDragPull: dragPullInput,
  dropSession: nothing,
  acceptSetting: nothing,
  recordLeverPoint: leverPointInput,
  workPreset: presetActInput,
  recordPlanerLook: planerLookInput,
  noteLurePull: lurePullInput,
  noteTowed: towedInput,
  noteWaterMark: waterMarkInput,
  workVirtualReel: benchInput,
  streamVirtualPull: dragPullBenchInput,
  breakOnVirtualGauge: breakInput,
  streamVirtualGauge: streamInput,
} as const satisfies { readonly [N in RequestName]: z.ZodType };

/** As a form may have it: a number that is not typed yet is null, and the server says which one is missing. */
type Drafted<T> = T extends number
  ? number | null
  : T extends readonly (infer E)[]
    ? readonly Drafted<E>[]
    : T extends object
      ? { readonly [K in keyof T]: Drafted<T[K]> }
      : T;

/** What a sender gives, and what the schema makes of it for the handler. */
export type RequestInput<N extends RequestName> = Drafted<z.input<(typeof SCHEMAS)[N]>>;
export type RequestBody<N extends RequestName> = z.output<(typeof SCHEMAS)[N]>;
