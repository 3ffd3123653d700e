'use client';

import { useGo } from '@/components/ui/useGo';
import { PERSON_COOKIE } from './personCookie';

const YEAR_S = 31_536_000;

/** Says who is at the bench on this device, so that every measurement carries who noted it. */
export function NotingAs({ crew }: { crew: Crew }) {
  const go = useGo();
  if (crew.people.length === 0) return null;
  const choose = (personId: string): void => {
    document.cookie = `${PERSON_COOKIE}=${personId}; path=/; max-age=${personId === '' ? 0 : YEAR_S}; samesite=strict`;
    go.refresh();
  };
  return (
    <label className="flex items-center gap-1.5 text-sm">
      <span>Noted by</span>
      <select
        className="min-h-11 max-w-36 rounded-sm border border-edge-strong bg-card px-1.5 font-semibold"
        value={crew.person ?? ''}
        onChange={(event) => choose(event.target.value)}
      >
        <option value="">nobody named</option>
        {crew.people.map((person) => (
          <option key={person.id} value={person.id}>
            {person.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** The crew of a boat, and the one who is at the bench on this device. */
export interface Crew {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
}
