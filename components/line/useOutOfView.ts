'use client';

import { useEffect, useRef, useState, type RefObject } from 'react';

/** Whether an element lies wholly outside of the window. */
export function useOutOfView<T extends HTMLElement>(): { readonly ref: RefObject<T | null>; readonly isOut: boolean } {
  const ref = useRef<T>(null);
  const [isOut, setOut] = useState(false);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const watch = new IntersectionObserver(([entry]) => {
      if (entry) setOut(!entry.isIntersecting);
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { ref, isOut };
}
