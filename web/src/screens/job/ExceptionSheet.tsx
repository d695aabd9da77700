import { AllowBody, type GateItem, type GateNumber } from '@iron-cradle/core';
import { useMutation } from '@tanstack/react-query';
import { FormChoice } from '../../form/FormChoice.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import { usePeople } from '../../net/queries.ts';
import { Sheet } from '../../ui/Sheet.tsx';

interface ExceptionProps {
  gate: GateNumber;
  item: GateItem;
  onClose: () => void;
}

/** An item passed all the same: a reason, and the lead's PIN on this device. */
export function ExceptionSheet({ open, ...rest }: ExceptionProps & { open: boolean }) {
  return (
    <Sheet
      open={open}
      onClose={rest.onClose}
      title={`Lead decides: ${rest.item.short}`}
      hint="The exception is printed on the record with its reason and the lead’s name."
    >
      <Allow {...rest} />
    </Sheet>
  );
}

function Allow({ gate, item, onClose }: ExceptionProps) {
  const { jobId } = useJob();
  const leads = usePeople().data?.filter((p) => p.role === 'lead' && p.signsIn) ?? [];
  const why = useEntryForm({ kind: 'exception', start: { gate, item: item.id, reason: '' }, onDone: onClose });
  const lead = useBodyForm({ Body: AllowBody }, { jobId, gate, item: item.id, pin: '', personId: leads[0]?.id ?? '' });
  const allow = useMutation({
    mutationFn: async (body: AllowBody) => {
      const given = await call<{ approval: string; lead: string }>('POST', '/approvals', { body });
      await why.say(given);
    },
  });
  return (
    <form
      className="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        // Both are looked at before a PIN goes anywhere.
        void why.trigger('reason').then((said) => lead.handleSubmit((body) => said && allow.mutate(body))());
      }}
    >
      <FormText
        form={why}
        name="reason"
        label="Why it may pass all the same"
        maxLength={300}
        expected="a reason in a few words"
      />
      <FormChoice
        form={lead}
        name="personId"
        label="Lead"
        options={leads.map((p) => ({ value: p.id, label: p.name }))}
        expected="a lead"
      />
      <FormText form={lead} name="pin" label="Lead’s PIN" type="password" inputMode="numeric" />
      <p role="alert" className="min-h-6 font-semibold text-halt">
        {allow.error?.message ?? ''}
      </p>
      <Strap type="submit">Allow it</Strap>
    </form>
  );
}
