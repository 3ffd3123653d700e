import { z } from 'zod';
import { answer } from '@/app/api/answer';
import { acceptSetting } from '@/usecases/drag/setDrag';

export const POST = answer(
  z.strictObject({}),
  ({ boatId, rigId, settingId }: { boatId: string; rigId: string; settingId: string }) =>
    acceptSetting(boatId, rigId, settingId),
);
