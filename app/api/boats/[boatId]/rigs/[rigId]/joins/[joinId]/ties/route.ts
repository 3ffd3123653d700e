import { answer } from '@/app/api/answer';
import { tieInput } from '@/usecases/joins/joinInput';
import { tieJoin } from '@/usecases/joins/joins';

export const POST = answer(
  tieInput,
  ({ boatId, rigId, joinId }: { boatId: string; rigId: string; joinId: string }, input) =>
    tieJoin(boatId, rigId, joinId, input),
);
