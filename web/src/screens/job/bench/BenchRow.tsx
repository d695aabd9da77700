import type { Outcome } from '@iron-cradle/core';
import { Shape } from '../../../look/Shapes.tsx';

interface BenchRowProps {
  id: string;
  outcome: Outcome;
  title: string;
  text: string;
  onOpen: () => void;
}

/** One thing the bench tries besides the unit: how it stands, in a row that is itself the button. */
export function BenchRow({ id, outcome, title, text, onOpen }: BenchRowProps) {
  return (
    <button
      type="button"
      className="flex min-h-18 w-full items-center gap-3 border-t-2 border-ink py-3 text-left"
      data-action={id}
      data-outcome={outcome}
      onClick={onOpen}
    >
      <Shape outcome={outcome} size={28} />
      <span className="min-w-0 flex-1 leading-tight">
        <span className="narrow block text-24">{title}</span>
        <span className="block text-quiet">{text}</span>
      </span>
    </button>
  );
}
