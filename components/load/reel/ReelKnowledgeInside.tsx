'use client';

import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { DimensionKey, FittedEvidence } from '@/core/gear/fittedGear';
import { filledWidth } from '@/core/gear/gearEvidence';
import type { Known, Source } from '@/core/provenance/source';
import type { RigRecord } from '@/core/record/record';
import { FormText } from '@/components/fields/FormParts';
import { neededWords } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Formatter } from '@/words/format';
import { ReverseFill } from './ReverseFill';

const SOURCE_WORDS: Readonly<Record<Source, string>> = {
  default: 'a guess from the kind of reel',
  label: 'the label',
  maker: "the maker's ratings",
  measured: 'measured',
  learned: 'learned',
};

/** Beyond so many SDs a piece of evidence does not fit with the others. */
const MISFIT_SDS = 3;

/** What is known of this reel and its lines: before its loads, now, by which evidence; and how to forget it. */
export function ReelKnowledgeInside() {
  const { record } = useRig();
  const { format } = useUnits();
  const { knowledge, reel } = record;
  const dimensions: readonly [string, Known, Known][] = [
    ['arbor', knowledge.before.arborDiameterM, reel.arborDiameterM],
    ['width that line fills', filledWidth(knowledge.before.widthM), reel.widthM],
    ['full', knowledge.before.fullDiameterM, reel.fullDiameterM],
  ];
  const small = (known: Known): string => format.small(known.value, PLUS_MINUS_SDS * known.sd);
  const cell = 'py-1 pr-3';
  return (
    <>
      <div className="flex flex-col gap-4 text-sm">
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Dimensions before and now">
          <table className="w-full">
            <thead>
              <tr className="border-b-2 border-ink text-left">
                <th className={cell}>of the reel</th>
                <th className={cell}>beforehand</th>
                <th className={cell}>now</th>
              </tr>
            </thead>
            <tbody>
              {dimensions.map(([name, before, now]) => (
                <tr key={name} className="border-b border-edge align-top">
                  <td className={cell}>{name}</td>
                  <td className={`${cell} figures`}>
                    {small(before)}
                    <span className="block text-xs text-ink-soft">{SOURCE_WORDS[before.source]}</span>
                  </td>
                  <td className={`${cell} figures font-bold`}>{small(now)}</td>
                </tr>
              ))}
              {reel.counter && knowledge.lengthPerTurnM && (
                <tr className="border-b border-edge align-top">
                  <td className={cell}>counter, a turn</td>
                  <td className={`${cell} figures`}>{small(reel.counter.lengthPerTurnM)}</td>
                  <td className={`${cell} figures font-bold`}>{small(knowledge.lengthPerTurnM)}</td>
                </tr>
              )}
            </tbody>
          </table>
        </div>
        <Lines record={record} format={format} />
        <Evidence evidence={knowledge.evidence} format={format} />
        <ReverseFill />
        <Forget />
      </div>
    </>
  );
}

/** How each line packs against what was believed of it. */
function Lines({ record, format }: { record: RigRecord; format: Formatter }) {
  const used = new Set(record.segments.map((segment) => segment.productId));
  const lines = record.knowledge.lines.filter((line) => used.has(line.productId));
  if (lines.length === 0) return null;
  return (
    <ul className="flex flex-col gap-1">
      {lines.map(({ productId, factor, relativeSdBefore }) => {
        const off = factor.value - 1;
        const word =
          Math.abs(off) < 0.005
            ? 'as much space as believed'
            : `${format.percent(Math.abs(off))} ${off > 0 ? 'more' : 'less'} space than believed`;
        return (
          <li key={productId}>
            <b>{record.products.find((product) => product.id === productId)?.name}</b> takes {word}, ±{' '}
            {format.percent(PLUS_MINUS_SDS * (factor.sd / factor.value))}; it was ±{' '}
            {format.percent(PLUS_MINUS_SDS * relativeSdBefore)} before any load.
          </li>
        );
      })}
    </ul>
  );
}

/** Differences below these (m, counts, shares) are none. */
const NONE = { level: 0.00005, turns: 0.5, walk: 0.5, rating: 0.005 } as const;

function offWords({ kind, off }: FittedEvidence, format: Formatter): string {
  if (Math.abs(off) < NONE[kind]) return 'as all together say';
  if (kind === 'level') return `${format.small(Math.abs(off))} ${off > 0 ? 'lower' : 'higher'} than all together say`;
  if (kind === 'rating') {
    return `${format.percent(Math.abs(Math.expm1(off)))} ${off > 0 ? 'more' : 'less'} than all together say`;
  }
  return `${format.counts(Math.abs(off))} ${off > 0 ? 'more' : 'fewer'} than all together say`;
}

/** What a reel's figures are called. */
const FIGURES = {
  arborDiameterM: 'the arbor',
  widthM: 'the width',
  fullDiameterM: 'the full diameter',
  lengthPerTurnM: 'what a turn counts as',
} as const satisfies Record<DimensionKey, string>;

function tellsWords({ what, widensTo }: NonNullable<FittedEvidence['tells']>, { products }: RigRecord): string {
  const name =
    typeof what === 'string' ? FIGURES[what] : (products.find(({ id }) => id === what.lineId)?.name ?? 'its line');
  return `the ± of ${name} would be ${widensTo.toFixed(widensTo < 1.1 ? 2 : 1)} times as wide`;
}

/** Every rating, level and winding log that counts, with how it sits with the rest and what it tells most of. */
function Evidence({ evidence, format }: { evidence: readonly FittedEvidence[]; format: Formatter }) {
  const { record } = useRig();
  if (evidence.length === 0) return null;
  const ratings = evidence.filter((each) => each.kind === 'rating').map((each) => each.off);
  const spread = Math.expm1(Math.max(...ratings) - Math.min(...ratings));
  return (
    <div>
      {ratings.length > 1 && (
        <p className="mb-1">
          The {ratings.length} ratings differ by {format.percent(spread)} among themselves; they are one volume said{' '}
          {ratings.length === 2 ? 'twice' : `${ratings.length} times`}, and all of them count.
        </p>
      )}
      <ul className="flex flex-col divide-y divide-edge">
        {evidence.map((each) => {
          const misfit = Math.abs(each.offBySds) > MISFIT_SDS;
          return (
            <li key={`${each.kind} ${each.name}`} className="flex flex-wrap justify-between gap-x-3 py-1">
              <span>{each.kind === 'rating' ? `rating ${each.name}` : each.name}</span>
              <span className={misfit ? 'font-bold text-stop' : 'text-ink-soft'}>
                {offWords(each, format)}
                {each.tells && `; without it ${tellsWords(each.tells, record)}`}
                {misfit && '; it does not fit: read or typed wrongly?'}
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** Forgets what was learned, with a reason: the loads stay on record. */
function Forget() {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const form = useDraftForm(`forget-reel:${record.reel.id}`, { reason: neededWords() });
  if (record.knowledge.loadsSeen === 0) return null;
  const forget = (): Promise<void> =>
    form.submit((why) =>
      sendNow(
        'forgetReel',
        { boatId: record.boat.id, reelId: record.reel.id },
        why,
        'Forgotten. Its loads stay on record and count no more.',
      ),
    );
  return (
    <div className="flex flex-wrap items-start gap-2">
      <div className="min-w-48 grow">
        <FormText
          form={form}
          name="reason"
          label="Forget what was learned, because"
          hint="a new spool, an arbor built up with tape"
        />
      </div>
      <Button className="mt-6" disabled={state.kind === 'sending'} onClick={() => void forget()}>
        Forget it
      </Button>
    </div>
  );
}
