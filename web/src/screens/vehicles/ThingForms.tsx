import { present, supportKinds } from '@iron-cradle/core';
import type { Fastener, Obstruction, VehicleFile } from '@iron-cradle/core';
import { Choice } from '../../ui/Choice.tsx';
import { freshId } from './fresh.ts';
import { FileFigure } from './FileFigure.tsx';
import { FileText } from './FileText.tsx';
import { Place } from './Place.tsx';
import { RangeField } from './RangeField.tsx';
import { Select } from './Select.tsx';
import type { Draft } from './useDraft.ts';
import { newWay, WaysForm } from './WaysForm.tsx';

/** Something in the way nobody knows anything of yet, named as no other. */
export const newObstruction = (file: VehicleFile): Obstruction => {
  const id = freshId(
    'thing',
    file.obstructions.map((o) => o.id),
  );
  return {
    id,
    name: 'new thing in the way',
    x: Math.round(file.length / 2),
    travelsWithTank: false,
    blocksAt: { lo: 20, typ: 50, hi: 100, basis: { kind: 'typical' } },
    clear: [newWay(`${id}-way-1`)],
    restore: [newWay(`${id}-way-1`)],
  };
};

/** Something in the way: at which drop the tank meets it, how it is cleared, how it goes back. */
export function ObstructionForm({ draft, id }: { draft: Draft; id: string }) {
  const n = draft.file.obstructions.findIndex((o) => o.id === id);
  const thing = draft.file.obstructions[n];
  if (!thing) return null;
  const set = (work: (thing: Obstruction) => void) =>
    draft.change((file) =>
      work(
        present(
          file.obstructions.find((o) => o.id === id),
          'obstruction',
          id,
        ),
      ),
    );
  return (
    <div className="grid gap-4">
      <FileText
        draft={draft}
        at={`obstructions[${n}].name`}
        label="Name"
        value={thing.name}
        put={(file, text) => (file.obstructions[n]!.name = text)}
      />
      <Place
        file={draft.file}
        x={thing.x}
        error={draft.wrongAt(`obstructions[${n}].x`)}
        onChange={(x) => set((o) => void (o.x = x))}
      />
      <Choice
        label="Does the tank meet it?"
        value={thing.blocksAt ? 'yes' : 'no'}
        options={[
          { value: 'yes', label: 'on the way down' },
          { value: 'no', label: 'never' },
        ]}
        onChoose={(v) =>
          set((o) => void (o.blocksAt = v === 'yes' ? (o.blocksAt ?? { lo: 20, typ: 50, hi: 100 }) : null))
        }
      />
      {thing.blocksAt && (
        <RangeField label="At a drop of" range={thing.blocksAt} onChange={(r) => set((o) => void (o.blocksAt = r))} />
      )}
      <WaysForm
        title="Is cleared"
        ways={thing.clear}
        at={`obstructions[${n}].clear`}
        wrongAt={draft.wrongAt}
        owner={id}
        file={draft.file}
        onChange={(ways) => set((o) => void (o.clear = ways))}
      />
      <WaysForm
        title="Goes back"
        ways={thing.restore}
        at={`obstructions[${n}].restore`}
        wrongAt={draft.wrongAt}
        owner={id}
        file={draft.file}
        onChange={(ways) => set((o) => void (o.restore = ways))}
      />
      <button
        type="button"
        className="btn btn-halt"
        onClick={() => draft.change((file) => void (file.obstructions = file.obstructions.filter((o) => o.id !== id)))}
      >
        It is not there
      </button>
    </div>
  );
}

/** An optional text is left out while it is empty. */
function setText(fastener: Fastener, key: 'hex' | 'counter', text: string): void {
  if (text === '') delete fastener[key];
  else fastener[key] = text;
}

