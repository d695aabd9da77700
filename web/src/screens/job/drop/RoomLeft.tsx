import { lengthIn, shortName } from '@iron-cradle/core';
import { useUnits } from '../../../app/units.ts';
import { Ladder } from '../../../drawings/ladder/Ladder.tsx';
import { Tag } from '../../../look/Tag.tsx';
import type { Descent } from './useDescent.ts';

/** The depth ladder with its look: tap a line that looks tight, part one the plan did not say. */
export function RoomLeft({ descent }: { descent: Descent }) {
  const { stop, bundle, state } = descent;
  const units = useUnits();
  const { unit } = lengthIn(0, units);
  const off = state.items.filter((i) => i.kind === 'line' && i.state !== 'closed');
  if (stop.holders.length === 0 && off.length === 0) return null;
  const looks = stop.kind !== 'start' && stop.kind !== 'out';
  return (
    <section aria-label="room left" className="pb-3 pt-3">
      {stop.holders.length > 0 && (
        <p className="text-quiet">
          {looks ? `Room left, ${unit}. Tap one: tight, nearly, can’t see it.` : `Room left once it moves, ${unit}`}
        </p>
      )}
      <Ladder
        holders={stop.holders}
        units={units}
        seen={bundle.seen}
        {...(looks ? { onSeen: descent.cycleSeen } : {})}
        end={(holder) => {
          const way = holder.key.startsWith('line:') ? descent.mayPart(holder.key) : null;
          if (!way) return <span className="w-16 shrink-0" />;
          const on = bundle.extra[holder.key] !== undefined;
          return (
            <button
              type="button"
              className="btn my-1 min-h-12 w-16 shrink-0 px-1 text-16"
              aria-pressed={on}
              aria-label={`part ${holder.name} here`}
              data-part={holder.key}
              onClick={() => descent.toggleExtra(holder.key, way)}
            >
              {on ? 'parted' : 'part'}
            </button>
          );
        }}
      />
      {looks && stop.holders.some((h) => h.key.startsWith('line:')) && (
        <div className="grid grid-cols-2 gap-3 pt-2">
          <button
            type="button"
            className="btn min-h-11 text-16"
            data-all="fist"
            aria-pressed={bundle.allFist}
            onClick={descent.toggleFist}
          >
            all more than a fist
          </button>
          <button
            type="button"
            className="btn min-h-11 text-16"
            data-all="blind"
            aria-pressed={bundle.blind}
            onClick={descent.toggleBlind}
          >
            none in sight
          </button>
        </div>
      )}
      {stop.needs.length > 0 && looks && (
        <p className="pt-2 text-quiet">
          Only guessed:{' '}
          {stop.needs.map((n) => `${shortName(n.name)} needs to let ${lengthIn(n.mm, units).figure}`).join(', ')} before
          a hand gets there.
        </p>
      )}
      {off.length > 0 && (
        <ul className="flex flex-wrap gap-x-4 gap-y-2 pt-3 mid:hidden">
          {off.map((item) => (
            <li key={item.key} className="flex items-center gap-2 text-16">
              <Tag number={item.tag} size="sm" />
              <span className="[font-stretch:85%]">
                {shortName(item.name)}
                {item.capped ? ', capped' : ''}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
