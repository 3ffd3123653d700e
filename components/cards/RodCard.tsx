'use client';

import { ticks } from 'd3-array';
import dynamic from 'next/dynamic';
import { useMemo, useRef, useState } from 'react';
import { countMarks, type CountMark } from '@/core/rig/count/countMarks';
import { dragFactorSd } from '@/core/calibration/dragFactorSd';
import { dragEnvelope } from '@/core/drag/dragEnvelope';
import { lastSafeLength, TAKEN } from '@/core/drag/risk';
import { USUAL_RUN } from '@/core/drag/waterPull';
import { riskOfRig } from '@/core/rig/drag/riskOfRig';
import { pullAtSpeed } from '@/core/drag/planer/planerBracket';
import { planerQuestion } from '@/core/rig/drag/planerOfRig';
import { backOffOfRig } from '@/core/rig/drag/backOffOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import { easeWords, readingWords, roundLengths } from '@/components/drag/BackOffCard';
import { fromSi, KNOT_MS, toSi } from '@/core/units/units';
import { useRig } from '@/components/rig/RigProvider';
import type { Formatter } from '@/words/format';
import { useRisk } from '@/components/drag/useRisk';
import { usePlaner } from '@/components/drag/usePlaner';
import { useReady } from '@/components/ui/useReady';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import type { DeepOnCard as Deep } from '@/components/tow/DeepOnCard';
import { CardBoundary } from '@/components/ui/CardBoundary';
import { fetched } from '@/components/ui/fetched';
import { CardActions } from './CardActions';
import { CardRows, CardSheet } from './CardSheet';

const HEADS = ['true length out', 'counter', '±', 'mark'] as const;
const TURN_HEADS = ['true length out', 'turns', '±', 'mark'] as const;
const COLUMNS = [5, 34, 49, 59] as const;
/** The reading and its ±. */
const READING_COLUMNS = [1, 2] as const;
/** With depths beside it all is a little smaller, and the marks have less room. */
const DEEP_COLUMNS = [5, 16.5, 28, 37, 52.5, 68, 83.5] as const;
const DEEP_SIZE = 3.2;

