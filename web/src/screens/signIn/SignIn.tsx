import { lazy, Suspense, useState } from 'react';
import { Navigate, useLocation } from 'react-router';
import { TopBar } from '../../app/TopBar.tsx';
import { setLine, useLine } from '../../log/line.ts';
import { deliver } from '../../log/sender.ts';
import { Strap } from '../../look/Strap.tsx';
import { useMe, usePeople, useShop, useSignIn } from '../../net/queries.ts';

const FirstPerson = lazy(() => import('./FirstPerson.tsx'));

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', 'clear', '0', 'del'];

/** Choose your name, type your PIN. */
export function SignIn() {
  const people = usePeople();
  const shop = useShop();
  const me = useMe();
  const signIn = useSignIn();
  const line = useLine();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  const [who, setWho] = useState<string | null>(null);
  const [pin, setPin] = useState('');
  if (me.data?.person && line.server !== 'signIn') return <Navigate to={from} replace />;
  const workers = people.data?.filter((p) => p.signsIn) ?? [];
  if (people.isSuccess && workers.length === 0)
    return (
      <Suspense>
        <FirstPerson />
      </Suspense>
    );
  const pins = shop.data?.demoPins;
  const press = (key: string) => {
    signIn.reset();
    setPin(key === 'clear' ? '' : key === 'del' ? pin.slice(0, -1) : (pin + key).slice(0, 8));
  };
  const go = () =>
    who &&
    signIn.mutate(
      { personId: who, pin },
      { onSuccess: () => (setLine({ server: 'here' }), deliver()), onError: () => setPin('') },
    );
  return (
    <>
      <TopBar title={shop.data?.name ?? 'Iron Cradle'} hint="sign in" />
      <main className="mx-auto grid max-w-5xl gap-6 p-4 mid:grid-cols-2 mid:gap-12 mid:p-10">
        <section>
          <h1 className="pb-4 text-32 mid:text-48">Who is working?</h1>
          {people.isError && <p className="pb-4 font-semibold text-halt">{people.error.message}</p>}
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
            {who ? `PIN of ${workers.find((p) => p.id === who)?.name ?? ''}` : 'Choose your name first'}
          </p>
          <p className="reading mb-4 h-16 border-b-2 border-ink text-48 leading-none tracking-[0.3em]">
            <span aria-hidden>{'*'.repeat(pin.length)}</span>
            <span className="sr-only">{pin.length} digits typed</span>
          </p>
          <div className="grid grid-cols-3 gap-3">
            {KEYS.map((key) => (
              <button key={key} type="button" className="btn reading text-24" onClick={() => press(key)}>
                {key}
              </button>
            ))}
          </div>
          <p role="alert" className="min-h-12 py-3 font-semibold text-halt">
            {signIn.error?.message ?? ''}
          </p>
          <Strap
            onClick={go}
            waitsFor={!who ? 'choose your name' : pin.length < 4 ? 'at least four digits' : undefined}
          >
            Sign in
          </Strap>
        </section>
      </main>
      <PinKeys onKey={press} onEnter={go} active={who !== null} />
    </>
  );
}

const takeFocus = (input: HTMLInputElement | null) => input?.focus();

/** The PIN can be typed too; it is read from the keys, so that no browser offers to keep it. */
function PinKeys({ onKey, onEnter, active }: { onKey: (key: string) => void; onEnter: () => void; active: boolean }) {
  return active ? (
    <input
      aria-label="type the PIN"
      className="pointer-events-none fixed size-px opacity-0"
      ref={takeFocus}
      inputMode="none"
      value=""
      onChange={() => undefined}
      onKeyDown={(event) => {
        if (/^\d$/.test(event.key)) onKey(event.key);
        else if (event.key === 'Backspace') onKey('del');
        else if (event.key === 'Enter') onEnter();
      }}
    />
  ) : null;
}
