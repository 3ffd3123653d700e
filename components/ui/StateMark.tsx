import { CircleCheck, CircleDashed, CircleMinus, History } from 'lucide-react';
import type { StationState } from '@/core/record/stationState';

const MARKS = {
  done: { Icon: CircleCheck, word: 'done', look: 'text-go' },
  stale: { Icon: History, word: 'stale', look: 'text-warn' },
  due: { Icon: CircleDashed, word: 'due', look: 'text-ink-soft' },
  'not needed': { Icon: CircleMinus, word: 'not needed', look: 'text-ink-soft' },
} as const;

/** The state of a station, by shape and word as well as colour; where it is short, by shape alone on a phone. */
export function StateMark({ state, isShort = false }: { state: StationState['state']; isShort?: boolean }) {
  const { Icon, word, look } = MARKS[state];
  return (
    <span className={`inline-flex items-center gap-1 text-sm font-semibold whitespace-nowrap ${look}`}>
      <Icon className="size-4" aria-hidden />
      <span className={!isShort ? '' : state === 'not needed' ? 'sr-only' : 'sr-only sm:not-sr-only'}>{word}</span>
    </span>
  );
}
