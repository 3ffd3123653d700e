import { answer } from '@/app/api/answer';
import { createLine } from '@/usecases/gear/gear';
import { lineInput } from '@/usecases/gear/gearInput';

export const POST = answer(lineInput, ({ boatId }: { boatId: string }, input) => createLine(boatId, input));
