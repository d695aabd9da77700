import { connectionKinds, fittings, type Connection, type VehicleFile, present } from '@iron-cradle/core';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { StringSheet } from '../job/plan/StringSheet.tsx';
import type { Draft } from './useDraft.ts';
import { freshId } from './fresh.ts';
import { FileText } from './FileText.tsx';
import { Place } from './Place.tsx';
import { RangeField } from './RangeField.tsx';
import { Select } from './Select.tsx';
import { newWay, WaysForm } from './WaysForm.tsx';

const sides = ['top', 'bottom', 'front', 'rear', 'left', 'right', 'outside'];

/** A line nobody knows anything of yet, named as no other. */
export const newLine = (file: VehicleFile): Connection => {
  const id = freshId(
    'line',
    file.connections.map((c) => c.id),
  );
  const exact = (n: number) => ({ lo: n, typ: n, hi: n });
  return {
    id,
    kind: 'other',
    name: 'new line',
    x: Math.round(file.length / 2),
    side: 'top',
    slack: { lo: 20, typ: 60, hi: 120, basis: { kind: 'typical' } },
    visibleFrom: exact(0),
    lookMinutes: 1,
    fitting: 'other',
    wetWhenOpen: false,
    clips: [],
    part: [newWay(`${id}-way-1`)],
    make: [newWay(`${id}-way-1`)],
  };
};

/** One connection: where it sits, how far it lets, where it parts and where it is made. */
export function LineForm({ draft, id }: { draft: Draft; id: string }) {
  const [string, setString] = useState(false);
  const n = draft.file.connections.findIndex((c) => c.id === id);
  const line = draft.file.connections[n];
  if (!line) return null;
  const set = (work: (line: Connection) => void) =>
    draft.change((file) =>
      work(
        present(
          file.connections.find((c) => c.id === id),
          'connection',
          id,
        ),
      ),
    );
  return (
    <div className="grid gap-4">
      <FileText
        draft={draft}
        at={`connections[${n}].name`}
        label="Name"
        value={line.name}
        put={(file, text) => (file.connections[n]!.name = text)}
      />
      <div className="grid gap-x-4 gap-y-3 mid:grid-cols-3">
        <Select
          label="Kind"
          value={line.kind}
          options={connectionKinds}
          onChoose={(kind) => set((l) => void (l.kind = kind))}
        />
        <Select
          label="Fitting"
          value={line.fitting}
          options={fittings}
          onChoose={(fitting) => set((l) => void (l.fitting = fitting))}
        />
        <Select
          label="On its"
          value={line.side}
          options={sides.includes(line.side) ? sides : [...sides, line.side]}
          onChoose={(side) => set((l) => void (l.side = side))}
        />
      </div>
      <Place
        file={draft.file}
        x={line.x}
        error={draft.wrongAt(`connections[${n}].x`)}
        onChange={(x) => set((l) => void (l.x = x))}
      />
      <div className="grid gap-x-4 mid:grid-cols-2">
        <RangeField
          label="Slack: pulls tight at a drop of"
          range={line.slack}
          onChange={(r) => set((l) => void (l.slack = r))}
        />
        <button type="button" className="btn self-start mid:mt-6" onClick={() => setString(true)}>
          Measure it with a string
        </button>
        <RangeField
          label="Can be seen from a drop of"
          range={line.visibleFrom}
          onChange={(r) => set((l) => void (l.visibleFrom = r))}
        />
        <Choice
          label="Wet when open"
          value={line.wetWhenOpen ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'dry' },
            { value: 'yes', label: 'wet' },
          ]}
          onChoose={(v) => set((l) => void (l.wetWhenOpen = v === 'yes'))}
        />
      </div>
      <WaysForm
        title="Parts at"
        ways={line.part}
        at={`connections[${n}].part`}
        wrongAt={draft.wrongAt}
        owner={id}
        file={draft.file}
        onChange={(ways) => set((l) => void (l.part = ways))}
      />
      <WaysForm
        title="Is made at"
        ways={line.make}
        at={`connections[${n}].make`}
        wrongAt={draft.wrongAt}
        owner={id}
        file={draft.file}
        onChange={(ways) => set((l) => void (l.make = ways))}
      />
      <Clips line={line} draft={draft} set={set} />
      <button
        type="button"
        className="btn btn-halt"
        onClick={() => draft.change((file) => void (file.connections = file.connections.filter((c) => c.id !== id)))}
      >
        Take this line out of the file
      </button>
      {string && (
        <StringSheet
          line={line.name}
          onClose={() => setString(false)}
          onKeep={(mm) =>
            draft.replace(
              (file) =>
                void (present(
                  file.connections.find((c) => c.id === id),
                  'connection',
                  id,
                ).slack = {
                  lo: mm,
                  typ: mm,
                  hi: mm,
                  basis: { kind: 'measured' },
                }),
            )
          }
        />
      )}
    </div>
  );
}

interface ClipsProps {
  line: Connection;
  draft: Draft;
  set: (work: (line: Connection) => void) => void;
}

function Clips({ line, draft, set }: ClipsProps) {
  const add = () =>
    set((l) => {
      const id = freshId(
        `${l.id}-clip`,
        l.clips.map((k) => k.id),
      );
      const more = (mm: number) => mm + 40;
      l.clips.push({
        id,
        name: `${l.name} clip`,
        slack: { lo: more(l.slack.lo), typ: more(l.slack.typ), hi: more(l.slack.hi), basis: { kind: 'typical' } },
        ways: [newWay(`${id}-off`)],
      });
    });
  return (
    <section aria-label="clips" className="grid gap-4">
      <h3 className="text-20">Clips that give it more</h3>
      {line.clips.map((clip, k) => (
        <div key={clip.id} className="grid gap-3">
          <RangeField
            label={`With the ${clip.name ?? 'clip'} off it lets`}
            range={clip.slack}
            onChange={(r) =>
              set(
                (l) =>
                  void (present(
                    l.clips.find((k) => k.id === clip.id),
                    'clip',
                    clip.id,
                  ).slack = r),
              )
            }
          />
          <WaysForm
            title={`${clip.name ?? 'Clip'} comes off at`}
            ways={clip.ways}
            at={`connections[${draft.file.connections.indexOf(line)}].clips[${k}].ways`}
            wrongAt={draft.wrongAt}
            owner={clip.id}
            file={draft.file}
            onChange={(ways) =>
              set(
                (l) =>
                  void (present(
                    l.clips.find((k) => k.id === clip.id),
                    'clip',
                    clip.id,
                  ).ways = ways),
              )
            }
          />
          <button
            type="button"
            className="btn justify-self-start"
            onClick={() => set((l) => void (l.clips = l.clips.filter((k) => k.id !== clip.id)))}
          >
            No such clip
          </button>
        </div>
      ))}
      <button type="button" className="btn" onClick={add}>
        Another clip
      </button>
    </section>
  );
}
