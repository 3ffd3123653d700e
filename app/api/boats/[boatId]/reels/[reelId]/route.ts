import { z } from 'zod';
import { answer } from '@/app/api/answer';
import { changeReel } from '@/usecases/gear/gear';
import { reelInput, versionField } from '@/usecases/gear/gearInput';

const schema = z.strictObject({ ...versionField, reel: reelInput });

export const PUT = answer(schema, ({ boatId, reelId }: { boatId: string; reelId: string }, input) =>
  changeReel(boatId, reelId, input.version, input.reel),
);
