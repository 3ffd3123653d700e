'use client';

import { setNonce } from 'get-nonce';
import type { ReactNode } from 'react';
import { SavingLine } from '@/components/http/SavingLine';
import { Tour } from '@/components/tour/Tour';
import { Toasts } from '@/components/ui/Toasts';
import { WordMeaning } from '@/components/words/WordMeaning';
import { Awake } from './Awake';
import { UnitsProvider } from '@/components/units/UnitsProvider';
import type { UnitChoice } from '@/core/units/units';

/** Everything that all screens share. The nonce lets dialogs add their one style under the page's policy. */
export function Providers({ units, nonce, children }: { units: UnitChoice; nonce: string; children: ReactNode }) {
  if (typeof window !== 'undefined' && nonce) setNonce(nonce);
  return (
    <UnitsProvider initial={units}>
      <Awake>
        <Toasts>
          {children}
          <Tour />
        </Toasts>
        <SavingLine />
        <WordMeaning />
      </Awake>
    </UnitsProvider>
  );
}
