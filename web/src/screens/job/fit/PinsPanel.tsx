import { judgePins, pinUses, pinWord, type PinUse } from '@iron-cradle/core';
import { useState } from 'react';
import { PlugDrawing } from '../../../drawings/fit/PlugDrawing.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

type Row = 'old' | 'now';
interface Plugs {
  old: PinUse[];
  now: PinUse[];
}

/** Plug and pins, position before colour: touch a cavity, say what sits in it; old over new. */
export function PinsPanel() {
  const { state, enter } = useJob();
  const [rows, setRows] = useState<Plugs>(() =>
    state.pins
      ? { old: [...state.pins.old], now: [...state.pins.now] }
      : { old: ['pump', 'ground', 'sender', 'none'], now: ['pump', 'ground', 'sender', 'none'] },
  );
  const [chosen, setChosen] = useState<{ row: Row; pin: number } | null>(null);
  const [how, setHow] = useState<'meter' | 'colour' | null>(state.pins?.how ?? null);
  const put = (use: PinUse) => {
    if (!chosen) return;
    setRows({ ...rows, [chosen.row]: rows[chosen.row].map((had, i) => (i === chosen.pin ? use : had)) });
  };
  const size = (by: 1 | -1) => {
    setChosen(null);
    const sized = (list: PinUse[]): PinUse[] => (by > 0 ? [...list, 'none'] : list.slice(0, -1));
    setRows({ old: sized(rows.old), now: sized(rows.now) });
  };
  return (
    <section aria-label="plug and pins" className="grid gap-3">
      <h3 className="border-b-2 border-ink pb-1 text-20">Its plug, pin by pin</h3>
      {state.pins && (
        <div data-pins={judgePins(state.pins).outcome}>
          <VerdictView verdict={judgePins(state.pins)} />
        </div>
      )}
      <PlugDrawing rows={rows} chosen={chosen} onChoose={(row, pin) => setChosen({ row, pin })} />
      {!state.signed && (
        <>
          {chosen ? (
            <Choice
              label={`${chosen.row === 'old' ? 'Old' : 'New'} plug, pin ${chosen.pin + 1}`}
              value={rows[chosen.row][chosen.pin] ?? null}
              options={pinUses.map((use) => ({ value: use, label: pinWord[use] }))}
              onChoose={put}
            />
          ) : (
            <p className="text-quiet">Look into both plugs from their open end, the same end first.</p>
          )}
          <div className="grid grid-cols-2 gap-3">
            <button type="button" className="btn" disabled={rows.old.length < 2} onClick={() => size(-1)}>
              One pin fewer
            </button>
            <button type="button" className="btn" disabled={rows.old.length > 11} onClick={() => size(1)}>
              One pin more
            </button>
          </div>
          <Choice
            label="How were they read?"
            value={how}
            onChoose={setHow}
            options={[
              { value: 'meter', label: 'With the meter' },
              { value: 'colour', label: 'By wire colour' },
            ]}
          />
          <button
            type="button"
            className="btn"
            data-action="pins"
            disabled={how === null}
            onClick={() => how && void enter('pinsRead', { ...rows, how })}
          >
            {how === null ? 'How were they read?' : 'So they sit'}
          </button>
        </>
      )}
    </section>
  );
}
