import { PersonBody } from '@iron-cradle/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { TopBar } from '../../app/TopBar.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';

/** An empty shop: the first person is the lead. */
export default function FirstPerson() {
  const client = useQueryClient();
  const form = useBodyForm<PersonBody>({ Body: PersonBody }, { name: '', pin: '', role: 'lead' });
  const add = useMutation({
    mutationFn: (body: PersonBody) => call('POST', '/people', { body }),
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
          onSubmit={(event) => void form.handleSubmit((body) => add.mutate(body))(event)}
          className="grid gap-4"
          noValidate
        >
          <FormText form={form} name="name" label="Your name" maxLength={40} expected="a name" />
          <FormText form={form} name="pin" label="A PIN of four to eight digits" inputMode="numeric" />
          <p role="alert" className="min-h-6 font-semibold text-halt">
            {add.error?.message ?? ''}
          </p>
          <Strap type="submit">Open the shop</Strap>
        </form>
      </main>
    </>
  );
}
