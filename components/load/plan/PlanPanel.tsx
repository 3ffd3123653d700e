'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/components/ui/Link';
import { useEffect, useMemo, useState } from 'react';
import { adviceOnPlan } from '@/core/rig/load/plannedLoad';
import { useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { SpoolAtCursor } from '@/components/line/SpoolSection';
import { useRig } from '@/components/rig/RigProvider';
import { gearPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { Sketch } from '@/components/ui/Sketch';
import { useSay } from '@/components/units/useSay';
import { fetched } from '@/components/ui/fetched';
import { FillConflict } from './FillConflict';
import { fillWords } from './fillWords';
import { AdviceList } from './AdviceList';
import { CompareCard } from './CompareCard';
import { KitCard } from './KitCard';
import { planOfDraft } from './planOfDraft';
import { RecipeCard } from './RecipeCard';
import { ReelKnowledge } from '../reel/ReelKnowledge';
import { PlanAnswer } from './PlanAnswer';
import { draftOf, isStackDraft, stackOf, type StackDraft } from './stackDraft';
import { useStackEditor } from './useStackEditor';

// What is folded is loaded when it is opened.
const FillField = dynamic(() => fetched(() => import('./FillField')).then(({ FillField: loaded }) => loaded));
const RunSheet = dynamic(() => fetched(() => import('./RunSheet')).then(({ RunSheet: loaded }) => loaded));
const StackEditor = dynamic(() => fetched(() => import('./StackEditor')).then(({ StackEditor: loaded }) => loaded));

/** Overfill (m) beyond which a plan is not taken to the bench: it would rub or jam. */
const MOST_ABOVE_RIM_M = 0.001;

/** The plan of a stack: the answer and the run sheet from what stands in the editor, at every key stroke. */
export function PlanPanel() {
  const { record, view, setDraftRecord } = useRig();
  const [kept, keep] = useDraft<StackDraft>(`stack:${record.id}`, isStackDraft);
  const { state, sendNow, fieldError } = useSend();
  const say = useSay();
  const draft = useMemo(() => kept ?? draftOf(record), [kept, record]);
  // Open for the first segment, the stack stays open under the hand that adds it.
  const [beganEmpty] = useState(draft.rows.length === 0);
  const rimM = record.reel.fullDiameterM.value;
  const { planned, target, fill, levelM, plan } = useMemo(() => planOfDraft(record, draft), [record, draft]);
  const editor = useStackEditor(record, draft, plan, keep);

  // The ribbon above shows what is being planned and is its editor, and the stored line again when this panel goes.
  useEffect(() => {
    setDraftRecord(plan?.ok ? planned : null, editor);
    return () => setDraftRecord(null, null);
  }, [plan, planned, editor, setDraftRecord]);

  const save = async (): Promise<number | null> => {
    const stack = stackOf(draft, rimM);
    if (!stack) return null;
    const result = await sendNow(
      'saveStack',
      { boatId: record.boat.id, rigId: record.id },
      { version: draft.version, ...stack },
      'The plan is stored.',
    );
    if (!result.ok) return null;
    keep(null);
    return result.value.version;
  };
  const takeToBench = async (): Promise<void> => {
    const version = kept ? await save() : record.version;
    if (version === null || levelM === null) return;
    await sendNow('beginWinding', { boatId: record.boat.id, rigId: record.id }, { version, levelBelowRimM: levelM });
  };
  const busy = state.kind === 'sending';
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex min-w-0 flex-col gap-4">
        <Card title={draft.rows.length === 0 ? 'Plan the line' : 'How much goes on'}>
          {draft.rows.length === 0 && (
            <Sketch of="line">
              <p>
                Name the segments in the order in which they go on, from the arbor outwards, and leave the length of one
                open, usually the backing: it is worked out from the reel&apos;s size.
              </p>
            </Sketch>
          )}
          {plan && planned && levelM !== null && (
            <div className="flex flex-col gap-4">
              <PlanAnswer record={planned} plan={plan} levelBelowRimM={levelM} />
              {plan.ok && target && (
                <FillConflict record={planned} line={plan.value.line} target={target} levelBelowRimM={levelM} />
              )}
              {plan.ok && <AdviceList advice={adviceOnPlan(planned, plan.value)} />}
            </div>
          )}
          {fill && !fill.ok && (
            <p role="alert" className="border-l-4 border-stop bg-stop/10 px-3 py-2">
              {say(fill)}
            </p>
          )}
          {!plan && !fill && draft.rows.length > 0 && (
            <p role="status">Give every segment but the worked-out one a length, and the answer stands here.</p>
          )}
          {fieldError('segments') && (
            <p role="alert" className="mt-3 font-semibold text-stop">
              {fieldError('segments')}
            </p>
          )}
          <div className="mt-4 flex flex-wrap gap-2">
            <Button
              weight="main"
              disabled={busy || !plan?.ok || (levelM ?? 0) < -MOST_ABOVE_RIM_M}
              onClick={() => void takeToBench()}
            >
              Take it to the bench
            </Button>
            {kept && (
              <>
                <Button disabled={busy || !planned} onClick={() => void save()}>
                  Store the plan
                </Button>
                <Button weight="quiet" disabled={busy} onClick={() => keep(null)}>
                  Back to what is stored
                </Button>
              </>
            )}
          </div>
          {planned && plan?.ok && (
            <div className="mt-4">
              <CollapsibleCard
                id="run-sheet"
                title="Run sheet"
                line={`where to stop each of ${plan.value.segments.length === 1 ? 'one segment' : `${plan.value.segments.length} segments`}`}
              >
                <RunSheet record={planned} plan={plan.value} />
              </CollapsibleCard>
            </div>
          )}
        </Card>
        <CollapsibleCard
          id="stack"
          title="The stack, in winding order"
          line={
            draft.rows.length === 0
              ? 'nothing planned yet'
              : `${draft.rows.map((row) => row.name).join(', ')}: lengths, lines, joins`
          }
          isOpen={beganEmpty}
        >
          {record.products.length === 0 ? (
            <p>
              This boat has no line yet.{' '}
              <Link className="text-chalk underline" href={gearPath(record.boat.id)}>
                Add a line first
              </Link>
              .
            </p>
          ) : (
            <StackEditor draft={draft} products={record.products} onChange={keep} fieldError={fieldError} />
          )}
        </CollapsibleCard>
      </div>
      <div className="flex flex-col gap-4">
        <Card title="The spool">{view && <SpoolAtCursor view={view} />}</Card>
        <CollapsibleCard id="fill" title="Where it is to end" line={fillWords(draft.fill)}>
          <FillField
            fill={draft.fill}
            fullDiameterM={rimM}
            hasCounter={record.reel.counter?.drive === 'spool'}
            onChange={(next) => keep({ ...draft, fill: next })}
          />
        </CollapsibleCard>
        {planned && plan?.ok && <KitCard record={planned} plan={plan.value} />}
        <ReelKnowledge />
      </div>
      <div className="grid min-w-0 items-start gap-4 *:has-data-[state=open]:lg:col-span-2 *:data-[state=open]:lg:col-span-2 lg:col-span-2 lg:grid-cols-2">
        <CompareCard record={record} draft={draft} onTake={keep} />
        {record.products.length > 0 && <RecipeCard record={record} draft={draft} onTake={keep} />}
      </div>
    </div>
  );
}
