import 'server-only';
import type { BoatDb } from '../../db/withBoat';
import { breakOnVirtualGauge, streamVirtualGauge, streamVirtualPull, workVirtualReel } from '../bench/virtualBench';
import { createBoat } from '../boats/createBoat';
import { keepMinutes } from '../boats/keepMinutes';
import { answer } from '../corrections/answer';
import { withdraw } from '../corrections/withdraw';
import { acceptCalibration, recordTrial } from '../count/calibrate';
import { markLine, noteDisplay, noteHang, noteWorkingRange } from '../count/counterFacts';
import { playPractice } from '../count/practice';
import { recordLeverPoint, recordPlanerLook, workPreset } from '../drag/leverAndPlaner';
import { acceptSetting, dropSession, recordDragPull, startDragSetting, chooseReach, noteGuides } from '../drag/setDrag';
import { addSupplySpool, changeLine, changeReel, createLine, createReel } from '../gear/gear';
import { measureLine, measureReel } from '../gear/measureGear';
import { forgetReel, recordReverseFill } from '../gear/learning';
import { undoActs } from '../history/undoActs';
import { checkSlip, keepTiePhoto, recordJoinBreak } from '../joins/joinChecks';
import { addPerson, changeJoinKind, noteFish, noteOpening, noteOwnFigure, recordDrill, tieJoin } from '../joins/joins';
import { makeWindOn, retireWindOnOf, swapWindOn } from '../joins/windOns';
import { changeLength, loseLine, turnSegment } from '../load/changeLength';
import { noteColour } from '../load/noteColour';
import { replaceSegment } from '../load/replaceSegment';
import { saveStack } from '../load/saveStack';
import { abandonWinding, cancelWinding } from '../load/endWinding';
import { agreeLength, beginWinding, finishWinding, noteLevel, noteWinding } from '../load/winding';
import { keepPlan, putAway, remove, rename } from '../keeping/keeping';
import { noteLurePull, noteTowed, noteWaterMark } from '../tow/noteTow';
import { makeFirstRig } from '../firstReel/firstReel';
import { createRig } from '../rigs/makeRig';
import { moveRig } from '../rigs/moveRig';
import { noteRodPosition } from '../rigs/noteRodPosition';
import type { UseCaseOutcome } from '../outcome';
import {
  chooseMeantPlace,
  correctPull,
  movePull,
  planSession,
  recordStrengthPull,
  startStrengthTest,
} from '../strength/testStrength';
import type { RequestName, RequestParams } from './routes';
import type { RequestBody } from './schemas';

export type Handler<N extends RequestName> = (
  db: BoatDb,
  params: RequestParams<N>,
  input: RequestBody<N>,
) => Promise<UseCaseOutcome<unknown>>;

