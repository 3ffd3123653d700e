import type { JoinKind } from './joinKinds';
import type { LinesToJoin } from './joinedLine';
import { ARBOR_SCHOOLS } from './schools/arbor';
import { KNOT_SCHOOLS } from './schools/knots';
import { LOOP_SCHOOLS } from './schools/loops';
import { PLAIT_SCHOOLS } from './schools/plait';
import type { School } from './schools/school';

export type { CautionName, GuideStep, PrepFigureName, School, SchoolId, StepText } from './schools/school';

/** Schools of each join. Numbers are common practice unless a step says otherwise; none claims to be the only way. */
export const SCHOOLS: readonly School[] = [...ARBOR_SCHOOLS, ...KNOT_SCHOOLS, ...PLAIT_SCHOOLS, ...LOOP_SCHOOLS];

/** The schools of one join, the first being the default. */
export function schoolsOf(join: JoinKind): readonly School[] {
  return SCHOOLS.filter((school) => school.join === join);
}

/** The schools of a join for the lines that meet there: lead core is bared first, and its sheath's end is seen to. */
export function schoolsFor(join: JoinKind, { inner, outer }: LinesToJoin): readonly School[] {
  const isSheath = [inner, outer].some((line) => line?.material === 'lead core');
  return schoolsOf(join).filter(({ sheath }) => sheath === undefined || sheath === isSheath);
}

/** A school by its id, or null. */
export function schoolById(id: string): School | null {
  return SCHOOLS.find((school) => school.id === id) ?? null;
}
