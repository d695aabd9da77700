import { lazy, Suspense, useState } from 'react';
import { Navigate, useLocation } from 'react-router';
import { TopBar } from '../../app/TopBar.tsx';
import { setLine, useLine } from '../../log/line.ts';
import { deliver } from '../../log/sender.ts';
import { Strap } from '../../look/Strap.tsx';
import { PinPad } from './PinPad.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { isStranger, useMe, usePeople, useShop, useSignIn } from '../../net/queries.ts';

const FirstPerson = lazy(() => import('./FirstPerson.tsx'));

/** Choose your name, type your PIN. */
export function SignIn() {
  const people = usePeople();
  const shop = useShop();
  const me = useMe();
  const signIn = useSignIn();
  const line = useLine();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  const [who, setWho] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [pin, setPin] = useState('');
  const stranger = isStranger(people.error);
  const chosen = stranger ? name.trim() !== '' : who !== null;
  if (me.data?.person && line.server !== 'signIn') return <Navigate to={from} replace />;
  const workers = people.data?.filter((p) => p.signsIn) ?? [];
  if (people.isSuccess && workers.length === 0)
    return (
      <Suspense>
        <FirstPerson />
      </Suspense>
    );
  const pins = shop.data?.demoPins;
  const go = () =>
    chosen &&
    signIn.mutate(
      { ...(stranger ? { name: name.trim() } : { personId: who ?? '' }), pin },
      { onSuccess: () => (setLine({ server: 'here' }), deliver()), onError: () => setPin('') },
    );
  return (
    <>
      <TopBar title={shop.data?.name ?? 'Iron Cradle'} hint="sign in" />
      <main className="mx-auto grid max-w-5xl gap-6 p-4 mid:grid-cols-2 mid:gap-12 mid:p-10">
        <section>
          <h1 className="pb-4 text-32 mid:text-48">Who is working?</h1>
          {stranger && (
            <>
              <p className="pb-4 text-quiet">
                Nobody signed in on this device yet, so it is shown no names. Afterwards it is.
              </p>
              <TextField
                label="Your name, as the shop has it"
                value={name}
                onChange={(event) => setName(event.target.value)}
                maxLength={40}
                autoComplete="off"
                data-field="name-typed"
              />
            </>
          )}
          {people.isError && !stranger && <p className="pb-4 font-semibold text-halt">{people.error.message}</p>}
          <div className="grid gap-3">
            {workers.map((person) => (
              <button
                key={person.id}
                type="button"
                className="btn min-h-18 justify-start px-5 text-left"
                aria-pressed={who === person.id}
                onClick={() => setWho(person.id)}
              >
                <span className="text-24">{person.name}</span>
                <span className="font-normal text-quiet [font-stretch:100%]">{person.role}</span>
                {pins?.[person.id] && (
                  <span className="reading ml-auto font-normal text-quiet">demo PIN {pins[person.id]}</span>
                )}
              </button>
            ))}
          </div>
          {pins && (
            <p className="pt-4 text-quiet">
              This is the demo shop: invented people and vehicles. Its PINs are shown here and nowhere else.
            </p>
          )}
        </section>
        <section aria-label="PIN">
          <p className="pb-3 text-20" aria-live="polite">
            {stranger
              ? 'Your PIN'
              : who
                ? `PIN of ${workers.find((p) => p.id === who)?.name ?? ''}`
                : 'Choose your name first'}
          </p>
          <PinPad
            pin={pin}
            onPin={(next) => {
              signIn.reset();
              setPin(next);
            }}
            onEnter={go}
            active={chosen}
            takes={!stranger}
          />
          <p role="alert" className="min-h-12 py-3 font-semibold text-halt">
            {signIn.error?.message ?? ''}
          </p>
          <Strap
            onClick={go}
            waitsFor={
              !chosen
                ? stranger
                  ? 'type your name'
                  : 'choose your name'
                : pin.length < 4
                  ? 'at least four digits'
                  : undefined
            }
          >
            Sign in
          </Strap>
        </section>
      </main>
    </>
  );
}
