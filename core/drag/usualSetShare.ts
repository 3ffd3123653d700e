import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS } from '../numerics/propagate';

/** The usual ± (95 %) of a drag set by three pulls with a scale, as a share of it. From memory. */
export const USUAL_SET_SHARE = PLUS_MINUS_SDS * ERRORS.dragSetShare.sd;
