'use client';

import { Command, defaultFilter } from 'cmdk';
import { usePathname } from 'next/navigation';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { JOIN_KIND_NAMES, JOIN_KINDS } from '@/core/joins/joinKinds';
import { TEXT_SIZES, THEMES } from '@/components/appearance/appearance';
import { setAppearance } from '@/components/appearance/useAppearance';
import { GLOSSARY } from '@/words/glossary';
import { rigToTour } from '@/components/tour/rigToTour';
import { goToStop } from '@/components/tour/tourStore';
import { useUnits } from '@/components/units/UnitsProvider';
import { useGo } from '@/components/ui/useGo';
import { knotsPath, type Place } from './paths';
import { useRecentPlaces } from './useRecentPlaces';

const ITEM =
  'flex min-h-11 cursor-pointer items-center gap-2 px-3 data-[selected=true]:bg-rule data-[selected=true]:text-rule-ink';

/** Names of words of the glossary begin so: their meaning stands where other names would. */
const WORD = 'What it means:';

const KEYS: readonly [string, string][] = [
  ['Ctrl K', 'find a place or a command'],
  ['?', 'this help'],
  ['← →', 'move the cursor along the line by one unit (the ribbon must have the focus)'],
  ['Shift ← →', 'move it by ten units'],
  ['Home, End', 'hook, arbor'],
  ['← → on a join', 'make the segment longer or shorter, while a line is planned'],
  ['Tab', 'the next field or button'],
];

/** Places and acts go before the meaning of a word of the same name. */
const placesFirst = (value: string, typed: string, words?: string[]): number =>
  (value.startsWith(WORD) ? 0.5 : 1) * defaultFilter(value, typed, words);

/** Every way to join, by its plain name and by those under which handbooks have it. */
const knotPlaces = (boatId: string): readonly Place[] =>
  JOIN_KIND_NAMES.map((kind) => ({
    label: `How to tie: ${JOIN_KINDS[kind].name}`,
    path: knotsPath(boatId, kind),
    alsoCalled: JOIN_KINDS[kind].alsoKnownAs,
  }));

/** Something that is done from the palette, and the words by which it is found too. */
interface Act {
  readonly label: string;
  readonly alsoCalled: readonly string[];
  readonly work: () => void;
}

/** Places, acts, settings and help to be found by name, the recent ones first; or the keys. */
export function Palette({
  shows,
  places,
  onClose,
  onHelp,
}: {
  shows: 'palette' | 'help';
  places: readonly Place[];
  onClose: () => void;
  onHelp: () => void;
}) {
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[12vh] left-1/2 z-50 w-[34rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 rounded-sm border-2 border-ink bg-card"
        >
          {shows === 'help' ? <Keys /> : <Found places={places} onClose={onClose} onHelp={onHelp} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Keys() {
  return (
    <div className="max-h-[76vh] overflow-y-auto p-4" tabIndex={0} role="region" aria-label="Keys and words">
      <Dialog.Title className="lettered text-lg">Keys</Dialog.Title>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="figures font-semibold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <h2 className="mt-5 lettered text-lg">Words</h2>
      <p className="mt-1 text-sm">
        Double-click a word on any page, or hold it down on a phone: its meaning stands beside it.
      </p>
      <dl className="mt-2 flex flex-col gap-1.5 text-sm">
        {GLOSSARY.map(({ term, meaning }) => (
          <div key={term}>
            <dt className="inline font-semibold">{term}</dt>
            <dd className="inline"> · {meaning}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

function Found({ places, onClose, onHelp }: { places: readonly Place[]; onClose: () => void; onHelp: () => void }) {
  const go = useGo();
  const { setUnits } = useUnits();
  const [recent, add] = useRecentPlaces();
  // Knots are those of the boat that is open.
  const boatId = /^\/boats\/([^/]+)/.exec(usePathname())?.[1];
  const knots = boatId ? knotPlaces(boatId) : [];
  const goTo = (place: Place) => (): void => {
    add(place);
    onClose();
    go.to(place.path);
  };
  const act = (work: () => void) => (): void => {
    onClose();
    work();
  };
  const rig = rigToTour(usePathname(), places);
  const acts: readonly Act[] = [
    ...(rig
      ? [
          {
            label: 'Take the tour',
            alsoCalled: ['guide', 'how it works', 'first steps', 'begin', 'tutorial'],
            work: () => {
              goToStop(rig, 0);
              go.to(rig);
            },
          },
        ]
      : []),
    {
      label: 'Show feet, inches and pounds',
      alsoCalled: ['units', 'imperial', 'ft', 'lb'],
      work: () => setUnits({ length: 'ft', smallLength: 'in', force: 'lb' }),
    },
    {
      label: 'Show metres, millimetres and kilograms',
      alsoCalled: ['units', 'metric', 'm', 'kg'],
      work: () => setUnits({ length: 'm', smallLength: 'mm', force: 'kg' }),
    },
    ...THEMES.map((theme) => ({
      label: `Colours: ${theme}`,
      alsoCalled: ['theme', 'dark mode', 'light mode', 'night', 'sun'],
      work: () => setAppearance({ theme }),
    })),
    ...TEXT_SIZES.map((text) => ({
      label: `Text: ${text}`,
      alsoCalled: ['font size', 'bigger', 'smaller', 'zoom'],
      work: () => setAppearance({ text }),
    })),
  ];
  return (
    <Command label="Find a place or a command" filter={placesFirst}>
      <Dialog.Title className="sr-only">Find a place or a command</Dialog.Title>
      <Command.Input
        placeholder="Where to, or what?"
        className="min-h-12 w-full border-b-2 border-ink bg-transparent px-3 outline-none"
      />
      <Command.List className="max-h-80 overflow-y-auto py-1">
        <Command.Empty className="px-3 py-4 text-ink-soft">Nothing here is called that.</Command.Empty>
        {recent.map((place) => (
          <Item key={`recent ${place.path}`} name={`${place.label}, recently`} words={[]} onSelect={goTo(place)}>
            {place.label} <span className="text-sm text-ink-soft">recently</span>
          </Item>
        ))}
        {[...places, ...knots].map((place) => (
          <Item key={place.path} name={place.label} words={place.alsoCalled ?? []} onSelect={goTo(place)}>
            {place.label}
          </Item>
        ))}
        <Item name="Keys and help" words={['shortcuts', 'keyboard', '?']} onSelect={onHelp}>
          Keys and help
        </Item>
        {GLOSSARY.map(({ term, also, meaning }) => (
          <Item key={`word ${term}`} name={`${WORD} ${term}`} words={also ?? []} onSelect={onHelp}>
            <span>
              <b>{term}</b> <span className="text-sm">{meaning}</span>
            </span>
          </Item>
        ))}
        {acts.map(({ label, alsoCalled, work }) => (
          <Item key={label} name={label} words={alsoCalled} onSelect={act(work)}>
            {label}
          </Item>
        ))}
      </Command.List>
    </Command>
  );
}

/** @param words other words by which it is found; of knots and places they stand beside the name */
function Item({
  name,
  words,
  onSelect,
  children,
}: {
  name: string;
  words: readonly string[];
  onSelect: () => void;
  children: ReactNode;
}) {
  return (
    <Command.Item value={name} keywords={[...words]} onSelect={onSelect} className={ITEM}>
      {children}
      {words.length > 0 && !name.startsWith(WORD) && (
        <span className="truncate text-sm text-ink-soft">{words.join(', ')}</span>
      )}
    </Command.Item>
  );
}
