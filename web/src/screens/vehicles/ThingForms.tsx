import { present, supportKinds } from '@iron-cradle/core';
import type { Fastener, Obstruction, VehicleFile } from '@iron-cradle/core';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { freshId } from './fresh.ts';
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
  const thing = draft.file.obstructions.find((o) => o.id === id);
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
      <TextField
        label="Name"
        value={thing.name}
        error={thing.name.trim() === '' ? 'Expected a name.' : undefined}
        onChange={(event) => set((o) => void (o.name = event.target.value))}
      />
      <Place file={draft.file} x={thing.x} onChange={(x) => set((o) => void (o.x = x))} />
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
        owner={id}
        file={draft.file}
        onChange={(ways) => set((o) => void (o.clear = ways))}
      />
      <WaysForm
        title="Goes back"
        ways={thing.restore}
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
          <TextField
            label="Name"
            value={support.name}
            onChange={(event) => change((f) => void (f.supports[i]!.name = event.target.value))}
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
          <Place file={file} x={support.x} onChange={(x) => change((f) => void (f.supports[i]!.x = x))} />
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
          <TextField
            label={`Thread of ${fastener.id}`}
            value={fastener.thread}
            onChange={(event) => change((f) => void (f.fasteners[i]!.thread = event.target.value))}
          />
          <TextField
            label="How many"
            inputMode="numeric"
            value={String(fastener.count)}
            error={fastener.count < 1 ? 'Expected a whole number from 1.' : undefined}
            onChange={(event) =>
              change((f) => void (f.fasteners[i]!.count = Math.round(Number(event.target.value)) || 0))
            }
          />
          <TextField
            label="Fits its head; empty: not known"
            value={fastener.hex ?? ''}
            placeholder="13 mm"
            onChange={(event) => change((f) => setText(f.fasteners[i]!, 'hex', event.target.value))}
          />
          <TextField
            label="Holds the other side; empty: nothing"
            value={fastener.counter ?? ''}
            placeholder="13 mm"
            onChange={(event) => change((f) => setText(f.fasteners[i]!, 'counter', event.target.value))}
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
