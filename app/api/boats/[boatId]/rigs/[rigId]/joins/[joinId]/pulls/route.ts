import { answer } from '@/app/api/answer';
import { recordJoinBreak } from '@/usecases/joins/joinChecks';
import { joinPullInput } from '@/usecases/joins/joinInput';

export const POST = answer(
  joinPullInput,
  ({ boatId, rigId, joinId }: { boatId: string; rigId: string; joinId: string }, input) =>
    recordJoinBreak(boatId, rigId, joinId, input),
);
