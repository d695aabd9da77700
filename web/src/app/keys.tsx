import { useEffect, useEffectEvent, useState } from 'react';
import { Sheet } from '../ui/Sheet.tsx';

/** A key of the screen. */
export interface Key {
  /** As in KeyboardEvent.key; letters in lower case. */
  key: string;
  /** Shown to people. */
  shown?: string;
  /** What it does, in a few words. */
  does: string;
  /** Does it. */
  run: () => void;
  /** Does it again and again while it is held down; else once a press, however long a foot rests on a pedal. */
  held?: boolean;
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, select, [role="dialog"]') !== null;

/**
 * Keys of the screen, and “?” that shows them. A key does nothing while somebody types or a sheet is open, and Enter
 * stays with the control that has the focus.
 */
export function useKeys(keys: readonly Key[]): React.ReactNode {
  const [shown, setShown] = useState(false);
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    if (event.key === '?') return setShown(true);
    if (event.key === 'Enter' && event.target instanceof HTMLElement && event.target.closest('button, a, summary'))
      return;
    const found = keys.find((k) => k.key === event.key || k.key === event.key.toLowerCase());
    if (!found) return;
    event.preventDefault();
    if (!event.repeat || found.held) found.run();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Sheet
      open={shown}
      onClose={() => setShown(false)}
      title="Keys"
      hint="They rest while you type or a sheet is open."
    >
      <dl className="ruled">
        {[...keys, { key: '?', does: 'show these keys', run: () => undefined } satisfies Key as Key].map((k) => (
          <div key={k.key} className="flex gap-4 py-2">
            <dt className="reading w-[6rem] font-semibold">{k.shown ?? k.key}</dt>
            <dd>{k.does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
