import { answer } from '@/app/api/answer';
import { joinKindInput } from '@/usecases/joins/joinInput';
import { changeJoinKind } from '@/usecases/joins/joins';

export const PUT = answer(
  joinKindInput,
  ({ boatId, rigId, joinId }: { boatId: string; rigId: string; joinId: string }, input) =>
    changeJoinKind(boatId, rigId, joinId, input.kind),
);
