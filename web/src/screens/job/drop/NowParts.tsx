import {
  endByEnd,
  isLevel,
  lengthIn,
  lengthText,
  poseInWords,
  samePose,
  shortName,
  type Action,
  type Sentence,
} from '@iron-cradle/core';
import { Check } from 'lucide-react';
import { Glyph, type GlyphName } from '../../../look/glyphs.tsx';
import { Paint, Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Band } from '../../../ui/Band.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { useState } from 'react';
import { useUnits } from '../../../app/units.ts';
import { canSpeak } from '../../../app/voice.ts';
import { PoseHead } from '../tank/PoseHead.tsx';
import { PhotoButton } from '../Photos.tsx';
import type { Descent } from './useDescent.ts';
import { useWords } from '../../../ui/Words.tsx';

interface StopHeadProps {
  descent: Descent;
  onAhead: () => void;
  onSay: () => void;
}

/** The height, in mm and in the unit of the hand, and where in the descent it stands. */
export function StopHead({ descent, onAhead, onSay }: StopHeadProps) {
  const { stop, left, stopNumber, planned, state } = descent;
  const units = useUnits();
  const figure = (mm: number) => lengthIn(mm, units).figure;
  const word =
    stop.kind === 'start'
      ? 'Before it moves'
      : stop.kind === 'creep'
        ? 'Creep, hand and eye on the line'
        : stop.kind === 'out'
          ? 'Everything is off'
          : stop.kind === 'held'
            ? 'It holds'
            : `Stop ${stopNumber}`;
  return (
    <div className="border-b-2 border-ink pb-2" aria-live="polite">
      <p className="flex items-center justify-between gap-3 text-quiet">
        <span>
          {word}
          {left !== null && stop.kind !== 'held' ? `, ${left}` : ''}
        </span>
        {canSpeak() && (
          <button type="button" className="link min-h-11 shrink-0 px-2 text-16" data-action="say" onClick={onSay}>
            say it
          </button>
        )}
        <button type="button" className="link min-h-11 shrink-0 px-2 text-16" data-action="ahead" onClick={onAhead}>
          what lies ahead
        </button>
      </p>
      <PoseHead state={state} pose={stop.pose}>
        {!samePose(planned.pose, stop.pose) && (
          <button type="button" className="link min-h-11 text-16" onClick={descent.plain}>
            plan says {poseInWords(planned.pose, state.vehicle.ends, units)}
          </button>
        )}
      </PoseHead>
      {stop.kind === 'stop' && !isLevel(stop.pose) && !samePose(stop.pose, stop.from) && (
        <p className="pt-1 text-quiet">
          One jack, one end at a time:{' '}
          {endByEnd(stop.from, stop.pose, state.vehicle.tiltLimit)
            .map((pose, i, list) => {
              const last = list[i - 1] ?? stop.from;
              return pose.f === last.f
                ? `${state.vehicle.ends[1]} ${figure(pose.r)}`
                : `${state.vehicle.ends[0]} ${figure(pose.f)}`;
            })
            .join(', ')}
          .
        </p>
      )}
      {stop.risk && (
        <p className="flex items-center gap-2 pt-2 font-semibold text-halt">
          <Shape outcome="bad" size={20} />
          {stop.risk.name} may hold from {lengthText(stop.risk.limit.lo, units)}: deeper than is safe.
        </p>
      )}
    </div>
  );
}

const glyphOf = (action: Action, fitting: string | undefined): GlyphName =>
  action.type === 'support'
    ? 'strap'
    : action.type === 'unclip'
      ? 'clip'
      : action.type === 'clear'
        ? 'obstruction'
        : ((fitting ?? 'other') as GlyphName);
const verb: Record<Action['type'], string> = { part: 'Part', unclip: 'Unclip', clear: 'Clear', support: 'Off' };

