'use client';

import { TEXT_SIZES, THEMES } from '@/components/appearance/appearance';
import { setAppearance, useAppearance } from '@/components/appearance/useAppearance';
import { openAll, useAllOpen } from '@/components/ui/folds';
import { ToggleRow } from '@/components/ui/ToggleRow';

const OPENED = ['the answer', 'everything'] as const;
const ROOM = 'min-h-11 grow px-3';

/** Colours and text size of this device: sun on deck, night at the rail, glasses left ashore. */
export function AppearanceSwitch() {
  const { theme, text } = useAppearance();
  const isAllOpen = useAllOpen();
  return (
    <>
      <div className="text-sm">
        <p className="mb-1 font-semibold">Colours</p>
        <ToggleRow
          label="Colours"
          value={theme}
          options={THEMES}
          onChange={(next) => setAppearance({ theme: next })}
          room={ROOM}
        />
      </div>
      <div className="text-sm">
        <p className="mb-1 font-semibold">Text</p>
        <ToggleRow
          label="Text"
          value={text}
          options={TEXT_SIZES}
          onChange={(next) => setAppearance({ text: next })}
          room={ROOM}
        />
      </div>
      <div className="text-sm">
        <p className="mb-1 font-semibold">Pages open with</p>
        <ToggleRow
          label="Pages open with"
          value={isAllOpen ? 'everything' : 'the answer'}
          options={OPENED}
          onChange={(next) => openAll(next === 'everything')}
          room={ROOM}
        />
      </div>
    </>
  );
}
