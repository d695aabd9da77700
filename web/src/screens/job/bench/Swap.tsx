import type { ReactNode } from 'react';
import { useState } from 'react';
import { FormText } from '../../../form/FormText.tsx';
import type { EntryFormOf } from '../../../form/useEntryForm.ts';
import { newId } from '../../../log/device.ts';
import { drawNumber } from '../../../log/tags.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';

interface SwapProps {
  /** Form of the entry by which it goes in; what closes it is told from outside. */
  form: EntryFormOf<'partSwapped'> | EntryFormOf<'unitSwapped'>;
  open: boolean;
  onOpen: () => void;
  /** The key that begins it. */
  action: string;
  label: ReactNode;
  /** Is it the next thing to do? */
  main: boolean;
  /** What was in before; null: nothing. */
  before: string | null;
  /** What was in before goes back. */
  onAgain: () => void;
}

/** Another one goes in: as it is written on it, with a number of its own; or the one before goes back. */
export function Swap({ form, open, onOpen, action, label, main, before, onAgain }: SwapProps) {
  const { jobId } = useJob();
  const [draws, setDraws] = useState(false);
  const put = async () => {
    setDraws(true);
    const tag = await drawNumber(jobId, `part-${newId()}`);
    setDraws(false);
    await form.say(tag === null ? {} : { tag });
  };
  if (open)
    return (
      <div className="grid gap-3 border-y border-rule py-4">
        <FormText
          form={form as EntryFormOf<'unitSwapped'>}
          name="with"
          label="What goes in, as it is written on it"
          maxLength={120}
          expected="what goes in, as it is written on it"
        />
        <button type="button" className="btn" data-action="fit" disabled={draws} onClick={() => void put()}>
          It goes in; the old one is scrap
        </button>
      </div>
    );
  return (
    <div className="grid gap-3 border-y border-rule py-4">
      {main ? (
        <Strap data-action={action} onClick={onOpen}>
          {label}
        </Strap>
      ) : (
        <button type="button" className="btn" data-action={action} onClick={onOpen}>
          {label}
        </button>
      )}
      {before !== null && (
        <button type="button" className="btn" data-action={`${action}-again`} onClick={onAgain}>
          Fitted in error: {before} goes back
        </button>
      )}
    </div>
  );
}
