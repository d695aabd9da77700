import { OPEN_REACH, type Range, type VehicleFile, type Way } from '@iron-cradle/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { PickMany } from '../../ui/PickMany.tsx';
import { RangeField } from './RangeField.tsx';
import { freshId } from './fresh.ts';

interface WaysFormProps {
  title: string;
  ways: Way[];
  file: VehicleFile;
  /** Who these ways belong to: it never waits for itself. */
  owner: string;
  onChange: (ways: Way[]) => void;
  /** Where they stand in the file, and what its check has against a place of it. */
  at: string;
  wrongAt: (field: string) => string | undefined;
}

const exact = (n: number): Range => ({ lo: n, typ: n, hi: n });
/** A way nobody knows anything of yet. */
export const newWay = (id: string): Way => ({
  id,
  reachFrom: exact(0),
  reachTo: exact(OPEN_REACH),
  minutes: { lo: 2, typ: 4, hi: 8 },
  people: 1,
  hands: 1,
  from: 'outside',
  tools: [],
  after: [],
});

/** What was typed stays as typed, commas and all; what is kept are the tools between them. */
function ToolsField({ tools, onChange }: { tools: string[]; onChange: (tools: string[]) => void }) {
  const [text, setText] = useState(tools.join(', '));
  return (
    <TextField
      label="Tools, with commas between"
      value={text}
      onChange={(event) => {
        setText(event.target.value);
        onChange(event.target.value.split(',').flatMap((tool) => (tool.trim() === '' ? [] : [tool.trim()])));
      }}
    />
  );
}

/** The places where a thing parts or is made: between which heights a hand gets there, how long it takes, what comes first. */
export function WaysForm({ title, ways, file, owner, onChange, at, wrongAt }: WaysFormProps) {
  const put = (i: number, more: Partial<Way>) => onChange(ways.map((w, k) => (k === i ? { ...w, ...more } : w)));
  const others = [
    ...file.connections.flatMap((c) => [c, ...c.clips.map((k) => ({ id: k.id, name: k.name ?? `${c.name} clip` }))]),
    ...file.obstructions,
    ...file.supports,
  ].filter((thing) => thing.id !== owner);
  return (
    <section aria-label={title} className="grid gap-4">
      <h3 className="text-20">{title}</h3>
      {ways.map((way, i) => (
        <fieldset key={way.id} className="grid gap-3 border-l-4 border-rule pl-3">
          <legend className="text-quiet">{way.id}</legend>
          <div className="grid gap-x-4 mid:grid-cols-2">
            <RangeField
              label="A hand gets there from"
              range={way.reachFrom}
              onChange={(r) => put(i, { reachFrom: r })}
            />
            <RangeField
              label="and down to; empty: open"
              range={way.reachTo}
              onChange={(r) => put(i, { reachTo: r })}
              hint="empty where no drop is too low"
              onEmpty={() => put(i, { reachTo: exact(OPEN_REACH) })}
            />
            <RangeField
              label="Takes"
              dimension="duration"
              unit="min"
              per={1 / 60}
              range={way.minutes}
              onChange={(r) => put(i, { minutes: r })}
              hint="minutes, 3–8 if it varies"
            />
            <TextField
              label="From which side"
              value={way.from}
              onChange={(event) => put(i, { from: event.target.value })}
              error={wrongAt(`${at}[${i}].from`)}
            />
            <ToolsField tools={way.tools} onChange={(tools) => put(i, { tools })} />
            <Choice
              label="People"
              value={String(way.people) as '1' | '2'}
              options={[
                { value: '1', label: 'one' },
                { value: '2', label: 'two' },
              ]}
              onChoose={(n) => put(i, { people: Number(n) })}
            />
          </div>
          <p className="text-quiet">Only after</p>
          <PickMany things={others} picked={way.after} onPick={(after) => put(i, { after })} />
          {ways.length > 1 && (
            <button
              type="button"
              className="btn justify-self-start"
              onClick={() => onChange(ways.filter((_, k) => k !== i))}
            >
              <Trash2 size={20} aria-hidden /> Not this way
            </button>
          )}
        </fieldset>
      ))}
      <button
        type="button"
        className="btn"
        onClick={() =>
          onChange([
            ...ways,
            newWay(
              freshId(
                `${owner}-way`,
                ways.map((w) => w.id),
              ),
            ),
          ])
        }
      >
        <Plus size={20} aria-hidden /> Another way
      </button>
    </section>
  );
}
