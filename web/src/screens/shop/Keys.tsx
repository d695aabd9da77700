import { ComparedBody, fingerprintInWords, type KnownKey } from '@iron-cradle/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { Shape } from '../../look/Shapes.tsx';
import { call, get } from '../../net/api.ts';

interface Key extends KnownKey {
  /** ISO time since which it is known here. */
  since: string;
}

/** Keys that logs are sealed with: the shop's own, and those that came in on jobs; the lead says whose one is. */
export function Keys({ lead }: { lead: boolean }) {
  const client = useQueryClient();
  const list = useQuery({ queryKey: ['keys'], queryFn: () => get<Key[]>('/keys') });
  const heard = () => client.invalidateQueries({ queryKey: ['keys'] });
  return (
    <section aria-label="keys" className="pt-8">
      <h2 className="pb-2 text-24">Seals</h2>
      <p className="pb-3 text-quiet">
        At every gate and name a log is sealed with the shop’s key. Read the figures to whoever gets a record of yours:
        by them they know it.
      </p>
      <ul className="ruled border-y border-rule">
        {list.data?.map((key) => (
          <li key={key.fingerprint} className="grid gap-2 py-3" data-key={key.whose}>
            <span className="flex items-start gap-3 leading-tight">
              <Shape outcome={key.whose === 'unknown' ? 'unknown' : 'good'} size={20} />
              <span className="min-w-0">
                <span className="narrow block text-20">{nameOf(key)}</span>
                <span className="reading block max-w-[20ch] text-16">{fingerprintInWords(key.fingerprint)}</span>
                <span className="block text-quiet">known since {format(new Date(key.since), 'd MMM yyyy')}</span>
              </span>
            </span>
            {lead && key.whose !== 'own' && <Compared of={key} onDone={heard} />}
          </li>
        ))}
        {list.data?.length === 0 && <li className="py-3 text-quiet">No key: nothing is sealed.</li>}
      </ul>
    </section>
  );
}

const nameOf = ({ whose, shop }: Key): string =>
  ({ own: 'This shop', compared: shop ?? '', unknown: 'Nobody compared it yet' })[whose];

/** Whose it is: after its figures were read to each other, on the phone or face to face. */
function Compared({ of, onDone }: { of: Key; onDone: () => Promise<void> }) {
  const form = useBodyForm<ComparedBody>({ Body: ComparedBody }, { shop: of.shop ?? '' });
  const put = useMutation({
    mutationFn: (shop: string | null) => call('PUT', `/keys/${of.fingerprint}`, { body: { shop } }),
    onSuccess: onDone,
  });
  if (of.whose === 'compared')
    return (
      <button type="button" className="btn" data-action="not-compared" onClick={() => put.mutate(null)}>
        No longer take it for theirs
      </button>
    );
  return (
    <form
      noValidate
      className="grid gap-2"
      onSubmit={(event) => void form.handleSubmit(({ shop }) => put.mutate(shop || null))(event)}
    >
      <FormText form={form} name="shop" label="All eight groups agree with" maxLength={80} expected="the shop’s name" />
      <button type="submit" className="btn" data-action="compared">
        It is theirs
      </button>
      {put.error && (
        <p role="alert" className="font-semibold text-halt">
          {put.error.message}
        </p>
      )}
    </form>
  );
}
