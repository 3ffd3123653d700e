'use client';

import { useCallback, useState } from 'react';
import type { ReplyOf } from '@/usecases/requests/handlers';
import type { RequestName, RequestParams } from '@/usecases/requests/routes';
import type { RequestInput } from '@/usecases/requests/schemas';
import type { ToastAct } from '@/components/ui/shown';
import { useToast } from '@/components/ui/Toasts';
import { useGo } from '@/components/ui/useGo';
import { send, type SendFailure, type SendResult } from './send';

export type SendState =
  { readonly kind: 'idle' } | { readonly kind: 'sending' } | { readonly kind: 'failed'; readonly failure: SendFailure };

/** How long an answer may take until it is said that it is still waited for (ms). */
const LONG_MS = 3000;

const again = (act: () => void): ToastAct => ({ label: 'Try again', meaning: 'Press it again on this page', act });

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
  const go = useGo();
  const toast = useToast();
  const [state, setState] = useState<SendState>({ kind: 'idle' });
  const undo = useCallback(
    async (rig: RequestParams<'undoActs'>, actId: string): Promise<void> => {
      const tryIt = async (): Promise<void> => {
        const undone = await send('undoActs', rig, { fromId: actId, newestId: actId });
        if (undone.ok) toast('Undone. The history of this rod can bring it back.', 'done');
        // Its button went with the message before: the way to press it again stands in this one.
        else toast(undone.message, 'problem', undone.isUnheard ? again(() => void tryIt()) : undefined);
        if (!undone.ok && undone.isUnheard) return;
        go.refresh();
      };
      await tryIt();
    },
    [go, toast],
  );
  const sendNow = useCallback(
    async <N extends RequestName>(
      name: N,
      params: RequestParams<N>,
      body: RequestInput<N>,
      saidWhenDone?: string,
    ): Promise<SendResult<ReplyOf<N>>> => {
      setState({ kind: 'sending' });
      const stop = new AbortController();
      let said = (): void => undefined;
      const timer = setTimeout(() => {
        said = toast('Still saving …', 'busy', {
          label: 'Stop waiting',
          meaning: 'Stop waiting for the answer, and try again',
          act: () => stop.abort(),
        });
      }, LONG_MS);
      const result = await send(name, params, body, stop.signal);
      clearTimeout(timer);
      said();
      if (result.ok) {
        setState({ kind: 'idle' });
        const rig = rigOf(name, params);
        const act = rig && {
          label: 'Undo',
          meaning: 'Undo it in the history of this rod',
          act: () => void undo(rig, result.actId),
        };
        if (saidWhenDone) toast(saidWhenDone, 'done', act ?? undefined);
        go.refresh();
      } else {
        setState({ kind: 'failed', failure: result });
        toast(result.message, 'problem');
        if (result.isBehind) go.refresh();
      }
      return result;
    },
    [go, toast, undo],
  );
  const fieldError = useCallback(
    (path: string) => (state.kind === 'failed' ? state.failure.fields[path] : undefined),
    [state],
  );
  return { state, sendNow, fieldError };
}
