import { answer } from '@/app/api/answer';
import { createRig } from '@/usecases/gear/gear';
import { rigInput } from '@/usecases/gear/gearInput';

export const POST = answer(rigInput, ({ boatId }: { boatId: string }, input) => createRig(boatId, input));
