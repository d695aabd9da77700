import { servedBy, SourceBody, type OfferedLine } from '@iron-cradle/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { call, get } from '../../net/api.ts';

interface Gateway {
  id: string;
  name: string;
  address: string;
  lines: OfferedLine[];
}

/** Gateways that read the shop’s own meters and gauges; the lead adds one by its address. */
export function Gateways({ lead }: { lead: boolean }) {
  const client = useQueryClient();
  const list = useQuery({ queryKey: ['sources'], queryFn: () => get<Gateway[]>('/sources') });
  const heard = async () => {
    await client.invalidateQueries({ queryKey: ['sources'] });
    await client.invalidateQueries({ queryKey: ['instruments'] });
  };
  const remove = useMutation({ mutationFn: (id: string) => call('DELETE', `/sources/${id}`), onSuccess: heard });
  return (
    <section aria-label="instruments" className="pt-8">
      <h2 className="pb-2 text-24">Instruments</h2>
      <ul className="ruled border-y border-rule">
        {list.data?.map((gateway) => (
          <li key={gateway.id} className="flex flex-wrap items-center gap-3 py-3" data-gateway={gateway.name}>
            <span className="min-w-0 flex-1 leading-tight">
              <span className="narrow block text-20">{gateway.name}</span>
              <span className="block text-quiet">
                {gateway.address}: {gateway.lines.flatMap((line) => servedBy(line).map(({ name }) => name)).join(', ')}
              </span>
            </span>
            {lead && (
              <button type="button" className="btn" onClick={() => remove.mutate(gateway.id)}>
                Take it away
              </button>
            )}
          </li>
        ))}
        {list.data?.length === 0 && (
          <li className="py-3 text-quiet">No gateway: every reading can be typed, or comes as a table.</li>
        )}
      </ul>
      {lead && <AddGateway onAdded={heard} />}
    </section>
  );
}

function AddGateway({ onAdded }: { onAdded: () => Promise<void> }) {
  const form = useBodyForm<SourceBody>({ Body: SourceBody }, { name: '', address: '' });
  const add = useMutation({
    mutationFn: (body: SourceBody) => call('POST', '/sources', { body }),
    onSuccess: async () => {
      form.anew();
      await onAdded();
    },
  });
  return (
    <form
      noValidate
      className="grid gap-3 pt-4"
      onSubmit={(event) => void form.handleSubmit((body) => add.mutate(body))(event)}
    >
      <FormText form={form} name="name" label="A gateway: what it is called" maxLength={60} expected="a name" />
      <FormText
        form={form}
        name="address"
        label="Its address on the shop’s own network"
        maxLength={200}
        expected="an address, as http://192.168.1.20:8090"
      />
      <p role="alert" className="min-h-6 font-semibold text-halt">
        {add.error?.message ?? ''}
      </p>
      <button type="submit" className="btn">
        Add it
      </button>
    </form>
  );
}
