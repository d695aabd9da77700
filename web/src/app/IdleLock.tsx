import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { isPinHere } from '../log/pinHere.ts';
import { Strap } from '../look/Strap.tsx';
import { Away, call } from '../net/api.ts';
import { useSignOut, type Me } from '../net/queries.ts';
import { PinPad } from '../screens/signIn/PinPad.tsx';

/** Whatever shows that somebody is there. */
const SIGNS = ['pointerdown', 'keydown', 'wheel', 'touchmove'] as const;

interface IdleLockProps {
  me: Me;
  /** Is this sign-in locked? */
  locked: boolean;
  /** The shop's rule, minutes; null: never. */
  after: number | null;
}

/** Nobody touched the device for as long as the shop's rule says: it asks for the PIN. What was begun stays as it is under it, what runs goes on. */
export function IdleLock({ me, locked, after }: IdleLockProps) {
  const client = useQueryClient();
  const lock = useMutation({
    mutationFn: () => call<void>('PUT', '/session/lock'),
    onSuccess: () => client.setQueryData(['me'], { person: me, locked: true }),
  });
  const { mutate } = lock;
  useEffect(() => {
    if (after === null || locked) return;
    let last = Date.now();
    const sign = () => void (last = Date.now());
    // Looked at now and then: a device that slept has no timers that ran. With the server away it is tried again.
    const look = setInterval(() => Date.now() - last >= after * 60_000 && mutate(), 5_000);
    SIGNS.forEach((name) => addEventListener(name, sign, { capture: true, passive: true }));
    return () => {
      clearInterval(look);
      SIGNS.forEach((name) => removeEventListener(name, sign, { capture: true }));
    };
  }, [after, locked, mutate]);
  return locked ? <Locked me={me} /> : null;
}

/** Opened by the PIN of whoever is signed in; somebody else signs in as themselves. */
function Locked({ me }: { me: Me }) {
  const client = useQueryClient();
  const [pin, setPin] = useState('');
  const [here, setHere] = useState(false);
  const unlock = useMutation({ mutationFn: () => call<void>('POST', '/session/unlock', { body: { pin } }) });
  const signOut = useSignOut();
  const goOn = () => client.setQueryData(['me'], { person: me, locked: false });
  const open = () =>
    unlock.mutate(undefined, {
      onSuccess: () => {
        goOn();
        void client.invalidateQueries();
      },
      onError: (error) => {
        // With the server away nobody may be kept from what hangs over them.
        const away = error instanceof Away;
        if (away && isPinHere(pin)) goOn();
        setHere(away && !isPinHere(pin));
        setPin('');
      },
    });
  const problem = here ? 'That is not the PIN that was typed here last. The server is away.' : unlock.error?.message;
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-60 bg-ground" />
        <Dialog.Content
          aria-describedby={undefined}
          data-locked
          onEscapeKeyDown={(event) => event.preventDefault()}
          onInteractOutside={(event) => event.preventDefault()}
          className="fixed inset-0 z-60 grid content-center justify-items-center overflow-y-auto p-4 text-ink"
        >
          <div className="w-full max-w-md">
            <Dialog.Title className="pb-2 text-32">{me.name}, your PIN</Dialog.Title>
            <p className="pb-4 text-quiet">Nobody was here for a while. What you had begun stands as it was.</p>
            <PinPad
              pin={pin}
              onPin={(next) => {
                unlock.reset();
                setHere(false);
                setPin(next);
              }}
              onEnter={open}
              active
              takes
            />
            <p role="alert" className="min-h-12 py-3 font-semibold text-halt">
              {problem ?? ''}
            </p>
            <Strap onClick={open} waitsFor={pin.length < 4 ? 'at least four digits' : undefined}>
              Go on
            </Strap>
            <button
              type="button"
              className="btn mt-4 w-full"
              data-action="somebody-else"
              onClick={() => signOut.mutate()}
            >
              Somebody else
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
