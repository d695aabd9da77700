import { useMutation } from '@tanstack/react-query';
import type { GateItem, GateNumber } from '@iron-cradle/core';
import { useForm, useWatch } from 'react-hook-form';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import { usePeople } from '../../net/queries.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { TextField } from '../../ui/TextField.tsx';

interface Fields {
  reason: string;
  lead: string;
  pin: string;
}

/** An item passed all the same: a reason, and the lead's PIN on this device. */
export function ExceptionSheet({
  open,
  onClose,
  gate,
  item,
}: {
  open: boolean;
  onClose: () => void;
  gate: GateNumber;
  item: GateItem;
}) {
  const { jobId, enter } = useJob();
  const leads = usePeople().data?.filter((p) => p.role === 'lead' && p.signsIn) ?? [];
  const form = useForm<Fields>({ defaultValues: { reason: '', lead: '', pin: '' } });
  const lead = useWatch({ control: form.control, name: 'lead' }) || leads[0]?.id || '';
  const allow = useMutation({
    mutationFn: async ({ reason, pin }: Fields) => {
      const given = await call<{ approval: string; lead: string }>('POST', '/approvals', {
        body: {
          personId: lead,
          pin,
          jobId,
          gate,
          item: item.id,
        },
      });
      if (
        !(await enter('exception', {
          gate,
          item: item.id,
          reason: reason.trim(),
          lead: given.lead,
          approval: given.approval,
        }))
      )
        return;
    },
    onSuccess: () => {
      form.reset();
      onClose();
    },
  });
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title={`Lead decides: ${item.short}`}
      hint="The exception is printed on the record with its reason and the lead’s name."
    >
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((fields) => allow.mutate(fields))(event)}
      >
        <TextField
          label="Why it may pass all the same"
          error={form.formState.errors.reason?.message}
          {...form.register('reason', { validate: (v) => v.trim().length >= 3 || 'Expected a reason in a few words.' })}
        />
        <Choice
          label="Lead"
          value={lead}
          onChoose={(id) => form.setValue('lead', id)}
          options={leads.map((p) => ({ value: p.id, label: p.name }))}
        />
        <TextField
          label="Lead’s PIN"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          error={form.formState.errors.pin?.message}
          {...form.register('pin', { pattern: { value: /^\d{4,8}$/, message: 'Expected four to eight digits.' } })}
        />
        <p role="alert" className="min-h-6 font-semibold text-halt">
          {allow.error?.message ?? ''}
        </p>
        <Strap type="submit">Allow it</Strap>
      </form>
    </Sheet>
  );
}
