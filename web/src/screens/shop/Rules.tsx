import { Shop } from '@iron-cradle/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { FormFigures } from '../../form/FormFigures.tsx';
import { FormQuantity } from '../../form/FormQuantity.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useBodyForm } from '../../form/useBodyForm.ts';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import { Bays } from './BaysForm.tsx';

interface RulesProps {
  shop: Shop;
  /** May this person change them? */
  may: boolean;
  kept: boolean;
  onKept: (kept: boolean) => void;
}

/** The shop’s own figures: what one may lift, what it takes, what it drains with. */
export function Rules({ shop, may, kept, onKept }: RulesProps) {
  const client = useQueryClient();
  const form = useBodyForm({ Body: Shop }, shop);
  const save = useMutation({
    mutationFn: (body: Shop) => call('PUT', '/shop', { body }),
    onMutate: () => onKept(false),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['shop'] });
      onKept(true);
    },
  });
  const mass = { form, dimension: 'mass', unit: 'kg', step: 0.1 } as const;
  const length = { form, dimension: 'length', unit: 'mm', step: 1, decimals: 0 } as const;
  const amount = { form, dimension: 'count', unit: 'one', step: 0.01, decimals: 2 } as const;
  return (
    <form
      noValidate
      className="grid gap-4 self-start"
      onSubmit={(event) => void form.handleSubmit((body) => save.mutate(body))(event)}
    >
      <h2 className="text-24">The shop’s own rules</h2>
      <fieldset disabled={!may} className="grid gap-4">
        <FormText form={form} name="name" label="Name of the shop" maxLength={60} expected="a name" />
        <Group>
          <FormQuantity {...mass} name="alone" label="One may take off a jack" />
          <FormQuantity {...mass} name="two" label="Two may take off a jack" />
          <FormQuantity {...mass} name="lying" label="One may hold lying under it" />
          <FormQuantity
            form={form}
            name="helper"
            label="Calling a second pair of hands"
            dimension="duration"
            unit="min"
            step={1}
            decimals={0}
          />
          <FormQuantity
            form={form}
            name="lockAfter"
            label="A device nobody touches asks for the PIN after; empty: never"
            dimension="duration"
            unit="min"
            step={1}
            decimals={0}
          />
          <FormQuantity {...amount} name="shock" label="A bump makes so many times its weight; empty: not set" />
        </Group>
        <Group title="Prices, for quotes">
          <FormText form={form} name="prices.currency" label="Currency, as it is written" maxLength={6} />
          <FormQuantity {...amount} name="prices.hour" label="Price of an hour; empty: not set" />
          <FormQuantity {...amount} name="prices.disposal" label="Disposal of a litre of fuel; empty: not set" />
        </Group>
        <Group title="What it drains with">
          <FormQuantity
            form={form}
            name="kit.transferPump"
            label="Transfer pump; empty: none"
            dimension="flow"
            unit="L/min"
          />
          <FormQuantity
            {...length}
            name="kit.siphonBore"
            label="Siphon hose, inside; empty: none"
            step={0.5}
            decimals={1}
          />
          <FormQuantity
            {...length}
            name="kit.siphonLength"
            label="Siphon hose, its length"
            unit="m"
            step={0.01}
            decimals={2}
          />
          <FormFigures
            form={form}
            name="kit.cans"
            label="Cans at hand, litres each"
            dimension="volume"
            unit="L"
            expected="at most twelve, 1 to 250 L each, as 20, 20, 10"
          />
        </Group>
        <Group title="The jack">
          <FormQuantity {...mass} name="kit.jackRated" label="Rated for" />
          <FormQuantity {...length} name="kit.jackPad" label="Width of its padded head" />
          <FormQuantity {...length} name="kit.jackLowered" label="Lowered height with its pad" />
        </Group>
        <Bays form={form} />
      </fieldset>
      <p role="alert" className="min-h-6 font-semibold text-halt">
        {save.error?.message ?? ''}
      </p>
      {may ? (
        <>
          <p aria-live="polite" className="min-h-6 text-quiet">
            {kept ? 'Kept: the calls and quotes reckon with these from now on.' : ''}
          </p>
          <Strap type="submit">Keep the rules</Strap>
        </>
      ) : (
        <p className="text-quiet">The lead changes these.</p>
      )}
    </form>
  );
}

function Group({ title, children }: { title?: string; children: ReactNode }) {
  return (
    <div className="grid gap-3">
      {title && <h3 className="border-b-2 border-ink pb-1 pt-2 text-20">{title}</h3>}
      <div className="grid items-start gap-3 min-[480px]:grid-cols-2">{children}</div>
    </div>
  );
}
