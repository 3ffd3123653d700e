import { answer } from '@/app/api/answer';
import { testInput } from '@/usecases/strength/strengthInput';
import { startStrengthTest } from '@/usecases/strength/testStrength';

export const POST = answer(testInput, ({ boatId }: { boatId: string }, input) => startStrengthTest(boatId, input));
