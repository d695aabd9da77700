import { lengthIn, shortName, type JobState, type UpItem } from '@iron-cradle/core';
import { useUnits } from '../../../app/units.ts';
import { Glyph } from '../../../look/glyphs.tsx';
import { glyphOf } from '../../../look/glyphOf.ts';
import { Paint } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';

interface UpListProps {
  items: readonly UpItem[];
  state: JobState;
  /** Does the tank hang at this stop already? */
  here: boolean;
  onTag: (key: string) => void;
}

/** What is made at this stop, the first to be lost from reach first. */
export function UpList({ items, state, here, onTag }: UpListProps) {
  const units = useUnits();
  return (
    <ol className="up-list ruled" aria-label="to make here">
      {items.map((item, i) => {
        return (
          <li key={item.key}>
            <button
              type="button"
              className="up-row flex min-h-16 w-full items-center gap-3 py-1.5 text-left"
              onClick={() => onTag(item.key)}
            >
              <Tag number={item.tag} />
              <span className="min-w-0 flex-1">
                <span className="narrow flex flex-wrap items-center gap-x-2 text-20">
                  <Glyph name={glyphOf(state.vehicle, item.key)} size={20} />
                  {shortName(item.name)}
                  {i === 0 && here && <Paint width={42} />}
                </span>
                <span className="tank-hint block leading-tight text-quiet max-mid:line-clamp-1">{item.hint}</span>
              </span>
              <span
                className={`up-by max-w-[6.75rem] shrink-0 text-right text-16 leading-tight ${item.lastChance ? 'font-bold' : ''}`}
              >
                {item.lastChance ? 'last chance here' : item.by !== null ? `by ${lengthIn(item.by, units).figure}` : ''}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
