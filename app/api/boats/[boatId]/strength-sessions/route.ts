import { answer } from '@/app/api/answer';
import { sessionInput } from '@/usecases/strength/strengthInput';
import { planSession } from '@/usecases/strength/testStrength';

export const POST = answer(sessionInput, ({ boatId }: { boatId: string }, input) => planSession(boatId, input));
