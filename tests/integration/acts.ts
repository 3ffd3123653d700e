import { NO_BOAT, NOBODY, withBoat, type BoatDb } from '../../db/withBoat';
import type { RigRecord } from '../../core/record/record';
import { insertBoat } from '../../db/queries/boats';
import { findTiePhoto } from '../../db/queries/joinChecks';
import * as corrections from '../../usecases/corrections/withdraw';
import * as calibrate from '../../usecases/count/calibrate';
import * as counterFacts from '../../usecases/count/counterFacts';
import * as firstReel from '../../usecases/firstReel/firstReel';
import * as tow from '../../usecases/tow/noteTow';
import * as lever from '../../usecases/drag/leverAndPlaner';
import * as drag from '../../usecases/drag/setDrag';
import { createRig as createRigOn } from '../../usecases/rigs/makeRig';
import * as gear from '../../usecases/gear/gear';
import * as knowledge from '../../usecases/gear/learning';
import * as joinChecks from '../../usecases/joins/joinChecks';
import * as joins from '../../usecases/joins/joins';
import * as tieLists from '../../usecases/joins/tieLists';
import * as windOns from '../../usecases/joins/windOns';
import * as lengths from '../../usecases/load/changeLength';
import * as colours from '../../usecases/load/noteColour';
import * as replacing from '../../usecases/load/replaceSegment';
import * as stacks from '../../usecases/load/saveStack';
import * as ending from '../../usecases/load/endWinding';
import * as winding from '../../usecases/load/winding';
import { readLearned } from '../../usecases/rigs/learning';
import { readRig } from '../../usecases/rigs/readRigs';
import * as strength from '../../usecases/strength/testStrength';

/** A use case as an act of its own: one transaction of the boat that it is given. */
function act<A extends unknown[], R>(useCase: (db: BoatDb, ...input: A) => Promise<R>) {
  return (boatId: string, ...input: A): Promise<R> => withBoat(NOBODY, boatId, 'write', (db) => useCase(db, ...input));
}

/** A reading as a page reads: one snapshot, with what loads teach worked out first. */
export function look<A extends unknown[], R>(read: (db: BoatDb, ...input: A) => Promise<R>) {
  return (boatId: string, ...input: A): Promise<R> => readLearned(NOBODY, boatId, (db) => read(db, ...input));
}

export const makeBoat = (name: string, homeWater: string): Promise<string> =>
  withBoat(NOBODY, NO_BOAT, 'write', (db) => insertBoat(db, name, homeWater));
export const readRigRecord: (boatId: string, rigId: string) => Promise<RigRecord | null> = look(readRig);
export const readGear = look(gear.readGear);
export const readJoinsBench = look(joins.readJoinsBench);
export const readTieLists = look(tieLists.readTieLists);
export const readWindOns = look(windOns.readWindOns);
export const readTiePhoto = look((db, tieId: string) => findTiePhoto(db, db.boatId, tieId));

export const withdraw = act(corrections.withdraw);
export const acceptCalibration = act(calibrate.acceptCalibration);
export const recordTrial = act(calibrate.recordTrial);
export const markLine = act(counterFacts.markLine);
export const noteDisplay = act(counterFacts.noteDisplay);
export const noteHang = act(counterFacts.noteHang);
export const recordLeverPoint = act(lever.recordLeverPoint);
export const recordPlanerLook = act(lever.recordPlanerLook);
export const workPreset = act(lever.workPreset);
export const makeFirstRig = act(firstReel.makeFirstRig);
export const noteTowed = act(tow.noteTowed);
export const noteLurePull = act(tow.noteLurePull);
export const noteWaterMark = act(tow.noteWaterMark);
export const acceptSetting = act(drag.acceptSetting);
export const recordDragPull = act(drag.recordDragPull);
export const startDragSetting = act(drag.startDragSetting);
export const addSupplySpool = act(gear.addSupplySpool);
export const changeLine = act(gear.changeLine);
export const changeReel = act(gear.changeReel);
export const createLine = act(gear.createLine);
export const createReel = act(gear.createReel);
export const createRig = act(createRigOn);
export const forgetReel = act(knowledge.forgetReel);
export const recordReverseFill = act(knowledge.recordReverseFill);
export const checkSlip = act(joinChecks.checkSlip);
export const keepTiePhoto = act(joinChecks.keepTiePhoto);
export const recordJoinBreak = act(joinChecks.recordJoinBreak);
export const addPerson = act(joins.addPerson);
export const changeJoinKind = act(joins.changeJoinKind);
export const noteOwnFigure = act(joins.noteOwnFigure);
export const recordDrill = act(joins.recordDrill);
export const tieJoin = act(joins.tieJoin);
export const makeWindOn = act(windOns.makeWindOn);
export const retireWindOnOf = act(windOns.retireWindOnOf);
export const swapWindOn = act(windOns.swapWindOn);
export const changeLength = act(lengths.changeLength);
export const noteColour = act(colours.noteColour);
export const replaceSegment = act(replacing.replaceSegment);
export const saveStack = act(stacks.saveStack);
export const abandonWinding = act(ending.abandonWinding);
export const beginWinding = act(winding.beginWinding);
export const finishWinding = act(winding.finishWinding);
export const noteLevel = act(winding.noteLevel);
export const noteWinding = act(winding.noteWinding);
export const chooseMeantPlace = act(strength.chooseMeantPlace);
export const movePull = act(strength.movePull);
export const planSession = act(strength.planSession);
export const recordStrengthPull = act(strength.recordStrengthPull);
export const startStrengthTest = act(strength.startStrengthTest);
