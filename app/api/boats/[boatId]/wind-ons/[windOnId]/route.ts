import { answer } from '@/app/api/answer';
import { retireInput } from '@/usecases/joins/windOnInput';
import { retireWindOnOf } from '@/usecases/joins/windOns';

export const PUT = answer(retireInput, ({ boatId, windOnId }: { boatId: string; windOnId: string }) =>
  retireWindOnOf(boatId, windOnId),
);
