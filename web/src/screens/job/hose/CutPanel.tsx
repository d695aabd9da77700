import { cutList, hoseLength, InputError, rubbersOf, type CutList } from '@iron-cradle/core';
import { useMemo, useState } from 'react';
import { CutDrawing } from '../../../drawings/hose/CutDrawing.tsx';
import { useKept } from '../../../log/useKept.ts';
import { useJob } from '../../../log/useJob.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';

/** What is cut from the coils on the shelf: the hoses that were drawn, and what is typed besides. */
export function CutPanel() {
  const { state, jobId } = useJob();
  const drawn = rubbersOf(state.vehicle).flatMap(({ key, name }) => {
    const route = state.ways[key]?.at(-1)?.route;
    return route ? [{ name, mm: Math.round(hoseLength(route)) }] : [];
  });
  const [typed, setTyped] = useKept<number[]>(`${jobId} pieces`, []);
  const [coils, setCoils] = useKept<number[]>(`${jobId} coils`, []);
  const names = useMemo(() => [...drawn, ...typed.map((mm) => ({ name: '', mm }))], [drawn, typed]);
  const list = useMemo(
    () =>
      listOf(
        names.map(({ mm }) => mm),
        coils,
      ),
    [names, coils],
  );
  return (
    <>
      <h2 className="text-24">Cut from what is on the shelf</h2>
      <Lengths label="A piece besides those drawn" list={typed} onList={setTyped} action="piece" />
      <Lengths label="A coil, or a rest of one" list={coils} onList={setCoils} action="coil" />
      {typeof list === 'string' ? (
        <p role="alert" className="font-semibold text-halt">
          {list}
        </p>
      ) : (
        list &&
        names.length > 0 && (
          <div className="grid gap-3" data-cut={list.missing > 0 ? 'missing' : 'whole'}>
            <CutDrawing list={list} names={names} />
            <p className={list.missing > 0 ? 'font-semibold text-halt' : 'text-quiet'}>
              {list.missing > 0
                ? `${Math.round(list.missing)} mm of it are on no coil.`
                : `${Math.round(list.waste)} mm stay on what is cut into. Hard end first; the easy end is cut once the tank is home.`}
            </p>
          </div>
        )
      )}
    </>
  );
}

interface LengthsProps {
  label: string;
  list: readonly number[];
  onList: (list: number[]) => void;
  action: string;
}

function Lengths({ label, list, onList, action }: LengthsProps) {
  const [mm, setMm] = useState<number | null>(null);
  const [turn, setTurn] = useState(0);
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-[1fr_auto] items-start gap-3">
        <QuantityField
          key={turn}
          label={label}
          dimension="length"
          unit="mm"
          decimals={0}
          onRead={(value) => setMm(value ? Math.round(value.typ * 1000) : null)}
        />
        <button
          type="button"
          className="btn mt-7"
          data-action={`${action}-add`}
          disabled={mm === null || mm <= 0}
          onClick={() => {
            if (mm === null) return;
            onList([...list, mm]);
            setMm(null);
            setTurn((n) => n + 1);
          }}
        >
          Add
        </button>
      </div>
      {list.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {list.map((one, i) => (
            <li key={`${one} ${i}`}>
              <button
                type="button"
                className="btn min-h-11"
                aria-label={`${one} mm: off the list`}
                onClick={() => onList(list.filter((_, k) => k !== i))}
              >
                <span className="reading">{one}</span> ×
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What is wrong with a length, in words. */
function listOf(pieces: readonly number[], coils: readonly number[]): CutList | string | null {
  if (coils.length === 0) return null;
  try {
    return cutList(pieces, coils);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return `Expected ${error.expected}.`;
  }
}
