import { answer } from '@/app/api/answer';
import { resetInput } from '@/usecases/gear/gearInput';
import { forgetReel } from '@/usecases/gear/learning';

export const POST = answer(resetInput, ({ boatId, reelId }: { boatId: string; reelId: string }, input) =>
  forgetReel(boatId, reelId, input.reason),
);
