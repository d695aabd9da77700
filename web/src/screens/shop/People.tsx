import { PersonBody } from '@iron-cradle/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { FormChoice } from '../../form/FormChoice.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { call } from '../../net/api.ts';
import { usePeople, type Me } from '../../net/queries.ts';
import { PersonSheet } from './PersonSheet.tsx';
import { ROLES } from './roles.ts';

/** Who works here; oneself, and for the lead everybody, with PIN and devices. */
export function People({ me }: { me: Me }) {
  const people = usePeople().data ?? [];
  const [chosen, setChosen] = useState<string | null>(null);
  const lead = me.role === 'lead';
  const person = people.find(({ id, signsIn }) => id === chosen && signsIn);
  return (
    <section aria-label="people">
      <h2 className="pb-2 text-24">Who works here</h2>
      <ul className="ruled border-y border-rule">
        {people.map(({ id, name, role, signsIn }) => (
          <li key={id} className="flex min-h-18 items-center justify-between gap-3 py-2" data-person={id}>
            <span className="min-w-0 leading-tight">
              <span className="narrow block text-20">{name}</span>
              <span className="block text-quiet">{signsIn ? role : 'named in records'}</span>
            </span>
            {signsIn && (lead || id === me.id) && (
              <button type="button" className="btn shrink-0" data-action={`person-${id}`} onClick={() => setChosen(id)}>
                PIN and devices
              </button>
            )}
            {!signsIn && lead && <ForgetName id={id} />}
          </li>
        ))}
      </ul>
      {lead && <AddPerson />}
      {person && <PersonSheet key={person.id} person={person} me={me} onClose={() => setChosen(null)} />}
    </section>
  );
}

/** On the wish of somebody who works here no more; asked twice, since it cannot be undone. */
function ForgetName({ id }: { id: string }) {
  const client = useQueryClient();
  const [sure, setSure] = useState(false);
  const forget = useMutation({
    mutationFn: () => call('DELETE', `/people/${id}/name`),
    onSuccess: () => client.invalidateQueries({ queryKey: ['people'] }),
  });
  if (forget.isSuccess) return null;
  return (
    <span className="grid shrink-0 gap-1 text-right">
      <button
        type="button"
        className={sure ? 'btn border-halt text-halt' : 'btn'}
        data-action={sure ? 'forget-now' : 'forget'}
        onClick={() => (sure ? forget.mutate() : setSure(true))}
      >
        {sure ? 'For good, in every record' : 'Forget the name'}
      </button>
      {forget.error && (
        <span role="alert" className="font-semibold text-halt">
          {forget.error.message}
        </span>
      )}
    </span>
  );
}

function AddPerson() {
  const client = useQueryClient();
  const form = useBodyForm<PersonBody>({ Body: PersonBody }, { name: '', pin: '', role: 'technician' });
  const add = useMutation({
    mutationFn: (body: PersonBody) => call('POST', '/people', { body }),
    onSuccess: async () => {
      form.anew();
      await client.invalidateQueries({ queryKey: ['people'] });
    },
  });
  return (
    <form
      noValidate
      className="grid gap-3 pt-6"
      onSubmit={(event) => void form.handleSubmit((body) => add.mutate(body))(event)}
    >
      <h3 className="text-20">Add somebody</h3>
      <FormText form={form} name="name" label="Name" maxLength={40} expected="a name" />
      <FormText form={form} name="pin" label="PIN, four to eight digits" inputMode="numeric" />
      <FormChoice form={form} name="role" label="As" options={ROLES} />
      <p role="alert" className="min-h-6 font-semibold text-halt">
        {add.error?.message ?? ''}
      </p>
      <button type="submit" className="btn">
        Add
      </button>
    </form>
  );
}
