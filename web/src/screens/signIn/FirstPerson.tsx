import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { TopBar } from '../../app/TopBar.tsx';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import { TextField } from '../../ui/TextField.tsx';

interface First {
  name: string;
  pin: string;
}

/** An empty shop: the first person is the lead. */
export default function FirstPerson() {
  const client = useQueryClient();
  const form = useForm<First>({ defaultValues: { name: '', pin: '' } });
  const add = useMutation({
    mutationFn: (first: First) => call('POST', '/people', { body: { ...first, role: 'lead' } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['people'] }),
  });
  return (
    <>
      <TopBar title="Iron Cradle" hint="an empty shop" />
      <main className="mx-auto max-w-xl p-6">
        <h1 className="pb-2 text-48">Nobody works here yet.</h1>
        <p className="pb-6 text-quiet">
          Say who you are. You will be the lead: you can add the others, and allow exceptions at a gate.
        </p>
        <form
          onSubmit={(event) => void form.handleSubmit((first) => add.mutate(first))(event)}
          className="grid gap-4"
          noValidate
        >
          <TextField
            label="Your name"
            error={form.formState.errors.name?.message}
            {...form.register('name', { validate: (v) => v.trim().length > 0 || 'Expected a name.' })}
          />
          <TextField
            label="A PIN of four to eight digits"
            inputMode="numeric"
            autoComplete="off"
            error={form.formState.errors.pin?.message}
            {...form.register('pin', { pattern: { value: /^\d{4,8}$/, message: 'Expected four to eight digits.' } })}
          />
          <p role="alert" className="min-h-6 font-semibold text-halt">
            {add.error?.message ?? ''}
          </p>
          <Strap type="submit">Open the shop</Strap>
        </form>
      </main>
    </>
  );
}
