import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { deviceId } from '../../log/device.ts';
import { call, get } from '../../net/api.ts';

interface Device {
  device: string;
  /** ISO time it last delivered something, to the hour. */
  used: string;
}

/** Devices somebody is signed in on; each can be ended: it is signed out, and what it still sends is kept back. */
export function Devices({ person, own }: { person: string; own: boolean }) {
  const client = useQueryClient();
  const key = ['devices', person];
  const list = useQuery({ queryKey: key, queryFn: () => get<Device[]>(`/people/${person}/devices`) });
  const end = useMutation({
    mutationFn: (device: string) => call('DELETE', `/people/${person}/devices/${device}`),
    onSuccess: () => client.invalidateQueries({ queryKey: key }),
  });
  return (
    <section aria-label="devices" className="grid gap-2">
      <h3 className="text-20">{own ? 'Your devices' : 'Devices'}</h3>
      <ul className="ruled border-y border-rule">
        {list.data?.map(({ device, used }) => (
          <li key={device} className="flex min-h-18 items-center justify-between gap-3 py-2" data-device={device}>
            <span className="min-w-0 leading-tight">
              <span className="block text-20">{device === deviceId() ? 'This one' : <Short id={device} />}</span>
              <span className="block text-quiet">used {format(new Date(used), 'd MMM, H:mm')}</span>
            </span>
            <button type="button" className="btn shrink-0" data-action="end-device" onClick={() => end.mutate(device)}>
              End it
            </button>
          </li>
        ))}
        {list.data?.length === 0 && <li className="py-3 text-quiet">Signed in nowhere.</li>}
      </ul>
      <p className="text-quiet">
        A lost one is ended: it is signed out, and what it still sends in their name is kept back.
      </p>
      {(end.error ?? list.error) && (
        <p role="alert" className="font-semibold text-halt">
          {(end.error ?? list.error)?.message}
        </p>
      )}
    </section>
  );
}

/** As it stands in records too: enough of its id to tell it from another. */
const Short = ({ id }: { id: string }) => (
  <>
    Device <span className="reading">{id.slice(0, 4)}</span>
  </>
);
