import { answer } from '@/app/api/answer';
import { markLine } from '@/usecases/count/counterFacts';
import { lineMarkInput } from '@/usecases/count/countInput';

export const POST = answer(lineMarkInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  markLine(boatId, rigId, input),
);
