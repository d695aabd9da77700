import type { Outcome } from '@iron-cradle/core';
import { Shape } from '../../look/Shapes.tsx';

/** A port of the new part on the drawing. */
export interface DrawnPort {
  /** Id of its line. */
  id: string;
  /** As people call the line. */
  name: string;
  /** Number painted on it. */
  tag: number | null;
  /** How it is; null: nobody looked. */
  outcome: Outcome | null;
}

interface PortsDrawingProps {
  ports: readonly DrawnPort[];
  chosen: string | null;
  onChoose: (id: string) => void;
}

/** The new part laid on the old one, seen from above: the old in broken line, every port a square to be touched. */
export function PortsDrawing({ ports, chosen, onChoose }: PortsDrawingProps) {
  return (
    <div className="relative pb-2 pl-2" role="group" aria-label="new laid on old">
      <span aria-hidden className="absolute inset-0 bottom-4 right-4 border-2 border-dashed border-quiet" />
      <ul className="relative ml-1 mt-2 grid grid-cols-3 gap-x-2 gap-y-4 border-[3px] border-ink bg-well px-2 py-5 mid:grid-cols-4">
        {ports.map((port) => (
          <li key={port.id} className="flex flex-col items-center gap-1">
            <button
              type="button"
              className={`grid size-16 place-items-center border-2 border-ink ${chosen === port.id ? 'bg-ground outline-3 outline-ink' : 'bg-sheet'}`}
              aria-pressed={chosen === port.id}
              aria-label={`${port.name}: ${port.outcome === null ? 'nobody looked' : port.outcome}`}
              data-port={port.id}
              data-outcome={port.outcome ?? 'none'}
              onClick={() => onChoose(port.id)}
            >
              <Shape outcome={port.outcome ?? 'unknown'} size={32} />
            </button>
            <span className="narrow text-16 leading-none">
              {port.tag ?? ''} {port.name.replace(/ (line|hose)$/, '')}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