/** What holds the tank, with its fasteners. */
export function SupportsForm({ draft }: { draft: Draft }) {
  const { file, change } = draft;
  return (
    <div className="grid gap-5">
      {file.supports.map((support, i) => (
        <fieldset key={support.id} className="grid gap-3 border-l-4 border-rule pl-3">
          <FileText
            draft={draft}
            at={`supports[${i}].name`}
            label="Name"
            value={support.name}
            put={(f, text) => (f.supports[i]!.name = text)}
          />
          <div className="grid gap-3 mid:grid-cols-2">
            <Select
              label="Kind"
              value={support.kind}
              options={supportKinds}
              onChoose={(kind) => change((f) => void (f.supports[i]!.kind = kind))}
            />
            <Select
              label="Held by"
              value={support.fastener}
              options={file.fasteners.map((f) => f.id)}
              onChoose={(fastener) => change((f) => void (f.supports[i]!.fastener = fastener))}
            />
          </div>
          <Place
            file={file}
            x={support.x}
            error={draft.wrongAt(`supports[${i}].x`)}
            onChange={(x) => change((f) => void (f.supports[i]!.x = x))}
          />
          <button
            type="button"
            className="btn justify-self-start"
            onClick={() => change((f) => void f.supports.splice(i, 1))}
          >
            Not this one
          </button>
        </fieldset>
      ))}
      <button
        type="button"
        className="btn"
        disabled={file.fasteners.length === 0}
        onClick={() =>
          change(
            (f) =>
              void f.supports.push({
                id: freshId(
                  'strap',
                  f.supports.map((s) => s.id),
                ),
                kind: 'strap',
                name: 'new strap',
                x: Math.round(f.length / 2),
                fastener: f.fasteners[0]!.id,
              }),
          )
        }
      >
        Another support
      </button>
      <h3 className="text-20">Fasteners</h3>
      {file.fasteners.map((fastener, i) => (
        <fieldset key={fastener.id} className="grid gap-3 border-l-4 border-rule pl-3 mid:grid-cols-2">
          <FileText
            draft={draft}
            at={`fasteners[${i}].thread`}
            label={`Thread of ${fastener.id}`}
            value={fastener.thread}
            put={(f, text) => (f.fasteners[i]!.thread = text)}
          />
          <FileFigure
            label="How many"
            dimension="count"
            unit="one"
            value={fastener.count}
            error={draft.wrongAt(`fasteners.${fastener.id}.count`)}
            onChange={(n) => change((f) => void (f.fasteners[i]!.count = n))}
          />
          <FileText
            draft={draft}
            at={`fasteners[${i}].hex`}
            label="Fits its head; empty: not known"
            value={fastener.hex ?? ''}
            placeholder="13 mm"
            put={(f, text) => setText(f.fasteners[i]!, 'hex', text)}
          />
          <FileText
            draft={draft}
            at={`fasteners[${i}].counter`}
            label="Holds the other side; empty: nothing"
            value={fastener.counter ?? ''}
            placeholder="13 mm"
            put={(f, text) => setText(f.fasteners[i]!, 'counter', text)}
          />
          <Choice
            label="Likely to break"
            value={fastener.likelyToBreak ? 'yes' : 'no'}
            options={[
              { value: 'no', label: 'no' },
              { value: 'yes', label: 'have a spare' },
            ]}
            onChoose={(v) => change((f) => void (f.fasteners[i]!.likelyToBreak = v === 'yes'))}
          />
          <RangeField
            label="Torque; empty: not known, never made up"
            dimension="torque"
            unit="N·m"
            per={1}
            range={fastener.torque ?? { lo: 9999, typ: 9999, hi: 9999 }}
            onChange={(r) => change((f) => void (f.fasteners[i]!.torque = r))}
            hint="from the service information"
            onEmpty={() => change((f) => void (f.fasteners[i]!.torque = null))}
          />
        </fieldset>
      ))}
      <button
        type="button"
        className="btn"
        data-action="add-fastener"
        onClick={() =>
          change(
            (f) =>
              void f.fasteners.push({
                id: freshId(
                  'bolt',
                  f.fasteners.map((b) => b.id),
                ),
                thread: 'not known',
                count: 1,
                likelyToBreak: false,
                torque: null,
              }),
          )
        }
      >
        Another fastener
      </button>
    </div>
  );
}
