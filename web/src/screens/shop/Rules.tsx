import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import type { Shop } from '../../net/queries.ts';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/TextField.tsx';

const AMOUNT = /^\s*\d+([.,]\d+)?\s*$/;
const number = (text: string): number => Number(text.trim().replace(',', '.'));
const numberOrNone = (text: string): number | null => (text.trim() === '' ? null : number(text));
const needs = (what: string) => (v: string) => AMOUNT.test(v) || `Expected ${what}.`;
const may = (what: string) => (v: string) => v.trim() === '' || AMOUNT.test(v) || `Expected ${what}, or nothing.`;
const show = (value: number | null): string => (value === null ? '' : String(value));

/** What each figure is called, and what is expected of it. */
const figures = {
  alone: ['One may take off a jack, kg', needs('kilograms, as 25')],
  two: ['Two may take off a jack, kg', needs('kilograms, as 30')],
  lying: ['One may hold lying under it, kg', needs('kilograms, as 15')],
  helper: ['Calling a second pair of hands, minutes', needs('minutes, as 5')],
  hour: ['Price of an hour', may('an amount, as 58')],
  disposal: ['Disposal, for a litre of fuel', may('an amount, as 1.40')],
  transferPump: ['Transfer pump, L/min; empty: none', may('litres a minute, as 7')],
  siphonBore: ['Siphon hose, mm inside; empty: none', may('millimetres, as 10')],
  siphonLength: ['Siphon hose, length in m', needs('metres, as 2')],
  jackRated: ['Jack, rated for kg', needs('kilograms, as 200')],
  jackPad: ['Jack, width of its padded head, mm', needs('millimetres, as 400')],
  jackLowered: ['Jack, lowered height with its pad, mm', needs('millimetres, as 150')],
} as const satisfies Record<string, readonly [string, (v: string) => true | string]>;
type Figure = keyof typeof figures;
const groups: { title: string; ids: Figure[] }[] = [
  { title: '', ids: ['alone', 'two', 'lying', 'helper'] },
  { title: 'Prices, for quotes', ids: ['hour', 'disposal'] },
  { title: 'What it drains with', ids: ['transferPump', 'siphonBore', 'siphonLength'] },
  { title: 'The jack', ids: ['jackRated', 'jackPad', 'jackLowered'] },
];

/** The shop’s own figures: what one may lift, what it takes, what it drains with. */
export function Rules({
  shop,
  may: allowed,
  kept,
  onKept,
}: {
  shop: Shop;
  may: boolean;
  kept: boolean;
  onKept: (kept: boolean) => void;
}) {
  const client = useQueryClient();
  const [bays, setBays] = useState(shop.bays);
  const form = useForm({ defaultValues: asText(shop) });
  const { errors } = form.formState;
  const save = useMutation({
    mutationFn: (v: ReturnType<typeof asText>) =>
      call('PUT', '/shop', {
        body: {
          name: v.name,
          alone: number(v.alone),
          two: number(v.two),
          lying: number(v.lying),
          helper: number(v.helper),
          bays,
          prices: { currency: v.currency.trim(), hour: numberOrNone(v.hour), disposal: numberOrNone(v.disposal) },
          kit: {
            transferPump: numberOrNone(v.transferPump),
            siphonBore: numberOrNone(v.siphonBore),
            siphonLength: number(v.siphonLength),
            cans: litresOf(v.cans),
            jackRated: number(v.jackRated),
            jackPad: number(v.jackPad),
            jackLowered: number(v.jackLowered),
          },
        },
      }),
    onMutate: () => onKept(false),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['shop'] });
      onKept(true);
    },
  });
  return (
    <form
      noValidate
      className="grid gap-4 self-start"
      onSubmit={(event) => void form.handleSubmit((v) => save.mutate(v))(event)}
    >
      <h2 className="text-24">The shop’s own rules</h2>
      <fieldset disabled={!allowed} className="grid gap-4">
        <TextField
          label="Name of the shop"
          error={errors.name?.message}
          {...form.register('name', { validate: (v) => v.trim().length > 0 || 'Expected a name.' })}
        />
        {groups.map(({ title, ids }) => (
          <div key={ids[0]} className="grid gap-3">
            {title && <h3 className="border-b-2 border-ink pb-1 pt-2 text-20">{title}</h3>}
            <div className="grid items-end gap-3 min-[480px]:grid-cols-2">
              {title === 'Prices, for quotes' && (
                <TextField label="Currency, as it is written" maxLength={6} {...form.register('currency')} />
              )}
              {ids.map((id) => (
                <TextField
                  key={id}
                  label={figures[id][0]}
                  inputMode="decimal"
                  error={errors[id]?.message}
                  {...form.register(id, { validate: figures[id][1] })}
                />
              ))}
              {title === 'What it drains with' && (
                <TextField
                  label="Cans at hand, litres each"
                  error={errors.cans?.message}
                  {...form.register('cans', {
                    validate: (v) => litresOf(v).every((l) => l >= 1 && l <= 250) || 'Expected litres, as 20, 20, 10.',
                  })}
                />
              )}
            </div>
          </div>
        ))}
        <h3 className="border-b-2 border-ink pb-1 pt-2 text-20">Bays</h3>
        {bays.map((bay, i) => (
          <div key={i} className="grid gap-2">
            <TextField
              label={`Bay ${i + 1}`}
              value={bay.name}
              onChange={(event) => setBays(bays.map((b, k) => (k === i ? { ...b, name: event.target.value } : b)))}
            />
            <Choice
              label=""
              value={bay.kind}
              columns="grid-cols-3"
              onChoose={(kind) => setBays(bays.map((b, k) => (k === i ? { ...b, kind } : b)))}
              options={[
                { value: 'two-post', label: 'Two-post' },
                { value: 'flat', label: 'Flat' },
                { value: 'pit', label: 'Pit' },
              ]}
            />
          </div>
        ))}
        <div className="grid grid-cols-2 gap-3">
          <button
            type="button"
            className="btn"
            disabled={bays.length >= 4}
            onClick={() => setBays([...bays, { name: `Bay ${bays.length + 1}`, kind: 'flat' }])}
          >
            One bay more
          </button>
          <button type="button" className="btn" disabled={bays.length <= 1} onClick={() => setBays(bays.slice(0, -1))}>
            One bay less
          </button>
        </div>
      </fieldset>
      <p role="alert" className="min-h-6 font-semibold text-halt">
        {save.error?.message ?? ''}
      </p>
      {allowed ? (
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

const litresOf = (text: string): number[] =>
  text
    .split(/[,;\s]+/)
    .filter(Boolean)
    .map(Number);

/** The shop’s figures as they stand in the fields. */
const asText = (shop: Shop) => {
  const { kit, prices } = shop;
  return {
    name: shop.name,
    currency: prices.currency,
    cans: kit.cans.join(', '),
    alone: show(shop.alone),
    two: show(shop.two),
    lying: show(shop.lying),
    helper: show(shop.helper),
    hour: show(prices.hour),
    disposal: show(prices.disposal),
    transferPump: show(kit.transferPump),
    siphonBore: show(kit.siphonBore),
    siphonLength: show(kit.siphonLength),
    jackRated: show(kit.jackRated),
    jackPad: show(kit.jackPad),
    jackLowered: show(kit.jackLowered),
  };
};
