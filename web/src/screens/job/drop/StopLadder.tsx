import { lengthIn, lineOf, shortName, splitKey, type Action } from '@iron-cradle/core';
import { Check, X } from 'lucide-react';
import { useUnits } from '../../../app/units.ts';
import { Ladder } from '../../../drawings/ladder/Ladder.tsx';
import { Glyph, type GlyphName } from '../../../look/glyphs.tsx';
import { glyphOf } from '../../../look/glyphOf.ts';
import { Paint } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import type { Tick } from './useBundle.ts';
import type { Descent } from './useDescent.ts';

interface StopLadderProps {
  descent: Descent;
  /** A tag was tapped: all that is known of its line. */
  onLine: (key: string) => void;
}

/**
 * The ladder is the list: what comes off at this stop on top, each with its tag and its tick; below, what is still on, the
 * shortest first. A bar is tapped for what the eye says of it, a tag for all that is known of its line.
 */
export function StopLadder({ descent, onLine }: StopLadderProps) {
  const { stop, bundle, state, tags } = descent;
  const units = useUnits();
  const { unit } = lengthIn(0, units);
  const off = state.items.filter((i) => i.kind === 'line' && i.state !== 'closed');
  if (stop.actions.length === 0 && stop.holders.length === 0 && off.length === 0) return null;
  const looks = stop.kind !== 'start' && stop.kind !== 'out';
  const tag = (key: string, name: string) => (
    <button
      type="button"
      className="grid min-h-14 w-11 shrink-0 place-items-center"
      aria-label={`tag ${tags[key] ?? '–'}: what is known of the ${shortName(name)}`}
      data-facts={key}
      onClick={() => onLine(key)}
    >
      <Tag number={tags[key] ?? null} open={false} size="sm" />
    </button>
  );
  const next = stop.actions.find((a) => (bundle.ticks[a.key] ?? null) === null)?.key;
  return (
    <section aria-label="to do here, and room left" className="pb-3">
      {stop.holders.length > 0 && (
        <p className="pt-1.5 text-quiet">
          {looks ? `Room left, ${unit}. Tap: tight, nearly, can’t see` : `Room left once it moves, ${unit}`}
        </p>
      )}
      <Ladder
        holders={stop.holders}
        units={units}
        seen={bundle.seen}
        {...(looks ? { onSeen: descent.cycleSeen } : {})}
        start={(holder) => tag(holder.key, holder.name)}
        end={(holder) => {
          const way = holder.key.startsWith('line:') ? descent.mayPart(holder.key) : null;
          if (!way) return <span className="w-14 shrink-0" />;
          const on = bundle.extra[holder.key] !== undefined;
          return (
            <button
              type="button"
              className="btn my-1 min-h-12 min-w-14 shrink-0 px-0.5 text-16"
              aria-pressed={on}
              aria-label={`part ${holder.name} here`}
              data-part={holder.key}
              onClick={() => descent.toggleExtra(holder.key, way)}
            >
              {on ? 'parted' : 'part'}
            </button>
          );
        }}
      >
        {stop.actions.map((action) => (
          <li key={action.key} className="flex items-center gap-2">
            {tag(action.key, action.name)}
            <ToDo
              action={action}
              tick={bundle.ticks[action.key] ?? null}
              next={action.key === next}
              plug={lineOf(state.vehicle, splitKey(action.key).id)?.kind === 'plug'}
              glyph={glyphOf(state.vehicle, action.key)}
              onTick={() => descent.cycleTick(action.key)}
            />
          </li>
        ))}
      </Ladder>
      {looks && stop.holders.some((h) => h.key.startsWith('line:')) && (
        <div className="grid grid-cols-2 gap-3 pt-2">
          <button
            type="button"
            className="btn min-h-12 text-16"
            data-all="fist"
            aria-pressed={bundle.allFist}
            onClick={descent.toggleFist}
          >
            all more than a fist
          </button>
          <button
            type="button"
            className="btn min-h-12 text-16"
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
        <ul className="flex flex-wrap gap-x-4 gap-y-2 pt-3 mid:hidden" aria-label="lines that are off">
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

const verb: Record<Action['type'], string> = { part: 'Part', unclip: 'Unclip', clear: 'Clear', support: 'Off' };
const ticked: Record<'done' | 'notDone' | '', string> = {
  '': 'as the main action says',
  done: 'done',
  notDone: 'not done',
};

interface ToDoProps {
  action: Action;
  tick: Tick;
  /** Where the hand goes next. */
  next: boolean;
  /** Is it a plug? */
  plug: boolean;
  glyph: GlyphName;
  onTick: () => void;
}

/** One thing to do: tapped once it is done, twice it was not. */
function ToDo({ action, tick, next, plug, glyph, onTick }: ToDoProps) {
  const name = plug ? 'Unplug' : verb[action.type];
  return (
    <button
      type="button"
      data-tick={action.key}
      onClick={onTick}
      className="flex min-h-16 min-w-0 flex-1 items-center gap-2 py-1 text-left"
    >
      <span className="min-w-0 flex-1">
        <span className="narrow flex items-center gap-x-2 text-20 leading-none">
          <Glyph name={glyph} size={20} />
          {name} {shortName(action.name)}
          {next && <Paint width={36} />}
        </span>
        <span className="tank-hint block pt-0.5 text-16 leading-tight text-quiet">
          {action.hint}
          {action.cap && '; cap both ends'}
        </span>
      </span>
      <span className="sr-only">, {ticked[tick ?? '']}</span>
      <span
        aria-hidden
        className={`grid size-8 shrink-0 place-items-center rounded-[2px] border-2 ${tick === 'done' ? 'border-ink bg-ink text-sheet' : tick === 'notDone' ? 'border-halt text-halt' : 'border-edge'}`}
      >
        {tick === 'done' && <Check size={20} />}
        {tick === 'notDone' && <X size={20} />}
      </span>
    </button>
  );
}
