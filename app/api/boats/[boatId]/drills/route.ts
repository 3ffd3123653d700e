import { answer } from '@/app/api/answer';
import { drillInput } from '@/usecases/joins/joinInput';
import { recordDrill } from '@/usecases/joins/joins';

export const POST = answer(drillInput, ({ boatId }: { boatId: string }, input) => recordDrill(boatId, input));
