import { threads } from '@iron-cradle/core';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { useState } from 'react';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { FormSelect } from '../../../form/FormSelect.tsx';
import { useEntryForm, type EntryFormOf } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';

interface PortPanelProps {
  line: { id: string; name: string };
  onDone: () => void;
}

/** One port: the same, of another size, of another use inside, or not there. */
export function PortPanel({ line, onDone }: PortPanelProps) {
  const { enter } = useJob();
  const [sized, setSized] = useState(false);
  const form = useEntryForm({
    kind: 'portLaid',
    start: { line: line.id, is: 'size', from: { kind: 'hose' }, to: { kind: 'pipe' } },
    onDone,
  });
  const say = (is: 'same' | 'use' | 'missing') =>
    void enter('portLaid', { line: line.id, is }).then((stands) => stands && onDone());
  return (
    <div className="grid gap-3 border-y-2 border-ink py-3" data-port-panel={line.id}>
      <p className="narrow text-20">{line.name}</p>
      <div className="grid grid-cols-2 gap-3">
        <button type="button" className="btn" data-port-is="same" onClick={() => say('same')}>
          The same
        </button>
        <button type="button" className="btn" data-port-is="size" aria-expanded={sized} onClick={() => setSized(true)}>
          Another size
        </button>
        <button type="button" className="btn" data-port-is="use" onClick={() => say('use')}>
          Does something else
        </button>
        <button type="button" className="btn" data-port-is="missing" onClick={() => say('missing')}>
          Not there
        </button>
      </div>
      {sized && (
        <EntryForm say={() => form.say()}>
          <EndFields form={form} end="from" label="The line ends in" />
          <EndFields form={form} end="to" label="The new part offers" />
          <button type="submit" className="btn" data-action="port-size">
            How does it go on?
          </button>
        </EntryForm>
      )}
    </div>
  );
}

function EndFields({ form, end, label }: { form: EntryFormOf<'portLaid'>; end: 'from' | 'to'; label: string }) {
  const kind = form.watch(`${end}.kind`) as string;
  return (
    <div className="grid gap-2">
      <FormChoice
        form={form}
        name={`${end}.kind`}
        label={label}
        columns="grid-cols-3"
        options={[
          { value: 'hose', label: 'Hose' },
          { value: 'pipe', label: 'Pipe, barb' },
          { value: 'thread', label: 'Thread' },
        ]}
      />
      {kind === 'thread' ? (
        <div className="grid gap-2 min-[480px]:grid-cols-2">
          <FormSelect form={form} name={`${end}.name`} label="Which thread" options={threads.map(({ name }) => name)} />
          <FormChoice
            form={form}
            name={`${end}.side`}
            label="Its side"
            options={[
              { value: 'male', label: 'Outside' },
              { value: 'female', label: 'Inside' },
            ]}
          />
        </div>
      ) : (
        <FormQuantity
          form={form}
          name={`${end}.mm`}
          label={kind === 'hose' ? 'Its bore' : 'Over its barb'}
          dimension="length"
          unit="mm"
          step={0.01}
          decimals={2}
        />
      )}
    </div>
  );
}
