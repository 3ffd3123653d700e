import { answer } from '@/app/api/answer';
import { dragPullInput } from '@/usecases/drag/dragInput';
import { recordDragPull } from '@/usecases/drag/setDrag';

export const POST = answer(
  dragPullInput,
  ({ boatId, rigId, settingId }: { boatId: string; rigId: string; settingId: string }, input) =>
    recordDragPull(boatId, rigId, settingId, input),
);
