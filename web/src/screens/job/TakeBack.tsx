import { Undo2 } from 'lucide-react';
import { useJob } from '../../log/useJob.ts';
import { useTakeBack } from './useTakeBack.ts';

/** Undo: one tap, and it names what it takes back. */
export function TakeBack({ boxed = false }: { boxed?: boolean }) {
  const { enter } = useJob();
  const last = useTakeBack();
  if (!last) return <span className="min-h-11" />;
  return (
    <button
      type="button"
      data-action="take-back"
      onClick={() => void enter('takeBack', { entry: last.entry })}
      className={boxed ? 'btn' : 'flex min-h-11 items-center gap-2 text-left text-quiet'}
    >
      <Undo2 size={18} aria-hidden className="shrink-0" />
      <span>Take back: {last.words}</span>
    </button>
  );
}
