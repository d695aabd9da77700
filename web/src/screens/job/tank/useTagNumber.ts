import { useEffect, useEffectEvent } from 'react';
import type { JobState } from '@iron-cradle/core';

/** Typing a tag's number anywhere opens it. */
export function useTagNumber(state: JobState, open: (key: string) => void): void {
  const onNumber = useEffectEvent((tag: number) => {
    const item = state.items.find((i) => i.tag === tag);
    if (item) open(item.key);
  });
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
        onNumber(Number(digits));
        digits = '';
      }, 500);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('keydown', onKey);
    };
  }, []);
}
