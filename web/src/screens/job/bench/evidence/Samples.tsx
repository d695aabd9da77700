import { causes, fuelCauses, pointWord, streamPoints, type KeptSample } from '@iron-cradle/core';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { useState } from 'react';
import { FormChoice } from '../../../../form/FormChoice.tsx';
import { FormText } from '../../../../form/FormText.tsx';
import { FormYesNo } from '../../../../form/FormYesNo.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { newId } from '../../../../log/device.ts';
import { drawNumber } from '../../../../log/tags.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Tag } from '../../../../look/Tag.tsx';

/** Samples that are kept, each with the chain of its hands. */
export function Samples() {
  const { state } = useJob();
  const [keeping, setKeeping] = useState(false);
  return (
    <section aria-label="samples" className="grid gap-3">
      <h3 className="border-b-2 border-ink pb-1 text-20">Samples, and whose hands they are in</h3>
      <ul className="ruled">
        {state.kept.map((sample) => (
          <Sample key={sample.id} sample={sample} />
        ))}
        {state.kept.length === 0 && <li className="py-2 text-quiet">None kept yet.</li>}
      </ul>
      {!state.signed &&
        (keeping ? (
          <Keep onDone={() => setKeeping(false)} />
        ) : (
          <button type="button" className="btn" data-action="keep-sample" onClick={() => setKeeping(true)}>
            Keep a sample
          </button>
        ))}
    </section>
  );
}

function Sample({ sample }: { sample: KeptSample }) {
  const { state } = useJob();
  const [open, setOpen] = useState<'hand' | 'lab' | null>(null);
  return (
    <li className="grid gap-2 py-2" data-sample={sample.id}>
      <p className="flex items-center gap-3">
        <Tag number={sample.tag} />
        <span>
          taken {pointWord[sample.of]}
          {sample.sealed ? ', sealed and dated' : ', not sealed'}
        </span>
      </p>
      <p className="text-quiet">
        {sample.hands.map(({ who, whole }) => `${who}${whole ? '' : ', seal broken'}`).join(' → ')}
      </p>
      {sample.lab && (
        <p className="font-semibold">
          {sample.lab.lab}: {sample.lab.is === 'sound' ? 'the fuel is sound' : causes[sample.lab.is].name}.
        </p>
      )}
      {!state.signed && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <button
              type="button"
              className="btn"
              data-action="hand-over"
              onClick={() => setOpen(open === 'hand' ? null : 'hand')}
            >
              Into other hands
            </button>
            <button
              type="button"
              className="btn"
              data-action="lab"
              onClick={() => setOpen(open === 'lab' ? null : 'lab')}
            >
              A laboratory says
            </button>
          </div>
          {open === 'hand' && <HandOver sample={sample.id} onDone={() => setOpen(null)} />}
          {open === 'lab' && <Lab sample={sample.id} onDone={() => setOpen(null)} />}
        </>
      )}
    </li>
  );
}

function Keep({ onDone }: { onDone: () => void }) {
  const { jobId } = useJob();
  const form = useEntryForm({ kind: 'sampleKept', start: { of: 'tank', with: '' }, onDone });
  return (
    <EntryForm say={() => drawNumber(jobId, `sample-${newId()}`).then((tag) => form.say(tag === null ? {} : { tag }))}>
      <FormChoice
        form={form}
        name="of"
        label="Taken"
        options={streamPoints.map((value) => ({ value, label: pointWord[value] }))}
      />
      <FormYesNo form={form} name="sealed" label="Sealed and dated at once, beside a clean one" />
      <FormText form={form} name="with" label="Who keeps it" maxLength={80} expected="who keeps it" />
      <button type="submit" className="btn" data-action="sample-kept">
        It is kept
      </button>
    </EntryForm>
  );
}

function HandOver({ sample, onDone }: { sample: string; onDone: () => void }) {
  const form = useEntryForm({ kind: 'sampleHanded', start: { sample, to: '' }, onDone });
  return (
    <EntryForm say={() => form.say()}>
      <FormText form={form} name="to" label="To whom" maxLength={80} expected="to whom" />
      <FormYesNo form={form} name="whole" label="Its seal was whole" />
      <button type="submit" className="btn">
        Handed over
      </button>
    </EntryForm>
  );
}

function Lab({ sample, onDone }: { sample: string; onDone: () => void }) {
  const form = useEntryForm({ kind: 'labTold', start: { sample, lab: '' }, onDone });
  return (
    <EntryForm say={() => form.say()}>
      <FormText
        form={form}
        name="lab"
        label="Which laboratory, its number"
        maxLength={120}
        expected="which laboratory"
      />
      <FormChoice
        form={form}
        name="is"
        label="It says"
        expected="what it says"
        options={[
          { value: 'sound' as const, label: 'the fuel is sound' },
          ...fuelCauses.map((value) => ({ value, label: causes[value].name })),
        ]}
      />
      <button type="submit" className="btn">
        Write it down
      </button>
    </EntryForm>
  );
}
