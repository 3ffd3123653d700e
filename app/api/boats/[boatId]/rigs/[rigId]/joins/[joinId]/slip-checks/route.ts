import { answer } from '@/app/api/answer';
import { checkSlip } from '@/usecases/joins/joinChecks';
import { slipInput } from '@/usecases/joins/joinInput';

export const POST = answer(
  slipInput,
  ({ boatId, rigId, joinId }: { boatId: string; rigId: string; joinId: string }, input) =>
    checkSlip(boatId, rigId, joinId, input),
);
