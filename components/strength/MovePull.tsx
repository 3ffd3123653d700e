'use client';

import { likelyLines } from '@/core/rig/strength/likelyLines';
import type { PullRecord, StrengthTestRecord } from '@/core/record/record';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededQuantity, neededWords, pick } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { BREAK_PLACES } from './breakPlaces';

/** Pulls of a test to choose from: those that are asked about first, then the newest. */
function pullsOf(test: StrengthTestRecord): readonly PullRecord[] {
  return [...test.openPulls, ...test.pulls.toReversed()];
}

/** The wrong spool was in the grips: a pull goes to the line that it belongs to, and the change stays on record. */
export function MovePull({ test }: { test: StrengthTestRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const pulls = pullsOf(test);
  const chosen = useDraftForm(`move:${test.id}`, { pullId: pick(pulls.map((pull) => pull.id)) });
  const pull = pulls.find(({ id }) => id === chosen.value('pullId'));
  const likely = pull ? likelyLines(record, pull.peakN, test.productId) : [];
  const form = useDraftForm(`move:${test.id}:${pull?.id ?? ''}`, {
    productId: pick(likely.map(({ line }) => line.id)),
    reason: neededWords(),
  });
  if (!pull || likely.length === 0) return null;
  const move = (): Promise<void> =>
    form.submit(({ productId, reason }) => {
      const expectedN = likely.find(({ line }) => line.id === productId)?.expectedN ?? test.expectedN;
      return sendNow(
        'movePull',
        { boatId: record.boat.id, pullId: pull.id },
        { productId, expectedN, reason },
        'Moved. Both rows stay on record.',
      );
    });
  return (
    <details className="border-l-4 border-rule pl-3" open={test.openPulls.length > 0}>
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        The wrong spool was in the grips? Move a pull
      </summary>
      <div className="flex flex-col gap-2 pb-2">
        <ChoosePull form={chosen} test={test} pulls={pulls} />
        <FormChoice
          form={form}
          name="productId"
          label="Belongs to, the likeliest first"
          options={likely.map(({ line, expectedN }) => ({
            value: line.id,
            text: `${line.name}${expectedN === null ? ', nothing known of it' : `, should break at ${format.force(expectedN)}`}`,
          }))}
        />
        <FormText form={form} name="reason" label="Why it is moved" />
        <Button disabled={state.kind === 'sending'} onClick={() => void move()}>
          Move this pull
        </Button>
      </div>
    </details>
  );
}

type ChosenPull = ReturnType<typeof useDraftForm<{ readonly pullId: ReturnType<typeof pick> }>>;

function ChoosePull({
  form,
  test,
  pulls,
}: {
  form: ChosenPull;
  test: StrengthTestRecord;
  pulls: readonly PullRecord[];
}) {
  const { format } = useUnits();
  return (
    <FormChoice
      form={form}
      name="pullId"
      label="The pull"
      options={pulls.map((pull) => ({
        value: pull.id,
        text: pull.heldOut
          ? `the one that is asked about, ${format.force(pull.peakN)}`
          : `pull ${test.pulls.indexOf(pull) + 1}, ${format.force(pull.peakN)}`,
      }))}
    />
  );
}

/** An earlier pull that was read or typed wrongly, corrected with a reason. */
export function CorrectPull({ test }: { test: StrengthTestRecord }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const pulls = pullsOf(test);
  const chosen = useDraftForm(`correct:${test.id}`, { pullId: pick(pulls.map((pull) => pull.id)) });
  const pull = pulls.find(({ id }) => id === chosen.value('pullId'));
  const form = useDraftForm(`correct:${test.id}:${pull?.id ?? ''}`, {
    peakN: neededQuantity('force', LIMITS.forceN, pull?.peakN ?? null),
    breakPlace: choice(
      BREAK_PLACES.map((place) => place.value),
      pull?.breakPlace ?? 'middle',
    ),
    reason: neededWords(),
  });
  if (!pull) return null;
  const correct = (): Promise<void> =>
    form.submit((read) =>
      sendNow(
        'correctPull',
        { boatId: record.boat.id, pullId: pull.id },
        read,
        'Corrected. What was noted before stays on record.',
      ),
    );
  return (
    <details className="border-l-4 border-rule pl-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        Read or typed wrongly? Correct a pull
      </summary>
      <div className="grid grid-cols-2 items-start gap-2 pb-2">
        <div className="col-span-2">
          <ChoosePull form={chosen} test={test} pulls={pulls} />
        </div>
        <FormQuantity form={form} name="peakN" label="It should be" />
        <FormChoice form={form} name="breakPlace" label="It broke" options={BREAK_PLACES} />
        <div className="col-span-2">
          <FormText form={form} name="reason" label="Why it is corrected" />
        </div>
        <Button className="col-span-2" disabled={state.kind === 'sending'} onClick={() => void correct()}>
          Correct this pull
        </Button>
      </div>
    </details>
  );
}
