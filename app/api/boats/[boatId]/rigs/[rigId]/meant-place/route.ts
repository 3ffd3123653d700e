import { answer } from '@/app/api/answer';
import { meantPlaceInput } from '@/usecases/strength/strengthInput';
import { chooseMeantPlace } from '@/usecases/strength/testStrength';

export const PUT = answer(meantPlaceInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  chooseMeantPlace(boatId, rigId, input.placeId),
);
