import { answer } from '@/app/api/answer';
import { createReel } from '@/usecases/gear/gear';
import { reelInput } from '@/usecases/gear/gearInput';

export const POST = answer(reelInput, ({ boatId }: { boatId: string }, input) => createReel(boatId, input));
