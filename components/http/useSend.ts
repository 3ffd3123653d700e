'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import type { ReplyOf } from '@/usecases/requests/handlers';
import type { RequestName, RequestParams } from '@/usecases/requests/routes';
import type { RequestInput } from '@/usecases/requests/schemas';
import { useToast } from '@/components/ui/Toasts';
import { send, type SendFailure, type SendResult } from './send';

export type SendState =
  { readonly kind: 'idle' } | { readonly kind: 'sending' } | { readonly kind: 'failed'; readonly failure: SendFailure };

/** The rig on whose history an act stands, where it is one that can be undone there. */
function rigOf(name: RequestName, params: unknown): RequestParams<'undoActs'> | null {
  const { boatId, rigId } = params as Readonly<Partial<Record<string, string>>>;
  return boatId && rigId && name !== 'undoActs' ? { boatId, rigId } : null;
}

/**
 * Sends requests for a form: keeps its state, shows a failure where the form shows it and as a toast,
 * and brings the page's data up to date on success, and where the act was refused because the page was behind.
 */
export function useSend(): {
  state: SendState;
  sendNow<N extends RequestName>(
    name: N,
    params: RequestParams<N>,
    body: RequestInput<N>,
    saidWhenDone?: string,
  ): Promise<SendResult<ReplyOf<N>>>;
  fieldError(path: string): string | undefined;
} {
  const router = useRouter();
  const toast = useToast();
  const [state, setState] = useState<SendState>({ kind: 'idle' });
  const undo = useCallback(
    async (rig: RequestParams<'undoActs'>, actId: string): Promise<void> => {
      const undone = await send('undoActs', rig, { fromId: actId, newestId: actId });
      toast(
        undone.ok ? 'Undone. The history of this rod can bring it back.' : undone.message,
        undone.ok ? 'done' : 'problem',
      );
      router.refresh();
    },
    [router, toast],
  );
  const sendNow = useCallback(
    async <N extends RequestName>(
      name: N,
      params: RequestParams<N>,
      body: RequestInput<N>,
      saidWhenDone?: string,
    ): Promise<SendResult<ReplyOf<N>>> => {
      setState({ kind: 'sending' });
      const result = await send(name, params, body);
      if (result.ok) {
        setState({ kind: 'idle' });
        const rig = rigOf(name, params);
        if (saidWhenDone) toast(saidWhenDone, 'done', rig ? () => void undo(rig, result.actId) : undefined);
        router.refresh();
      } else {
        setState({ kind: 'failed', failure: result });
        toast(result.message, 'problem');
        if (result.isBehind) router.refresh();
      }
      return result;
    },
    [router, toast, undo],
  );
  const fieldError = useCallback(
    (path: string) => (state.kind === 'failed' ? state.failure.fields[path] : undefined),
    [state],
  );
  return { state, sendNow, fieldError };
}
