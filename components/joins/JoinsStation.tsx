'use client';

import { Link } from '@/components/ui/Link';
import { useState } from 'react';
import { knotsPath } from '@/components/shell/paths';
import type { JoinStanding } from '@/core/joins/joinState';
import type { OwnFigure } from '@/core/joins/ownFigures';
import type { CrewKnows } from '@/core/joins/chooseJoin';
import type { JoinRecord } from '@/core/record/record';
import { standingOnRig } from '@/core/rig/joins/joinsOfRig';
import { useRig } from '@/components/rig/RigProvider';
import { UndoButton } from '@/components/bench/UndoButton';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { Sketch } from '@/components/ui/Sketch';
import { showFold } from '@/components/ui/folds';
import { schoolName } from '@/words/hands';
import { useUnits } from '@/components/units/UnitsProvider';
import { FishFought } from './FishFought';
import { CadenceTrainer } from './CadenceTrainer';
import { JoinBreaks } from './JoinBreaks';
import { JoinChooser } from './JoinChooser';
import { joinsInOrder, kindWords, placeWords, wornWords, type JoinPlace } from './joinLines';
import { TieCard } from './TieCard';
import { SlipCheck } from './SlipCheck';
import { SpliceCard } from './SpliceCard';
import { TiePhoto } from './TiePhoto';
import { WindOns } from './WindOns';
import type { Drill, Person, WindOn } from './joinsBench';

const STANDING: Readonly<Record<JoinStanding, { readonly text: string; readonly look: string }>> = {
  gone: { text: 'gone with the line', look: 'text-ink-soft line-through' },
  'not tied': { text: 'not noted as tied', look: 'text-ink-soft' },
  'under-seated': { text: 'under-seated: pull again', look: 'text-stop font-semibold' },
  'not pulled': { text: 'tied, never pull-tested', look: 'text-warn font-semibold' },
  due: { text: 'due for retying', look: 'text-stop font-semibold' },
  good: { text: 'tied and pulled', look: 'text-go font-semibold' },
};

/** The Joins bench: every join of the rig, how it stands, how it is tied, and what else would join these lines. */
export function JoinsStation({
  people,
  crew,
  ownFigures,
  drills,
  windOns,
  now,
}: {
  people: readonly Person[];
  crew: CrewKnows;
  ownFigures: readonly OwnFigure[];
  drills: readonly Drill[];
  windOns: readonly WindOn[];
  /** Today (ms since 1970), from the server: ages are the same wherever the page is drawn. */
  now: number;
}) {
  const { record } = useRig();
  const joins = joinsInOrder(record);
  const toTie = joins.find(
    ({ join, successor }) =>
      successor !== undefined ||
      ['not tied', 'under-seated', 'due'].includes(standingOnRig(record, join, now).standing),
  );
  const [picked, setPicked] = useState<string | null>(null);
  const place = joins.find((each) => placeKey(each.join) === picked) ?? toTie ?? joins[0];
  if (!place) {
    return (
      <Card title="Joins">
        <Sketch of="line">
          <p>This rig has no line yet, and so no join. Plan the line first.</p>
        </Sketch>
      </Card>
    );
  }
  const { join } = place;
  // What is tied next at this place: the one that is planned for it, where that is another.
  const next = place.successor ?? join;
  return (
    <div className="flex flex-col gap-4">
      <Card title="The joins, in the order of tying">
        <p className="mb-2 text-lg">
          {toTie ? (
            <>
              Next: <b>{placeWords(record, toTie.successor ?? toTie.join)}</b>.
            </>
          ) : (
            'All are tied and seated.'
          )}
        </p>
        {toTie && (
          <div className="mb-3">
            <Button
              weight="main"
              onClick={() => {
                setPicked(placeKey(toTie.join));
                showFold('tie');
              }}
            >
              Tie it, step by step
            </Button>
          </div>
        )}
        <ol className="grid gap-2 lg:grid-cols-2">
          {joins.map((each) => (
            <JoinRow
              key={each.join.id}
              place={each}
              now={now}
              picked={picked !== null && each === place}
              onPick={() => {
                setPicked(placeKey(each.join));
                showFold('tie');
              }}
            />
          ))}
        </ol>
        <Link
          href={knotsPath(record.boat.id, next.kind)}
          className="mt-2 flex min-h-11 items-center text-sm text-chalk underline underline-offset-4"
        >
          Look any knot up, step by step
        </Link>
        <FishFought />
      </Card>
      <TieCard key={`tie-${next.id}`} join={next} people={people} ownFigures={ownFigures} />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <JoinChooser key={`choose-${next.id}`} join={next} crew={crew} />
        <JoinBreaks key={`break-${join.id}`} join={join} />
        {join.innerSegmentId === null && <SlipCheck key={`slip-${join.id}`} join={join} />}
        <WindOns windOns={windOns} people={people} />
        <SpliceCard />
        <CadenceTrainer people={people} drills={drills} />
      </div>
    </div>
  );
}

/** A structure by where it is: what is tied next there stays picked. */
const placeKey = ({ outerSegmentId, part }: JoinRecord): string => `${part} ${outerSegmentId}`;

function JoinRow({
  place: { join, successor },
  now,
  picked,
  onPick,
}: {
  place: JoinPlace;
  now: number;
  picked: boolean;
  onPick: () => void;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const { standing, ageDays, wornBy, boreLoss } = standingOnRig(record, join, now);
  const tie = join.lastTie;
  return (
    <li className={`border-l-4 ${picked ? 'border-chalk bg-paper' : 'border-rule bg-paper/50'}`}>
      <button type="button" aria-pressed={picked} onClick={onPick} className="w-full px-3 py-2 text-left">
        <span className="flex flex-wrap justify-between gap-x-3">
          <b>{placeWords(record, join)}</b>
          <span className={`text-sm ${STANDING[standing].look}`}>{STANDING[standing].text}</span>
        </span>
        <span className="block text-sm text-ink-soft">
          {kindWords(join)}
          {tie && (
            <>
              {' '}
              · {schoolName(tie.school)} · {ageDays === 0 ? 'today' : `${ageDays} days ago`}
              {tie.person && ` by ${tie.person}`}
              {tie.seatedN !== null && `, seated with ${format.force(tie.seatedN)}`}
            </>
          )}
        </span>
        {wornBy.length > 0 && <span className="block text-sm font-semibold text-stop">{wornWords(wornBy, tie)}</span>}
        {boreLoss && (
          <span className="block text-sm font-semibold text-stop">
            Line tore off beyond it since it was tied: tie it anew.
          </span>
        )}
        {successor && (
          <span className="block text-sm font-semibold text-warn">
            To become {kindWords(successor)}: not tied yet. Until it is, the one above counts.
          </span>
        )}
      </button>
      {picked && tie && <TiePhoto key={tie.id} tie={tie} />}
      {picked && tie && <UndoButton kind="tie" id={tie.id} what="tie" reason="noted by mistake" />}
    </li>
  );
}
