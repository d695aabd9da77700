import { useState } from 'react';
import { TopBar } from '../../app/TopBar.tsx';
import { useMe, useShop, useSignOut } from '../../net/queries.ts';
import { Gateways } from './Gateways.tsx';
import { Keys } from './Keys.tsx';
import { MyUnits, ThisDevice } from './ThisDevice.tsx';
import { People } from './People.tsx';
import { Rules } from './Rules.tsx';

/** The shop's own rules and people. The lead changes them; everybody sees them. */
export default function ShopScreen() {
  const me = useMe().data?.person;
  const shop = useShop();
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
          {me && <People me={me} />}
          <Gateways lead={lead} />
          <Keys lead={lead} />
        </section>
        {shop.data && (
          <Rules key={JSON.stringify(shop.data)} shop={shop.data} may={lead} kept={kept} onKept={setKept} />
        )}
      </main>
    </>
  );
}
