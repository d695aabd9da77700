import { NewPinBody } from '@iron-cradle/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { call } from '../../net/api.ts';
import type { Me, PersonName } from '../../net/queries.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { Devices } from './Devices.tsx';
import { ROLES } from './roles.ts';

interface PersonSheetProps {
  person: PersonName;
  me: Me;
  onClose: () => void;
}

/** PIN, devices and role of somebody: one’s own, or anybody’s for the lead. */
export function PersonSheet({ person, me, onClose }: PersonSheetProps) {
  const own = person.id === me.id;
  return (
    <Sheet
      open
      onClose={onClose}
      title={person.name}
      hint={own ? 'You, on every device.' : 'What they did stays under their name, whatever is changed here.'}
    >
      <div className="grid gap-6">
        <Devices person={person.id} own={own} />
        <NewPin person={person} own={own} />
        {!own && <Stands person={person} onGone={onClose} />}
      </div>
    </Sheet>
  );
}

function NewPin({ person, own }: { person: PersonName; own: boolean }) {
  const form = useBodyForm<NewPinBody>({ Body: NewPinBody }, own ? { pin: '', old: '' } : { pin: '' });
  const [said, setSaid] = useState('');
  const put = useMutation({
    mutationFn: (body: NewPinBody) => call('PUT', `/people/${person.id}/pin`, { body }),
    onMutate: () => setSaid(''),
    onSuccess: () => {
      form.anew();
      setSaid(own ? 'It is changed.' : 'It is changed. Their devices ask for it now.');
    },
  });
  return (
    <form
      noValidate
      aria-label="PIN"
      className="grid gap-3"
      onSubmit={(event) => void form.handleSubmit((body) => put.mutate(body))(event)}
    >
      <h3 className="text-20">{own ? 'Change your PIN' : 'Another PIN'}</h3>
      {own && <FormText form={form} name="old" label="As it is now" type="password" inputMode="numeric" />}
      <FormText form={form} name="pin" label="The new one, four to eight digits" type="password" inputMode="numeric" />
      <Said problem={put.error?.message} done={said} />
      <button type="submit" className="btn" data-action="new-pin">
        {own ? 'Change it' : 'Give them this one'}
      </button>
    </form>
  );
}

/** As what somebody works here, and that they do no more. */
function Stands({ person, onGone }: { person: PersonName; onGone: () => void }) {
  const client = useQueryClient();
  const [sure, setSure] = useState(false);
  const heard = () => client.invalidateQueries({ queryKey: ['people'] });
  const change = useMutation({
    mutationFn: (role: PersonName['role']) => call('PATCH', `/people/${person.id}`, { body: { role } }),
    onSuccess: heard,
  });
  const remove = useMutation({
    mutationFn: () => call('DELETE', `/people/${person.id}`),
    onSuccess: async () => {
      await heard();
      onGone();
    },
  });
  return (
    <section aria-label="role" className="grid gap-3">
      <Choice label="Works here as" value={person.role} options={ROLES} onChoose={(role) => change.mutate(role)} />
      <Said problem={(change.error ?? remove.error)?.message} done="" />
      {sure ? (
        <button
          type="button"
          className="btn border-halt text-halt"
          data-action="remove-now"
          onClick={() => remove.mutate()}
        >
          {person.name} signs in no more: all their devices end
        </button>
      ) : (
        <button type="button" className="btn" data-action="remove" onClick={() => setSure(true)}>
          Works here no more
        </button>
      )}
    </section>
  );
}

const Said = ({ problem, done }: { problem: string | undefined; done: string }) => (
  <p role="status" className={`min-h-6 font-semibold ${problem ? 'text-halt' : 'text-go'}`}>
    {problem ?? done}
  </p>
);
