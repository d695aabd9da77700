import { PersonBody } from '@iron-cradle/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { TopBar } from '../../app/TopBar.tsx';
import { FormChoice } from '../../form/FormChoice.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { call } from '../../net/api.ts';
import { useMe, usePeople, useShop, useSignOut } from '../../net/queries.ts';
import { Gateways } from './Gateways.tsx';
import { MyUnits, ThisDevice } from './ThisDevice.tsx';
import { Rules } from './Rules.tsx';

/** The shop's own rules and people. The lead changes them; everybody sees them. */
export default function ShopScreen() {
  const me = useMe().data?.person;
  const shop = useShop();
  const people = usePeople();
  const signOut = useSignOut();
  const lead = me?.role === 'lead';
  // Said out here: the form begins anew with what was kept.
  const [kept, setKept] = useState(false);
  return (
    <>
      <TopBar title={shop.data?.name ?? 'The shop'} hint="the shop" to="/" />
      <main className="mx-auto grid max-w-5xl gap-10 p-4 mid:grid-cols-2 mid:p-9">
        <section>
          <h1 className="pb-4 text-32">{me?.name}</h1>
          <button type="button" className="btn mb-8 w-full" onClick={() => signOut.mutate()}>
            Sign out
          </button>
          <MyUnits />
          <ThisDevice />
          <h2 className="pb-2 text-24">Who works here</h2>
          <ul className="ruled border-y border-rule">
            {people.data?.map((p) => (
              <li key={p.id} className="flex justify-between py-3">
                <span className="narrow text-20">{p.name}</span>
                <span className="text-quiet">{p.signsIn ? p.role : 'named in a record'}</span>
              </li>
            ))}
          </ul>
          {lead && <AddPerson />}
          <Gateways lead={lead} />
        </section>
        {shop.data && (
          <Rules key={JSON.stringify(shop.data)} shop={shop.data} may={lead} kept={kept} onKept={setKept} />
        )}
      </main>
    </>
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
      <FormChoice
        form={form}
        name="role"
        label="As"
        options={[
          { value: 'technician', label: 'Technician' },
          { value: 'lead', label: 'Lead' },
        ]}
      />
      <p role="alert" className="min-h-6 font-semibold text-halt">
        {add.error?.message ?? ''}
      </p>
      <button type="submit" className="btn">
        Add
      </button>
    </form>
  );
}
