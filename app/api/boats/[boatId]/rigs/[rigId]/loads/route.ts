import { answer } from '@/app/api/answer';
import { beginInput } from '@/usecases/load/loadInput';
import { beginWinding } from '@/usecases/load/winding';

export const POST = answer(beginInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  beginWinding(boatId, rigId, input),
);
