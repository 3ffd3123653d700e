'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { useToast } from '@/components/ui/Toasts';
import { send, type SendFailure, type SendResult } from './send';

export type SendState =
  { readonly kind: 'idle' } | { readonly kind: 'sending' } | { readonly kind: 'failed'; readonly failure: SendFailure };

/**
 * Sends requests for a form: keeps its state, shows a failure where the form shows it and as a toast,
 * and on success brings the page's data up to date.
 */
export function useSend(): {
  state: SendState;
  sendNow(method: 'POST' | 'PUT', path: string, body: unknown, saidWhenDone?: string): Promise<SendResult>;
  fieldError(path: string): string | undefined;
} {
  const router = useRouter();
  const toast = useToast();
  const [state, setState] = useState<SendState>({ kind: 'idle' });
  const sendNow = useCallback(
    async (method: 'POST' | 'PUT', path: string, body: unknown, saidWhenDone?: string) => {
      setState({ kind: 'sending' });
      const result = await send(method, path, body);
      if (result.ok) {
        setState({ kind: 'idle' });
        if (saidWhenDone) toast(saidWhenDone, 'done');
        router.refresh();
      } else {
        setState({ kind: 'failed', failure: result });
        toast(result.message, 'problem');
      }
      return result;
    },
    [router, toast],
  );
  const fieldError = useCallback(
    (path: string) => (state.kind === 'failed' ? state.failure.fields[path] : undefined),
    [state],
  );
  return { state, sendNow, fieldError };
}
