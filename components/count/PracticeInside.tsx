'use client';

import { useState } from 'react';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import type { PracticeShown } from '@/usecases/count/practice';
import { send } from '@/components/http/send';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

interface Game {
  readonly seed: number;
  readonly strippedM: readonly number[];
  readonly shown: PracticeShown;
}

/** A simulated reel with a truth of its own on each go: walk, strip, walk; scored against the advice. */
export function PracticeInside() {
  const { format } = useUnits();
  const [game, setGame] = useState<Game | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [adviceSeen, setAdviceSeen] = useState(false);
  const amount = useQuantity('practice', 'length', null, { min: -500, max: 500 });
  const play = async (seed: number, strippedM: readonly number[], isEnd = false): Promise<void> => {
    setBusy(true);
    const result = await send('practise', {}, { seed, strippedM, ended: isEnd });
    setBusy(false);
    setProblem(result.ok ? null : result.message);
    if (!result.ok) return;
    setGame({ seed, strippedM, shown: result.value });
    amount.forget();
  };
  const begin = (): void => {
    setAdviceSeen(false);
    void play(1 + Math.floor(Math.random() * 1_999_999_999), []);
  };
  return (
    <>
      {!game ? (
        <Button weight="main" disabled={busy} onClick={begin}>
          Deal a reel
        </Button>
      ) : (
        <div className="flex flex-col gap-3">
          <p className="text-sm">
            Simulated: a plain load of about {format.length(game.shown.woundM)}, rim{' '}
            {format.small(game.shown.fullDiameterM)}, level {format.small(game.shown.levelBelowRimM)} under it. Counter
            in feet; the walk is {format.length(30.48)}, so it should read 100.
          </p>
          <p className="figures text-4xl font-bold" aria-live="polite">
            {game.shown.readings.at(-1)} <span className="text-lg">at walk {game.shown.readings.length}</span>
          </p>
          {game.shown.readings.length > 1 && (
            <p className="figures text-sm">Walks so far: {game.shown.readings.join(' → ')}</p>
          )}
          {game.shown.score ? (
            <Score walks={game.shown.readings.length} score={game.shown.score} adviceSeen={adviceSeen} />
          ) : (
            <>
              <div className="flex flex-wrap items-end gap-2">
                <div className="w-44">
                  <QuantityField label="Take off (or put on, with −)" {...amount.field} />
                </div>
                <Button
                  weight="main"
                  disabled={busy || amount.value === null}
                  onClick={() => amount.value !== null && void play(game.seed, [...game.strippedM, amount.value])}
                >
                  Do it, and walk again
                </Button>
                <Button disabled={busy} onClick={() => void play(game.seed, game.strippedM, true)}>
                  I call it true
                </Button>
                <Button weight="quiet" disabled={busy} onClick={() => setAdviceSeen(true)}>
                  What would the advice be?
                </Button>
              </div>
              {adviceSeen && (
                <p className="text-sm" aria-live="polite">
                  {game.shown.advisedStripM === null
                    ? 'The advice: leave it, it is true to its whole count.'
                    : `The advice: ${game.shown.advisedStripM > 0 ? 'take off' : 'put on'} ${format.length(Math.abs(game.shown.advisedStripM), game.shown.advisedPlusMinusM ?? undefined)}.`}
                </p>
              )}
            </>
          )}
          {problem && (
            <p role="alert" className="text-sm font-semibold text-stop">
              {problem}
            </p>
          )}
          <div>
            <Button weight={game?.shown.score ? 'main' : 'quiet'} disabled={busy} onClick={begin}>
              Deal another reel
            </Button>
          </div>
        </div>
      )}
    </>
  );
}

function Score({
  walks,
  score,
  adviceSeen,
}: {
  walks: number;
  score: NonNullable<PracticeShown['score']>;
  adviceSeen: boolean;
}) {
  return (
    <p className="font-semibold">
      {score.isRight
        ? `Right: it is within 1 % of true (${percent(score.trueError)}).`
        : `Not yet: it is ${percent(score.trueError)} off true.`}{' '}
      You walked {walks} times
      {score.adviceWalks === null ? '.' : `; the advice alone needs ${score.adviceWalks} on this reel.`}
      {adviceSeen && ' You looked at the advice.'}
    </p>
  );
}

function percent(share: number): string {
  return `${share >= 0 ? '+' : '−'}${(100 * Math.abs(share)).toFixed(1)} %`;
}
