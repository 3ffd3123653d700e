'use client';

import { useState } from 'react';

/** For a dialog that is drawn when it is opened, and so has no trigger of its own: on closing, the focus goes back to what opened it. */
export function useOpener(): { readonly onCloseAutoFocus: (event: Event) => void } {
  const [opener] = useState(() => (document.activeElement instanceof HTMLElement ? document.activeElement : null));
  return {
    onCloseAutoFocus(event) {
      event.preventDefault();
      opener?.focus();
    },
  };
}
