import { towProfile as profileOf } from '../../core/tow/towProfile';
import { defineKind } from '../kind';
import { towIssues, towOf, towRequest } from '../towRequest';

/** A boat with its line out, in; where the lure swims and the line to it, out. */
export const towProfile = defineKind({
  name: 'tow-profile',
  summary: 'Where the lure swims behind a boat at a steady speed: depth, setback, and the line up to the tip.',
  schema: towRequest.superRefine((request, context) => towIssues(request, request.segments, context)),
  example: {
    speedMS: 1.1,
    waterDensity: 1025,
    tipHeightM: 1.2,
    lure: { dragN: 1.8, downN: 0.2 },
    segments: [
      { lengthM: 8, diameterM: 0.0004, submergedWeightNPerM: 0.00015 },
      { lengthM: 36, diameterM: 0.0008, submergedWeightNPerM: 0.012 },
      { lengthM: 40, diameterM: 0.0003, submergedWeightNPerM: -0.00004 },
    ],
    law: 'reynolds',
  },
  compute: (request) => ({ ok: true, value: profileOf(towOf(request)) }),
});
