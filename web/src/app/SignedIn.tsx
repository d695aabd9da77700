import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect } from 'react';
import { Navigate, Outlet, ScrollRestoration, useLocation } from 'react-router';
import { useLine } from '../log/line.ts';
import { useMe, useShop } from '../net/queries.ts';
import { IdleLock } from './IdleLock.tsx';
import { fetchPages } from './pages.ts';

/** Everything behind the sign-in. A person known to this device goes on while the server is away. */
export function SignedIn() {
  const me = useMe();
  const shop = useShop();
  const here = useLocation();
  const client = useQueryClient();
  const { server } = useLine();
  const known = Boolean(me.data?.person);
  useEffect(() => void (known && fetchPages()), [known]);
  // Opened while the server was away, or locked in another tab: only the PIN lets this device hear what others enter.
  useEffect(() => void (server === 'pin' && client.invalidateQueries({ queryKey: ['me'] })), [client, server]);
  // What the device kept from before a sign-in says that nobody is: asked again before anybody is sent away.
  if (me.isPending || (me.isFetching && !me.data?.person)) return <p className="p-6 text-quiet">Opening…</p>;
  if (!me.data?.person) return <Navigate to="/sign-in" state={{ from: here.pathname }} replace />;
  return (
    <Suspense fallback={<p className="p-6 text-quiet">Opening…</p>}>
      <Outlet />
      <ScrollRestoration />
      <IdleLock me={me.data.person} locked={me.data.locked ?? false} after={shop.data?.lockAfter ?? null} />
    </Suspense>
  );
}