/** What answers each request, inside the transaction of its boat. */
export const HANDLERS = {
  createBoat: (db, _, input) => createBoat(db, input),
  setMinutes: (db, _, input) => keepMinutes(db, input.minutes),
  practise: (_db, _, input) => Promise.resolve(playPractice(input)),

  addPerson: (db, _, input) => addPerson(db, input),
  createReel: (db, _, input) => createReel(db, input),
  changeReel: (db, { reelId }, input) => changeReel(db, reelId, input.version, input.reel),
  noteDisplay: (db, { reelId }, input) => noteDisplay(db, reelId, input.display),
  forgetReel: (db, { reelId }, input) => forgetReel(db, reelId, input.reason),
  reverseFill: (db, { reelId }, input) => recordReverseFill(db, reelId, input),
  createLine: (db, _, input) => createLine(db, input),
  measureReel: (db, { reelId }, input) => measureReel(db, reelId, input),
  measureLine: (db, { lineId }, input) => measureLine(db, lineId, input),
  changeLine: (db, { lineId }, input) => changeLine(db, lineId, input.version, input.line),
  addSupply: (db, _, input) => addSupplySpool(db, input),
  makeFirstRig: (db, _, input) => makeFirstRig(db, input),
  createRig: (db, _, input) => createRig(db, input),
  withdraw: (db, _, input) => withdraw(db, input),

  rename: (db, _, input) => rename(db, input),
  putAway: (db, _, input) => putAway(db, input),
  remove: (db, _, input) => remove(db, input),
  keepPlan: (db, _, input) => keepPlan(db, input),
  noteRodPosition: (db, { rigId }, { position }) => noteRodPosition(db, rigId, position),
  moveRig: (db, { rigId }, input) => moveRig(db, rigId, input),
  undoActs: (db, { rigId }, input) => undoActs(db, rigId, input),
  saveStack: (db, { rigId }, input) => saveStack(db, rigId, input),
  beginWinding: (db, { rigId }, input) => beginWinding(db, rigId, input),
  noteWinding: (db, { rigId, loadId }, input) => noteWinding(db, rigId, loadId, input),
  noteColour: (db, { rigId, loadId }, input) => noteColour(db, rigId, loadId, input),
  noteLevel: (db, { rigId, loadId }, input) => noteLevel(db, rigId, loadId, input),
  finishWinding: (db, { rigId, loadId }, input) => finishWinding(db, rigId, loadId, input),
  agreeLength: (db, { rigId, loadId }, input) => agreeLength(db, rigId, loadId, input),
  cancelWinding: (db, { rigId, loadId }, input) => cancelWinding(db, rigId, loadId, input),
  abandonWinding: (db, { rigId, loadId }) => abandonWinding(db, rigId, loadId),
  loseLine: (db, { rigId, loadId }, input) => loseLine(db, rigId, loadId, input),
  turnSegment: (db, { rigId, loadId }, input) => turnSegment(db, rigId, loadId, input),
  changeLength: (db, { rigId, loadId }, input) => changeLength(db, rigId, loadId, input),
  replaceSegment: (db, { rigId, loadId }, input) => replaceSegment(db, rigId, loadId, input),

  tieJoin: (db, { rigId, joinId }, input) => tieJoin(db, rigId, joinId, input),
  changeJoinKind: (db, { rigId, joinId }, input) => changeJoinKind(db, rigId, joinId, input.kind, input),
  noteFish: (db, { rigId }) => noteFish(db, rigId),
  noteOpening: (db, { rigId }, input) => noteOpening(db, rigId, input.openingM),
  checkSlip: (db, { rigId, joinId }, input) => checkSlip(db, rigId, joinId, input),
  breakJoin: (db, { rigId, joinId }, input) => recordJoinBreak(db, rigId, joinId, input),
  keepTiePhoto: (db, { tieId }, input) => keepTiePhoto(db, tieId, input),
  noteOwnFigure: (db, _, input) => noteOwnFigure(db, input),
  recordDrill: (db, _, input) => recordDrill(db, input),
  makeWindOn: (db, _, input) => makeWindOn(db, input),
  retireWindOn: (db, { windOnId }) => retireWindOnOf(db, windOnId),
  swapWindOn: (db, { rigId }, input) => swapWindOn(db, rigId, input),

  recordTrial: (db, { rigId }, input) => recordTrial(db, rigId, input),
  acceptCalibration: (db, { rigId }, input) => acceptCalibration(db, rigId, input),
  noteHang: (db, { rigId }, input) => noteHang(db, rigId, input.hangM),
  noteWorkingRange: (db, { rigId }, input) => noteWorkingRange(db, rigId, input.range),
  markLine: (db, { rigId }, input) => markLine(db, rigId, input),

  planSession: (db, _, input) => planSession(db, input),
  startStrengthTest: (db, _, input) => startStrengthTest(db, input),
  recordStrengthPull: (db, { testId }, input) => recordStrengthPull(db, testId, input),
  movePull: (db, { pullId }, input) => movePull(db, pullId, input),
  correctPull: (db, { pullId }, input) => correctPull(db, pullId, input),
  answer: (db, _, input) => answer(db, input),
  chooseReach: (db, { rigId }, input) => chooseReach(db, rigId, input),
  noteGuides: (db, { rigId }, input) => noteGuides(db, rigId, input),
  chooseMeantPlace: (db, { rigId }, input) => chooseMeantPlace(db, rigId, input.placeId),

  startDragSetting: (db, { rigId }, input) => startDragSetting(db, rigId, input),
  recordDragPull: (db, { rigId, settingId }, input) => recordDragPull(db, rigId, settingId, input),
  dropSession: (db, { rigId, settingId }) => dropSession(db, rigId, settingId),
  acceptSetting: (db, { rigId, settingId }) => acceptSetting(db, rigId, settingId),
  recordLeverPoint: (db, { rigId }, input) => recordLeverPoint(db, rigId, input),
  workPreset: (db, { rigId }, input) => workPreset(db, rigId, input),
  recordPlanerLook: (db, { rigId }, input) => recordPlanerLook(db, rigId, input),

  noteLurePull: (db, { rigId }, input) => noteLurePull(db, rigId, input),
  noteTowed: (db, { rigId }, input) => noteTowed(db, rigId, input),
  noteWaterMark: (db, { rigId }, input) => noteWaterMark(db, rigId, input),

  workVirtualReel: (db, { rigId }, input) => workVirtualReel(db, rigId, input),
  streamVirtualPull: (db, { rigId }, input) => streamVirtualPull(db, rigId, input),
  breakOnVirtualGauge: (db, _, input) => breakOnVirtualGauge(db, input.productId),
  streamVirtualGauge: (db, _, input) => streamVirtualGauge(db, input),
} satisfies { readonly [N in RequestName]: Handler<N> };

/** What a request is answered when it was carried out. */
export type ReplyOf<N extends RequestName> = Extract<
  Awaited<ReturnType<(typeof HANDLERS)[N]>>,
  { readonly ok: true }
>['value'];
