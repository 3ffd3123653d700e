'use client';

import { useEffect, useRef, useState } from 'react';

/** Width of an element in pixels, followed as it changes. */
export function useWidth<E extends HTMLElement>(initial: number) {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(initial);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) setWidth(entry.contentRect.width);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, width };
}
