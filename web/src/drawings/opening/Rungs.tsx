import type { RungId } from '@iron-cradle/core';
import { Paint } from '../../look/Shapes.tsx';

interface LadderProps {
  /** The gentlest first. */
  rungs: readonly { id: RungId; name: string; tried: boolean }[];
  chosen: RungId | null;
  onChoose: (id: RungId) => void;
}

/** The ladder stands on the floor: the gentlest rung is the lowest, what was tried is filled. */
export function Ladder({ rungs, chosen, onChoose }: LadderProps) {
  return (
    <ol className="flex flex-col-reverse border-x-[5px] border-ink px-0" aria-label="rungs, the gentlest first">
      {rungs.map(({ id, name, tried }) => (
        <li key={id}>
          <button
            type="button"
            className={`relative flex h-16 w-full items-center gap-3 px-4 text-left ${chosen === id ? 'bg-ground' : ''}`}
            aria-pressed={chosen === id}
            data-rung-of={id}
            data-tried={tried}
            onClick={() => onChoose(id)}
          >
            <span
              aria-hidden
              className={`absolute inset-x-0 bottom-0 h-3 border-y-[3px] border-ink ${tried ? 'bg-ink' : 'bg-sheet'}`}
            />
            <span className="narrow flex-1 pb-2 text-20">{name}</span>
            {tried && <span className="pb-2 text-quiet">tried</span>}
            {chosen === id && !tried && <Paint width={44} className="mb-2" />}
          </button>
        </li>
      ))}
    </ol>
  );
}
