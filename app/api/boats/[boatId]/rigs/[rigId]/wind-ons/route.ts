import { answer } from '@/app/api/answer';
import { swapInput } from '@/usecases/joins/windOnInput';
import { swapWindOn } from '@/usecases/joins/windOns';

export const POST = answer(swapInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  swapWindOn(boatId, rigId, input),
);
