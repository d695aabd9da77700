import { useCallback, useRef, useState } from 'react';

/** The size of an element as it is laid out, px. */
export function useSize<T extends HTMLElement>(): [(element: T | null) => void, { width: number; height: number }] {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const observer = useRef<ResizeObserver | null>(null);
  const ref = useCallback((element: T | null) => {
    observer.current?.disconnect();
    if (!element) return;
    observer.current = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize((before) =>
        Math.abs(before.width - width) < 1 && Math.abs(before.height - height) < 1 ? before : { width, height },
      );
    });
    observer.current.observe(element);
  }, []);
  return [ref, size];
}