/** What comes off here: everything ticked as said; a tap unticks what was not done. */
export function StopList({ descent }: { descent: Descent }) {
  const { state } = useJob();
  const { stop, bundle, tags } = descent;
  if (stop.actions.length === 0) return null;
  const next = stop.actions.find((a) => !bundle.unticked.includes(a.key))?.key;
  return (
    <ul className="ruled" aria-label="to do here">
      {stop.actions.map((action) => {
        const done = !bundle.unticked.includes(action.key);
        const line = state.vehicle.connections.find((c) => `line:${c.id}` === action.key);
        const name = line?.kind === 'plug' ? 'Unplug' : verb[action.type];
        return (
          <li key={action.key} className="flex items-center gap-2">
            <button
              type="button"
              role="checkbox"
              aria-checked={done}
              data-tick={action.key}
              onClick={() => descent.toggleTick(action.key)}
              className="flex min-h-16 min-w-0 flex-1 items-center gap-3 py-1.5 text-left"
            >
              <Tag number={tags[action.key] ?? null} open={false} />
              <span className="min-w-0 flex-1">
                <span className="narrow flex items-center gap-x-2 text-20">
                  <Glyph name={glyphOf(action, line?.fitting)} size={20} />
                  {name} {shortName(action.name)}
                  {action.key === next && <Paint width={36} />}
                </span>
                <span className="block leading-tight text-quiet">
                  {action.hint}
                  {action.cap && '; cap both ends'}
                </span>
              </span>
              <span
                aria-hidden
                className={`grid size-8 shrink-0 place-items-center rounded-[2px] border-2 ${done ? 'border-ink bg-ink text-sheet' : 'border-edge'}`}
              >
                {done && <Check size={20} />}
              </span>
            </button>
            <PhotoButton about={action.key} name={action.name} />
          </li>
        );
      })}
    </ul>
  );
}

/** What a surprise changed, in words. */
export function Changed({ changed }: { changed: readonly Sentence[] }) {
  const words = useWords();
  return changed.length > 0 ? <Band>New plan: {changed.map(words).join('; ')}.</Band> : null;
}

const GIVES = [20, 40, 60, 100];

/** Nothing lets it go further: what holds, and the ways out of it. */
export function Held({ descent, onAhead }: { descent: Descent; onAhead: () => void }) {
  const { stop, state } = descent;
  const units = useUnits();
  const [more, setMore] = useState<number | null>(null);
  const first = stop.holders[0];
  if (!first) return null;
  const isLine = first.key.startsWith('line:');
  return (
    <section aria-label="what holds it" className="grid gap-3 py-3">
      <p className="narrow flex items-center gap-2 text-24">
        <Shape outcome="bad" size={28} label="halt" />
        {shortName(first.name)} holds it at {lengthText(first.limit.lo, units)}.
      </p>
      <button type="button" className="btn" data-action="help" onClick={onAhead}>
        What would let it down?
      </button>
      {isLine ? (
        <>
          <p className="text-quiet">
            Part it here if a hand gets to it. Or free it at another place (a frame clip, its far joint) and say how
            much more it lets.
          </p>
          <button
            type="button"
            className="btn"
            data-action="part-held"
            onClick={() => void descent.partHere(first.key)}
          >
            A hand reaches it: parted here
          </button>
          <p className="text-quiet">Freed elsewhere, mm more:</p>
          <div className="grid grid-cols-4 gap-3">
            {GIVES.map((mm) => (
              <button
                key={mm}
                type="button"
                className="btn reading"
                data-freed={mm}
                onClick={() => void descent.surprise({ what: 'freed', key: first.key, more: mm })}
              >
                {mm}
              </button>
            ))}
          </div>
          <QuantityField
            label="or measured"
            dimension="length"
            unit="mm"
            decimals={0}
            onRead={(v) => setMore(v ? Math.floor(v.lo * 1000) : null)}
            hint="two fingers, 45 mm, 1 3/4 in"
          />
          <button
            type="button"
            className="btn"
            disabled={!more || more < 1}
            onClick={() => more && void descent.surprise({ what: 'freed', key: first.key, more })}
          >
            {more ? `Freed, ${more} mm more` : 'Freed by the measured length'}
          </button>
        </>
      ) : (
        <>
          <p className="text-quiet">Take it out of the way, or raise the tank and look again.</p>
          <button type="button" className="btn" data-action="cleared" onClick={() => void descent.cleared(first.key)}>
            It is out of the way
          </button>
        </>
      )}
      {Math.max(state.pose.f, state.pose.r) > 0 && (
        <p className="text-quiet">
          Was it pulled past its slack? Raise, inspect it, and enter it under “something holds”.
        </p>
      )}
    </section>
  );
}