/** Loaded where a rig is towed. */
const DeepOnCard = dynamic(
  () => fetched(() => import('@/components/tow/DeepOnCard')).then(({ DeepOnCard: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** The card that hangs at a rod: true lengths, joins and colours, and what the counter shows then. */
export function RodCard() {
  const { record, view, states } = useRig();
  const { units, format } = useUnits();
  const say = useSay();
  const sheet = useRef<SVGSVGElement>(null);
  const planer = usePlanerWords(format);
  const chance = useChanceWords(format);
  const [told, setDeep] = useState<Deep | null>(null);
  const isTowed = record.towed !== null && record.load?.status === 'wound';
  const deep = isTowed ? told : null;
  const marks = useMemo(() => (view ? cardMarks(view, units.length) : []), [view, units.length]);
  if (!view || marks.length === 0) return <p>A card needs a line: plan or load this rod first.</p>;
  const [length, shows, open, named] = view.counter ? HEADS : TURN_HEADS;
  const heads = deep ? [`out, ${units.length}`, shows, open, ...deep.heads, named] : [length, shows, open, named];
  // In a file no foot says what stands under the speeds.
  const fileHeads = heads.map((head) => (deep?.heads.includes(head) ? `deep ${units.length}, ${head}` : head));
  const isConfirmed = !view.counter || states.count.state === 'done';
  const stale = isConfirmed ? '' : ` Count: ${states.count.state}, ${say(states.count.why)}.`;
  const rows = marks.map((mark) => ({
    strong: mark.kind === 'join',
    cells: [
      // With depths beside it the unit stands in the head.
      format.length(mark.lengthOutM).replace(deep ? / \D+$/ : '', ''),
      String(Math.round(mark.reading.value)),
      `±${mark.reading.plusMinus.toFixed(mark.reading.plusMinus < 10 ? 1 : 0)}`,
      ...(deep ? deep.with(mark.lengthOutM) : []),
      shortMark(mark.kind, mark.name),
    ],
  }));
  const day = record.readAt.slice(0, 10);
  // A drag that is stale or due has no place on a card.
  const isDragDone = states.drag.state === 'done';
  const backOff = isDragDone ? backOffWords(view, format, units.length) : [];
  return (
    <div className="flex flex-col gap-4">
      {isTowed && (
        <CardBoundary title="Depth on this card">
          <DeepOnCard view={view} format={format} onDeep={setDeep} />
        </CardBoundary>
      )}
      <CardActions sheet={sheet} name={record.name} heads={fileHeads} rows={rows.map((row) => row.cells)} />
      {stale && <p className="no-print text-sm text-warn">Not confirmed:{stale} The card says so too.</p>}
      <CardSheet
        ref={sheet}
        title={record.name}
        line={`${record.boat.name} · ${record.reel.name}`}
        label={`Card of ${record.name}: ${rows.map((row) => `${row.cells[0]} ${view.counter ? 'reads' : 'is'} ${row.cells[1]}${view.counter ? '' : ' turns'}`).join('; ')}`}
      >
        <CardRows
          heads={heads}
          at={deep ? DEEP_COLUMNS : COLUMNS}
          {...(deep ? { mostSize: DEEP_SIZE } : {})}
          markLetters={deep ? DEEP_MARK_LETTERS : MARK_LETTERS}
          rows={rows}
          struck={isConfirmed ? [] : READING_COLUMNS}
          foot={[
            `${day}. From the hook; ± 95 %.`,
            ...backOff.flatMap((words) => wrapped(words, FOOT_LETTERS)),
            ...(isDragDone ? chance.flatMap((words) => wrapped(words, FOOT_LETTERS)) : []),
            ...(deep ? deep.foot.flatMap((words) => wrapped(words, FOOT_LETTERS)) : []),
            ...planer.flatMap((words) => wrapped(words, FOOT_LETTERS)),
            ...(stale ? [shortened(`Not confirmed:${stale}`, FOOT_LETTERS)] : []),
          ]}
        />
      </CardSheet>
    </div>
  );
}

/** The longest line out of which a card speaks (m): what is fished, not the backing. */
const CARD_M = 120;

function cardMarks(view: RigView, unit: string): readonly CountMark[] {
  const end = fromSi('length', Math.min(view.current.line.totalLengthM, CARD_M), unit);
  const rounds = ticks(0, end, 10).filter((value) => value > 0);
  const marks = countMarks(
    view,
    rounds.map((value) => toSi('length', value, unit)),
  );
  return marks.filter((mark) => mark.lengthOutM <= CARD_M * 1.25);
}

/** Letters that fit beside the figures. */
const MARK_LETTERS = 27;
const DEEP_MARK_LETTERS = 13;

/** Letters that a line under the figures has room for. */
const FOOT_LETTERS = 72;

/** Words in lines of so many letters. */
function wrapped(words: string, letters: number): readonly string[] {
  return words
    .replaceAll(/ (?=[%±])|(?<=±) /g, '\u00a0')
    .split(' ')
    .reduce<readonly string[]>((lines, word) => {
      const last = lines.at(-1);
      return last !== undefined && last.length + word.length < letters
        ? [...lines.slice(0, -1), `${last} ${word}`]
        : [...lines, word];
    }, []);
}

/** How far the drag may be left alone by the stated chance of breaking; none before it is worked out. */
function useChanceWords(format: Formatter): readonly string[] {
  const { view } = useRig();
  const isReady = useReady();
  const rig = useMemo(() => {
    if (!isReady || !view || view.setForceN === null || !view.inReach) return null;
    const { record, inReach, reach, ruler } = view;
    const { line } = view.current;
    const set = { forceN: view.setForceN, plusMinusN: 0, lengthOutM: 0 };
    const growthSd = dragFactorSd(ruler, 0);
    const envelope = dragEnvelope(line, inReach, set, USUAL_RUN, undefined, growthSd, reach.outM);
    return riskOfRig(record, line, inReach, envelope, USUAL_RUN, reach.outM);
  }, [isReady, view]);
  const risks = useRisk(rig)?.steady;
  if (rig && rig.unknown.length > 0) return ['How likely it breaks is not known: a line was hardly pulled.'];
  if (!risks) return [];
  const safeM = lastSafeLength(risks, TAKEN.pull);
  const defaults = rig && rig.untested.length > 0 ? ' Joins that nobody pulled count by a default.' : '';
  return [
    safeM === null
      ? `Left alone it breaks in more than 1 of 100 steady pulls.${defaults}`
      : `Left alone it breaks in fewer than 1 of 100 steady pulls to ${format.length(safeM)} out.${defaults}`,
  ];
}

/** Where the lever holds the planer that was towed last, in each water; nothing before somebody towed one. */
function usePlanerWords(format: Formatter): readonly string[] {
  const { record } = useRig();
  const isReady = useReady();
  const last = record.planerLooks.at(-1);
  const question = useMemo(
    () => (isReady && last ? planerQuestion(record, last.planer, last.speedMS) : null),
    [isReady, record, last],
  );
  const found = usePlaner(question);
  if (!last || !found || found.counted + found.carriedFrom === 0) return [];
  const marks = found.marks.map(
    ({ sea, position }) => `${sea} ${position === null ? 'beyond full' : `${Math.round(100 * position)} %`}`,
  );
  const { newtons } = found;
  const pulls = newtons
    ? `, pulls ${[newtons.lowN, newtons.highN].map((pullN) => format.force(pullAtSpeed(pullN, last.speedMS))).join(' to ')}`
    : '';
  const at = `Planer ${last.planer} at ${(last.speedMS / KNOT_MS).toFixed(1)} kn${pulls}`;
  return [`${at}; lever: ${marks.join(', ')}. Ease after the strike.`];
}

function shortened(words: string, letters: number): string {
  return words.length <= letters ? words : `${words.slice(0, letters - 1)}…`;
}

/** A mark in as few words as a card has room for: what has just left the tip. */
function shortMark(kind: CountMark['kind'], name: string): string {
  if (kind === 'length') return '';
  if (kind === 'mark') return name;
  if (kind === 'join') return `${name.split(' out,')[0]} out`;
  return name.slice(name.lastIndexOf(':') + 2).replace(' is out', ' out');
}

/** How to ease the drag as line leaves, by what the hand has; none while the drag was not set. */
function backOffWords(view: RigView, format: Formatter, unit: string): readonly string[] {
  if (view.setForceN === null) return [];
  const { by, rows } = backOffOfRig(view, view.setForceN, roundLengths(view.reach.outM, unit, 4));
  if (rows.length === 0) return [];
  const set = `Drag ${format.force(view.setForceN)} at the tip`;
  if (by === 'scale') return [`${set}; with more out set it to that again by scale.`];
  const eased = rows.map((row) => `at ${readingWords(row.reading).split(' ±')[0]}: ${easeWords(by, row, format)}`);
  return [
    `${set}. ${by === 'lever' ? 'Lever' : 'Star, turns looser'}, ${view.counter ? 'counter' : 'spool'} ${eased.join('; ')}.`,
  ];
}
