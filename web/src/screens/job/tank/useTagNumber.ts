import { useEffect, useRef } from 'react';
import type { JobState } from '@iron-cradle/core';

/** Typing a tag's number anywhere opens it. */
export function useTagNumber(state: JobState, open: (key: string) => void): void {
  const current = useRef(state);
  current.current = state;
  useEffect(() => {
    let digits = '';
    let timer: ReturnType<typeof setTimeout> | undefined;
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (
        target?.closest('input, textarea, [role="dialog"]') ||
        event.ctrlKey ||
        event.metaKey ||
        !/^\d$/.test(event.key)
      )
        return;
      digits += event.key;
      clearTimeout(timer);
      timer = setTimeout(() => {
        const item = current.current.items.find((i) => i.tag === Number(digits));
        digits = '';
        if (item) open(item.key);
      }, 500);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('keydown', onKey);
    };
  }, [open]);
}
