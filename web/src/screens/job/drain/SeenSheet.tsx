import { CELSIUS, fillingFlow, roundTo, safeFillToday, type Estimate } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { useShop } from '../../../net/queries.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

/** What decides between the ways out: the cap, the plug, the hose’s end, a second tank; and how fast a can may be filled. */
export function SeenSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, enter } = useJob();
  const kit = useShop().data?.kit;
  const [head, setHead] = useState<Estimate | null>(null);
  const ask = (question: string) => (value: string) => void enter('answer', { question, value });
  const bore = (kit?.siphonBore ?? 10) / 1000;
  const flow = fillingFlow(bore);
  return (
    <Sheet open={open} onClose={onClose} title="What was seen">
      <div className="grid gap-4">
        <Choice
          label="Does the filler cap open?"
          value={state.answers['cap opens'] ?? null}
          onChoose={ask('cap opens')}
          options={[
            { value: 'yes', label: 'It opens' },
            { value: 'no', label: 'It does not' },
          ]}
        />
        <Choice
          label="Drain plug"
          value={state.answers['drain plug'] ?? null}
          onChoose={ask('drain plug')}
          columns="grid-cols-3"
          options={[
            { value: 'there', label: 'There' },
            { value: 'silent', label: 'Nothing came' },
            { value: 'none', label: 'None' },
          ]}
        />
        <Choice
          label="A second tank aboard, with room?"
          value={state.answers['second tank'] ?? null}
          onChoose={ask('second tank')}
          options={[
            { value: 'yes', label: 'Yes' },
            { value: 'no', label: 'No' },
          ]}
        />
        <div>
          <QuantityField
            label="From the hose’s free end up to the fuel"
            dimension="length"
            unit="cm"
            decimals={0}
            hint="below nothing: the end is higher than the fuel, as -10 cm"
            onRead={setHead}
          />
          <button
            type="button"
            className="btn w-full"
            disabled={!head}
            onClick={() => head && ask('hose head')(String(Math.round(head.typ * 1000) / 1000))}
          >
            {state.answers['hose head']
              ? `Enter it (was ${roundTo(Number(state.answers['hose head']) * 100, 1)} cm)`
              : 'Enter it'}
          </button>
        </div>
        <div className="grid gap-x-4 mid:grid-cols-2">
          <Celsius label="It is today" question={CELSIUS.today} />
          <Celsius label="The store gets at most" question={CELSIUS.store} />
        </div>
        <p className="text-quiet">
          A can may be {Math.floor(safeFillToday(state) * 1000) / 10} % full for that. Through a {bore * 1000} mm hose
          at most {roundTo(flow.bare, 1)} L/min until its inlet is covered, then {roundTo(flow.covered, 1)}: faster, and
          a charge gathers. Bond hose and can, and wait half a minute before dipping.
        </p>
      </div>
    </Sheet>
  );
}

function Celsius({ label, question }: { label: string; question: string }) {
  const { state, enter } = useJob();
  const [value, setValue] = useState<Estimate | null>(null);
  const said = state.answers[question];
  return (
    <div>
      <QuantityField
        label={label}
        dimension="temperature"
        unit="°C"
        decimals={0}
        hint={said ? `written: ${said} °C` : '12 °C or 54 F'}
        onRead={setValue}
      />
      <button
        type="button"
        className="btn w-full"
        disabled={!value}
        onClick={() => value && void enter('answer', { question, value: String(Math.round(value.typ - 273.15)) })}
      >
        Keep it
      </button>
    </div>
  );
}
