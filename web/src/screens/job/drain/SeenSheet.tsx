import {
  answerTo,
  BEFORE_DIPPING,
  CAP_OPENS,
  CELSIUS,
  DRAIN_PLUG,
  fillingFlow,
  HOSE_HEAD,
  roundTo,
  safeFillToday,
  SECOND_TANK,
  USUAL_BORE,
  type ValueOf,
} from '@iron-cradle/core';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { useShop } from '../../../net/queries.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

/** What decides between the ways out: the cap, the plug, the hose’s end, a second tank; and how fast a can may be filled. */
export function SeenSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, answer } = useJob();
  const kit = useShop().data?.kit;
  const head = useEntryForm({ kind: 'answer', start: { question: HOSE_HEAD.id } });
  const was = answerTo(state, HOSE_HEAD);
  const bore = kit?.siphonBore ?? USUAL_BORE;
  const flow = fillingFlow(bore / 1000);
  return (
    <Sheet open={open} onClose={onClose} title="What was seen">
      <div className="grid gap-4">
        <Choice
          label="Does the filler cap open?"
          value={answerTo(state, CAP_OPENS) ?? null}
          onChoose={(value: ValueOf<typeof CAP_OPENS>) => void answer(CAP_OPENS, value)}
          options={[
            { value: 'yes', label: 'It opens' },
            { value: 'no', label: 'It does not' },
          ]}
        />
        <Choice
          label="Drain plug"
          value={answerTo(state, DRAIN_PLUG) ?? null}
          onChoose={(value: ValueOf<typeof DRAIN_PLUG>) => void answer(DRAIN_PLUG, value)}
          columns="grid-cols-3"
          options={[
            { value: 'there', label: 'There' },
            { value: 'silent', label: 'Nothing came' },
            { value: 'none', label: 'None' },
          ]}
        />
        <Choice
          label="A second tank aboard, with room?"
          value={answerTo(state, SECOND_TANK) ?? null}
          onChoose={(value: ValueOf<typeof SECOND_TANK>) => void answer(SECOND_TANK, value)}
          options={[
            { value: 'yes', label: 'Yes' },
            { value: 'no', label: 'No' },
          ]}
        />
        <div>
          <FormQuantity
            form={head}
            name="value"
            label="From the hose’s free end up to the fuel"
            dimension="length"
            unit="m"
            shown="cm"
            decimals={0}
            hint="below nothing: the end is higher than the fuel, as -10 cm"
          />
          <button type="button" className="btn w-full" onClick={() => void head.say()}>
            {was === undefined ? 'Enter it' : `Enter it (was ${roundTo(was * 100, 1)} cm)`}
          </button>
        </div>
        <div className="grid gap-x-4 mid:grid-cols-2">
          <Celsius label="It is today" where="today" />
          <Celsius label="The store gets at most" where="store" />
        </div>
        <p className="text-quiet">
          A can may be {Math.floor(safeFillToday(state) * 1000) / 10} % full for that. Through{' '}
          {kit?.siphonBore ? 'a' : 'the usual'} {bore} mm hose at most {roundTo(flow.bare, 1)} L/min until its inlet is
          covered, then {roundTo(flow.covered, 1)}: faster, and a charge gathers. Bond hose and can, and wait{' '}
          {BEFORE_DIPPING.seconds} s before dipping.
        </p>
      </div>
    </Sheet>
  );
}

function Celsius({ label, where }: { label: string; where: 'today' | 'store' }) {
  const { state } = useJob();
  const form = useEntryForm({ kind: 'answer', start: { question: CELSIUS.id, of: where } });
  const said = answerTo(state, CELSIUS, where);
  return (
    <div>
      <FormQuantity
        form={form}
        name="value"
        label={label}
        dimension="temperature"
        unit="°C"
        decimals={0}
        step={1}
        hint={said !== undefined ? `written: ${said} °C` : '12 °C or 54 F'}
      />
      <button type="button" className="btn w-full" onClick={() => void form.say()}>
        Keep it
      </button>
    </div>
  );
}
