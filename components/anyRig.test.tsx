import type { ReactNode } from 'react';
import { renderToString } from 'react-dom/server';
import { rigSummary } from '@/core/rig/rigSummary';
import type { RigRecord } from '@/core/record/record';
import { anyRig } from '../tests/anyRig';
import { RodCard } from './cards/RodCard';
import { CountStation } from './count/CountStation';
import { DragStation } from './drag/DragStation';
import { FleetPage } from './fleet/FleetPage';
import { JoinsStation } from './joins/JoinsStation';
import { LoadStation } from './load/LoadStation';
import { Locker } from './locker/Locker';
import { RigFrame } from './rig/RigFrame';
import { stationStates } from '@/core/rig/stationStates';
import { viewFound } from '@/core/rig/view/rigView';
import { RigProvider } from './rig/RigProvider';
import { WholeLine } from './rig/WholeLine';
import { StrengthStation } from './strength/StrengthStation';
import { Toasts } from './ui/Toasts';
import { DepthStation } from './tow/DepthStation';
import { UnitsProvider } from './units/UnitsProvider';

const PAGES: Readonly<Record<string, (record: RigRecord) => ReactNode>> = {
  'the whole line': () => <WholeLine />,
  load: () => <LoadStation />,
  joins: () => (
    <JoinsStation
      people={[]}
      drills={[]}
      windOns={[]}
      crew={{ tested: {}, tied: {} }}
      ownFigures={[]}
      now={Date.UTC(2026, 3, 10)}
    />
  ),
  count: () => <CountStation />,
  strength: () => <StrengthStation />,
  drag: () => <DragStation />,
  depth: () => <DepthStation />,
  card: () => <RodCard />,
  locker: (record) => <Locker boatId="boat" rigs={[rigSummary(record)]} isWhole />,
  fleet: (record) => <FleetPage boatId="boat" boatName="Halyard Lark" rigs={[record]} />,
};

/** What the server makes of a page: it must not throw, and must not show a figure that is none. */
function pageOf(record: RigRecord, page: ReactNode): string {
  return renderToString(
    <UnitsProvider initial={{ length: 'm', smallLength: 'mm', force: 'kg' }}>
      <Toasts>
        <RigProvider record={record} found={viewFound(record)} states={stationStates(record)}>
          <RigFrame>{page}</RigFrame>
        </RigProvider>
      </Toasts>
    </UnitsProvider>,
  );
}

function whereOf(error: unknown): string {
  const at = error instanceof Error ? (error.stack ?? '').split('\n').slice(1, 4) : [];
  return `${String(error)}${at.map((line) => line.replace(/\(.*\/|\s+at/g, ' ')).join()}`;
}

/** Each rig is drawn on all ten pages; RIGS asks for more of them. */
const RIGS = Number(process.env.RIGS ?? 60);
const FIRST = Number(process.env.FIRST ?? 1);

describe('any rig that the schemas let through', () => {
  it('has pages, whatever was noted of it', () => {
    const fallen: string[] = [];
    for (let seed = FIRST; seed < FIRST + RIGS; seed += 1) {
      let record: RigRecord;
      try {
        record = anyRig(seed);
      } catch (error) {
        fallen.push(`rig ${seed}: ${whereOf(error)}`);
        continue;
      }
      for (const [name, page] of Object.entries(PAGES)) {
        try {
          const shown = /\bNaN\b|\[object /.exec(pageOf(record, page(record)));
          if (shown) fallen.push(`rig ${seed}, ${name}: shows ${shown[0]}`);
        } catch (error) {
          fallen.push(`rig ${seed}, ${name}: ${whereOf(error)}`);
        }
      }
    }
    expect(fallen).toEqual([]);
  }, 600_000);
});
