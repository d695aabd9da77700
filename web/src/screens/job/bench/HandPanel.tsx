import type { ReactNode } from 'react';

/** On a phone it opens below the drawing: there it is brought in sight. */
const inSight = (panel: HTMLElement | null) => panel?.scrollIntoView({ block: innerWidth < 640 ? 'start' : 'nearest' });

interface HandPanelProps {
  id: string;
  title: string;
  hint: string;
  onDone: () => void;
  children: ReactNode;
}

/** What is in hand on the bench, beside its drawing: a part, a place, a question. */
export function HandPanel({ id, title, hint, onDone, children }: HandPanelProps) {
  return (
    <section ref={inSight} aria-label={title} className="grid gap-4 p-4 mid:p-6" data-hand={id}>
      <div className="flex items-start justify-between gap-3">
        <div className="min-w-0">
          <h2 className="text-32 leading-tight">{title}</h2>
          <p className="text-quiet">{hint}</p>
        </div>
        <button type="button" className="btn shrink-0" onClick={onDone}>
          Back
        </button>
      </div>
      {children}
    </section>
  );
}
