import { z } from 'zod';
import { answer } from '@/app/api/answer';
import { changeLine } from '@/usecases/gear/gear';
import { lineInput, versionField } from '@/usecases/gear/gearInput';

const schema = z.strictObject({ ...versionField, line: lineInput });

export const PUT = answer(schema, ({ boatId, lineId }: { boatId: string; lineId: string }, input) =>
  changeLine(boatId, lineId, input.version, input.line),
);
