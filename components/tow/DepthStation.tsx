'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/components/ui/Link';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useQuantity } from '@/components/fields/QuantityField';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { Sketch } from '@/components/ui/Sketch';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useKeptChoice } from '@/components/fields/useKept';
import { fetched } from '@/components/ui/fetched';
import { topShotOf } from '@/core/rig/tow/towedRig';
import type { RigView } from '@/core/rig/view/rigView';
import { KNOT_MS } from '@/core/units/units';
import type { DepthCurves } from '@/core/tow/answerDepth';
import type { Formatter } from '@/words/format';
import { LIMITS } from '@/usecases/limits';
import { DepthAnswerCard } from './DepthAnswerCard';
import { towedWords } from './towedWords';
import { useDepth } from './useDepth';

// What is folded is loaded when it is opened, and the drawing with the answer, which is worked out away from the page.
const DepthLens = dynamic(() => fetched(() => import('./DepthLens')).then(({ DepthLens: loaded }) => loaded));
const DepthSources = dynamic(() => fetched(() => import('./DepthSources')).then(({ DepthSources: loaded }) => loaded));
const DepthTable = dynamic(() => fetched(() => import('./DepthTable')).then(({ DepthTable: loaded }) => loaded));
const TopShotLength = dynamic(() =>
  fetched(() => import('./TopShotLength')).then(({ TopShotLength: loaded }) => loaded),
);
const TowDrawing = dynamic(() => fetched(() => import('./TowDrawing')).then(({ TowDrawing: loaded }) => loaded), {
  ssr: false,
});
const TowedForm = dynamic(() => fetched(() => import('./TowedForm')).then(({ TowedForm: loaded }) => loaded));
const WaterLog = dynamic(() => fetched(() => import('./WaterLog')).then(({ WaterLog: loaded }) => loaded));

const GOALS = ['depth', 'setback'] as const;

/** The Depth station: where the lure swims with the line that is out, and at which reading to stop. */
export function DepthStation() {
  const { record, view } = useRig();
  if (!view) {
    return (
      <Card title="No line yet">
        <Sketch of="water">
          <p>
            Where a lure swims hangs on every piece of line in front of it.{' '}
            <Link className="text-chalk underline" href={stationPath(record.boat.id, record.id, 'load')}>
              Plan the line first
            </Link>
            .
          </p>
        </Sketch>
      </Card>
    );
  }
  return <Towed view={view} />;
}

function Towed({ view }: { view: RigView }) {
  const { record } = useRig();
  const { format } = useUnits();
  const [goalKind, setGoalKind] = useKeptChoice(`goal-kind:${record.id}`, GOALS, 'depth');
  const wanted = useQuantity(`goal:${record.id}`, 'length', null, LIMITS.depthM);
  const [typedSpeed, setSpeed] = useDraft(`tow-speed:${record.id}`, isText);
  const knots = typedSpeed === null ? NaN : Number(typedSpeed.replace(',', '.'));
  const speedMS = knots >= 0.2 && knots <= 12 ? knots * KNOT_MS : null;
  const goal =
    wanted.value === null || wanted.value <= 0
      ? null
      : goalKind === 'depth'
        ? { depthM: wanted.value }
        : { setbackM: wanted.value };
  const depth = useDepth(view, goal, speedMS);
  const { rig, answer, curves } = depth;
  const hasTopShot = topShotOf(view) !== null;
  return (
    <div className="flex flex-col gap-4">
      <DepthAnswerCard
        view={view}
        depth={depth}
        goal={{ kind: goalKind, onKind: setGoalKind, field: wanted.field }}
        speed={{
          typed: typedSpeed,
          onTyped: setSpeed,
          isOff: typedSpeed !== null && typedSpeed !== '' && speedMS === null,
        }}
      />
      {answer && !rig.isDiveOpen && <TowDrawing view={view} depth={depth} answer={answer} />}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <CollapsibleCard id="towed" title="How it is towed" line={towedWords(rig, format)}>
          <TowedForm rig={rig} />
        </CollapsibleCard>
        <CollapsibleCard
          id="water-log"
          title="The water log"
          line={logLine(record.waterMarks.length, rig.marks.length)}
        >
          <WaterLog view={view} rig={rig} answer={answer} />
        </CollapsibleCard>
        {answer && !rig.isDiveOpen && (
          <>
            <div className="min-w-0 has-data-[state=open]:lg:col-span-2">
              <CollapsibleCard id="depth-lens" title="Depth, all along the line" line={lensLine(curves, format)}>
                {curves ? <DepthLens view={view} depth={depth} curves={curves} /> : <Working />}
              </CollapsibleCard>
            </div>
            <CollapsibleCard
              id="others-say"
              title="What else says so"
              line="rule of thumb, physics, depths that were seen"
            >
              {curves ? <DepthSources view={view} depth={depth} answer={answer} curves={curves} /> : <Working />}
            </CollapsibleCard>
            {hasTopShot && (
              <CollapsibleCard
                id="top-shot"
                title="How long a top shot"
                line="for a distance back with little lead core out"
              >
                <TopShotLength view={view} rig={rig} answer={answer} />
              </CollapsibleCard>
            )}
            <div className="min-w-0 has-data-[state=open]:lg:col-span-2">
              <CollapsibleCard
                id="depth-table"
                title="Every colour and join"
                line="as each leaves the tip: reading and depth"
              >
                {curves ? <DepthTable view={view} depth={depth} curves={curves} /> : <Working />}
              </CollapsibleCard>
            </div>
          </>
        )}
      </div>
    </div>
  );
}

const Working = () => <p className="text-ink-soft">Working it out …</p>;

function lensLine(curves: DepthCurves | null, format: Formatter): string {
  const last = curves?.along.at(-1);
  return last
    ? `${format.length(last.value, last.plusMinus)} with all that may be out; slower and faster`
    : 'slower and faster';
}

function logLine(all: number, teaching: number): string {
  if (all === 0) return 'nothing noted yet';
  return `${all} noted, ${teaching} of them tune the depth`;
}
