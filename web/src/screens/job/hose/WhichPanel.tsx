import { BREATHS, lengthText, whichHose, type Breath } from '@iron-cradle/core';
import { useState } from 'react';
import { useMainUnit } from '../../../app/units.ts';
import { useJob } from '../../../log/useJob.ts';
import { Tag } from '../../../look/Tag.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';

const WORDS: Record<Breath, string> = { bubbles: 'It bubbles', free: 'It goes out', shut: 'It stops' };

/** A hose nobody marked: its bore, where it comes out, what a low breath does in it; the line it is most likely stands first. */
export function WhichPanel() {
  const { state } = useJob();
  const units = useMainUnit();
  const [bore, setBore] = useState<number | undefined>();
  const [x, setX] = useState<number | undefined>();
  const [breath, setBreath] = useState<Breath | null>(null);
  const known = { ...(bore ? { bore } : {}), ...(x === undefined ? {} : { x }), ...(breath ? { breath } : {}) };
  const asked = Object.keys(known).length > 0;
  const ranked = asked ? whichHose(state.vehicle, known).filter(({ fits }) => fits > 0) : [];
  const [end] = state.vehicle.ends;
  return (
    <details data-which>
      <summary className="min-h-11 cursor-pointer text-20 underline underline-offset-4">
        Which hose is which, without marks?
      </summary>
      <div className="grid gap-3 pt-2">
        <div className="grid grid-cols-2 gap-3">
          <QuantityField
            label="Its inside"
            dimension="length"
            unit="mm"
            decimals={1}
            onRead={(value) => setBore(value ? value.typ * 1000 : undefined)}
          />
          <QuantityField
            label={`It comes out, from the ${end} end`}
            dimension="length"
            unit="mm"
            decimals={0}
            onRead={(value) => setX(value ? value.typ * 1000 : undefined)}
          />
        </div>
        <Choice
          label="A low breath into it, tank end off: never draw on it"
          columns="grid-cols-3"
          value={breath}
          options={BREATHS.map((value) => ({ value, label: WORDS[value] }))}
          onChoose={setBreath}
        />
        <ol className="ruled">
          {ranked.slice(0, 3).map(({ id, name, x: along, why }) => (
            <li key={id} className="flex items-center gap-3 py-2" data-which-hose={id}>
              <Tag number={state.numbers[`line:${id}`] ?? null} />
              <span>
                <span className="narrow block text-20">{name}</span>
                <span className="text-quiet">
                  {why.join('; ')}; its port {lengthText(along, units)} along
                </span>
              </span>
            </li>
          ))}
          {asked && ranked.length === 0 && (
            <li className="py-2 text-quiet">None of the file suits that: a line nobody listed?</li>
          )}
        </ol>
      </div>
    </details>
  );
}
