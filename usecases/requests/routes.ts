/**
 * Who may ask: 'anyone' on this machine, for what belongs to no boat yet; 'crew' of the boat that the path names. There
 * is no sign-in yet, so that everyone on this machine is of every crew.
 */
export type Role = 'anyone' | 'crew';

export interface RequestRoute {
  readonly method: 'POST' | 'PUT';
  /** Parameters stand behind a colon, as in '/api/boats/:boatId'. */
  readonly path: string;
  readonly role: Role;
}

const BOAT = '/api/boats/:boatId';
const RIG = `${BOAT}/rigs/:rigId` as const;
const LOAD = `${RIG}/loads/:loadId` as const;

/** The route of every request that writes or works something, and by whom. Its schema and its handler stand beside it. */
export const ROUTES = {
  setMinutes: { method: 'PUT', path: `${BOAT}/measuring-minutes`, role: 'crew' },
  createBoat: { method: 'POST', path: '/api/boats', role: 'anyone' },
  practise: { method: 'POST', path: '/api/practice', role: 'anyone' },
  addPerson: { method: 'POST', path: `${BOAT}/people`, role: 'crew' },
  createReel: { method: 'POST', path: `${BOAT}/reels`, role: 'crew' },
  changeReel: { method: 'PUT', path: `${BOAT}/reels/:reelId`, role: 'crew' },
  noteDisplay: { method: 'PUT', path: `${BOAT}/reels/:reelId/display`, role: 'crew' },
  forgetReel: { method: 'POST', path: `${BOAT}/reels/:reelId/forget`, role: 'crew' },
  reverseFill: { method: 'POST', path: `${BOAT}/reels/:reelId/reverse-fills`, role: 'crew' },
  createLine: { method: 'POST', path: `${BOAT}/lines`, role: 'crew' },
  measureReel: { method: 'PUT', path: `${BOAT}/reels/:reelId/measured`, role: 'crew' },
  measureLine: { method: 'PUT', path: `${BOAT}/lines/:lineId/measured`, role: 'crew' },
  changeLine: { method: 'PUT', path: `${BOAT}/lines/:lineId`, role: 'crew' },
  addSupply: { method: 'POST', path: `${BOAT}/supplies`, role: 'crew' },
  makeFirstRig: { method: 'POST', path: `${BOAT}/first-reel`, role: 'crew' },
  createRig: { method: 'POST', path: `${BOAT}/rigs`, role: 'crew' },
  withdraw: { method: 'POST', path: `${BOAT}/withdrawals`, role: 'crew' },
  rename: { method: 'PUT', path: `${BOAT}/names`, role: 'crew' },
  putAway: { method: 'POST', path: `${BOAT}/put-away`, role: 'crew' },
  remove: { method: 'POST', path: `${BOAT}/removals`, role: 'crew' },
  keepPlan: { method: 'POST', path: `${BOAT}/kept-plans`, role: 'crew' },
  noteRodPosition: { method: 'PUT', path: `${RIG}/rod-position`, role: 'crew' },
  moveRig: { method: 'POST', path: `${RIG}/moves`, role: 'crew' },
  undoActs: { method: 'POST', path: `${RIG}/undo`, role: 'crew' },
  saveStack: { method: 'PUT', path: `${RIG}/stack`, role: 'crew' },
  beginWinding: { method: 'POST', path: `${RIG}/loads`, role: 'crew' },
  noteWinding: { method: 'POST', path: `${LOAD}/winding`, role: 'crew' },
  noteColour: { method: 'POST', path: `${LOAD}/colours`, role: 'crew' },
  noteLevel: { method: 'POST', path: `${LOAD}/levels`, role: 'crew' },
  finishWinding: { method: 'POST', path: `${LOAD}/finish`, role: 'crew' },
  agreeLength: { method: 'POST', path: `${LOAD}/lengths`, role: 'crew' },
  cancelWinding: { method: 'POST', path: `${LOAD}/cancel`, role: 'crew' },
  abandonWinding: { method: 'POST', path: `${LOAD}/abandon`, role: 'crew' },
  loseLine: { method: 'POST', path: `${LOAD}/losses`, role: 'crew' },
  turnSegment: { method: 'POST', path: `${LOAD}/turns`, role: 'crew' },
  changeLength: { method: 'POST', path: `${LOAD}/changes`, role: 'crew' },
  replaceSegment: { method: 'POST', path: `${LOAD}/replacements`, role: 'crew' },
  tieJoin: { method: 'POST', path: `${RIG}/joins/:joinId/ties`, role: 'crew' },
  noteFish: { method: 'POST', path: `${RIG}/fish`, role: 'crew' },
  noteOpening: { method: 'PUT', path: `${RIG}/opening`, role: 'crew' },
  changeJoinKind: { method: 'PUT', path: `${RIG}/joins/:joinId`, role: 'crew' },
  checkSlip: { method: 'POST', path: `${RIG}/joins/:joinId/slip-checks`, role: 'crew' },
  breakJoin: { method: 'POST', path: `${RIG}/joins/:joinId/pulls`, role: 'crew' },
  keepTiePhoto: { method: 'POST', path: `${BOAT}/ties/:tieId/photo`, role: 'crew' },
  noteOwnFigure: { method: 'POST', path: `${BOAT}/own-figures`, role: 'crew' },
  recordDrill: { method: 'POST', path: `${BOAT}/drills`, role: 'crew' },
  makeWindOn: { method: 'POST', path: `${BOAT}/wind-ons`, role: 'crew' },
  retireWindOn: { method: 'PUT', path: `${BOAT}/wind-ons/:windOnId`, role: 'crew' },
  swapWindOn: { method: 'POST', path: `${RIG}/wind-ons`, role: 'crew' },
  recordTrial: { method: 'POST', path: `${RIG}/trials`, role: 'crew' },
  acceptCalibration: { method: 'POST', path: `${RIG}/calibrations`, role: 'crew' },
  noteWorkingRange: { method: 'PUT', path: `${RIG}/working-range`, role: 'crew' },
  noteHang: { method: 'PUT', path: `${RIG}/hang`, role: 'crew' },
  markLine: { method: 'POST', path: `${RIG}/line-marks`, role: 'crew' },
  planSession: { method: 'POST', path: `${BOAT}/strength-sessions`, role: 'crew' },
  startStrengthTest: { method: 'POST', path: `${BOAT}/strength-tests`, role: 'crew' },
  recordStrengthPull: { method: 'POST', path: `${BOAT}/strength-tests/:testId/pulls`, role: 'crew' },
  movePull: { method: 'POST', path: `${BOAT}/strength-pulls/:pullId/moves`, role: 'crew' },
  correctPull: { method: 'POST', path: `${BOAT}/strength-pulls/:pullId/corrections`, role: 'crew' },
  answer: { method: 'POST', path: `${BOAT}/answers`, role: 'crew' },
  chooseReach: { method: 'PUT', path: `${RIG}/reach`, role: 'crew' },
  noteGuides: { method: 'PUT', path: `${RIG}/guides`, role: 'crew' },
  chooseMeantPlace: { method: 'PUT', path: `${RIG}/meant-place`, role: 'crew' },
  startDragSetting: { method: 'POST', path: `${RIG}/drag-settings`, role: 'crew' },
  recordDragPull: { method: 'POST', path: `${RIG}/drag-settings/:settingId/pulls`, role: 'crew' },
  dropSession: { method: 'POST', path: `${RIG}/drag-settings/:settingId/drop`, role: 'crew' },
  acceptSetting: { method: 'POST', path: `${RIG}/drag-settings/:settingId/accept`, role: 'crew' },
  recordLeverPoint: { method: 'POST', path: `${RIG}/lever-points`, role: 'crew' },
  workPreset: { method: 'POST', path: `${RIG}/preset-acts`, role: 'crew' },
  recordPlanerLook: { method: 'POST', path: `${RIG}/planer-looks`, role: 'crew' },
  noteLurePull: { method: 'PUT', path: `${RIG}/lure-pull`, role: 'crew' },
  noteTowed: { method: 'PUT', path: `${RIG}/towed`, role: 'crew' },
  noteWaterMark: { method: 'POST', path: `${RIG}/water-marks`, role: 'crew' },
  workVirtualReel: { method: 'POST', path: `${RIG}/virtual-reel`, role: 'crew' },
  streamVirtualPull: { method: 'POST', path: `${RIG}/virtual-reel/stream`, role: 'crew' },
  breakOnVirtualGauge: { method: 'POST', path: `${BOAT}/virtual-gauge`, role: 'crew' },
  streamVirtualGauge: { method: 'POST', path: `${BOAT}/virtual-gauge/stream`, role: 'crew' },
} as const satisfies Record<string, RequestRoute>;

export type RequestName = keyof typeof ROUTES;

/** The parameters of a path, by their names. */
type ParamsOf<P extends string> = P extends `${string}:${infer Rest}`
  ? Rest extends `${infer Name}/${infer Further}`
    ? { readonly [K in Name]: string } & ParamsOf<`/${Further}`>
    : { readonly [K in Rest]: string }
  : unknown;

export type RequestParams<N extends RequestName> = ParamsOf<(typeof ROUTES)[N]['path']>;

/** The address of a request: its path with its parameters. */
export function addressOf<N extends RequestName>(name: N, params: RequestParams<N>): string {
  return ROUTES[name].path.replaceAll(/:(\w+)/g, (_, key: string) => {
    const value = (params as Readonly<Record<string, string>>)[key];
    if (!value) throw new Error(`addressOf: ${name} asks for ${key}`);
    return encodeURIComponent(value);
  });
}
