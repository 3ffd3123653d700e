import { answer } from '@/app/api/answer';
import { settingInput } from '@/usecases/drag/dragInput';
import { startDragSetting } from '@/usecases/drag/setDrag';

export const POST = answer(settingInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  startDragSetting(boatId, rigId, input),
);
