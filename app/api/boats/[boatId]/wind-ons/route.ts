import { answer } from '@/app/api/answer';
import { windOnInput } from '@/usecases/joins/windOnInput';
import { makeWindOn } from '@/usecases/joins/windOns';

export const POST = answer(windOnInput, ({ boatId }: { boatId: string }, input) => makeWindOn(boatId, input));
