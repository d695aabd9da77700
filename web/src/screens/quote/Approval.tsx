import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useJob } from '../../log/useJob.ts';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/TextField.tsx';

const answers = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'call', label: 'Call first' },
] as const;
type Answer = (typeof answers)[number]['value'];

/** What the owner said, who it was and how: an entry of the log. */
export function Approval() {
  const { enter } = useJob();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const form = useForm({ defaultValues: { who: '', how: '' } });
  const { errors } = form.formState;
  const missing = form.formState.isSubmitted && answer === null;
  return (
    <form
      noValidate
      aria-label="what the owner said"
      className="no-print grid gap-4 p-5 mid:p-9"
      onSubmit={(event) =>
        void form.handleSubmit(async ({ who, how }) => {
          if (!answer) return;
          if (!(await enter('approval', { answer, who: who.trim(), how: how.trim() }))) return;
          form.reset();
          setAnswer(null);
        })(event)
      }
    >
      <h2 className="text-24">What the owner said</h2>
      <Choice label="" value={answer} onChoose={setAnswer} columns="grid-cols-3" options={answers} />
      {missing && (
        <p role="alert" className="font-semibold text-halt">
          Expected yes, no, or call first.
        </p>
      )}
      <div className="grid gap-4 mid:grid-cols-2">
        <TextField
          label="Who said it"
          error={errors.who?.message}
          maxLength={80}
          {...form.register('who', { validate: (v) => v.trim().length > 0 || 'Expected a name.' })}
        />
        <TextField
          label="How: by phone, at the counter, in writing"
          error={errors.how?.message}
          maxLength={80}
          {...form.register('how', { validate: (v) => v.trim().length > 0 || 'Expected how it was said.' })}
        />
      </div>
      <button type="submit" className="btn" data-action="approval">
        Write it down
      </button>
    </form>
  );
}
