import { z } from 'zod';
import { answer } from '@/app/api/answer';
import { abandonWinding } from '@/usecases/load/winding';

export const POST = answer(
  z.strictObject({}),
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }) =>
    abandonWinding(boatId, rigId, loadId),
);
