import { lengthText, neckOrders } from '@iron-cradle/core';
import { minutesInWords } from '@iron-cradle/core/foresight';
import { useState } from 'react';
import { useMainUnit } from '../../../app/units.ts';
import { MinutesBar } from '../../../drawings/minutes/MinutesBar.tsx';
import { useJob } from '../../../log/useJob.ts';

const NAMES = { 'on the vehicle': 'Neck stays on the vehicle', 'with the tank': 'Neck goes up with the tank' } as const;

/** The neck first on the vehicle or on the tank: both ways up solved, beside each other. */
export function NeckOrders() {
  const { state } = useJob();
  const units = useMainUnit();
  const [open, setOpen] = useState(false);
  const isOff = state.vehicle.connections.some(
    ({ id, kind }) => kind === 'filler' && (state.off[`line:${id}`]?.length ?? 0) > 0,
  );
  if (!state.out || !isOff) return null;
  const orders = open ? neckOrders(state) : [];
  const longest = Math.max(1, ...orders.map((one) => one.minutes?.hi ?? 0));
  return (
    <details className="border-t border-rule py-2" onToggle={(event) => setOpen(event.currentTarget.open)} data-neck>
      <summary className="min-h-11 cursor-pointer text-20 underline underline-offset-4">
        Neck: on the vehicle first, or on the tank?
      </summary>
      <ul className="ruled pt-1">
        {orders.map(({ order, minutes: takes, stops, beside, look }) => (
          <li key={order} className="grid gap-1 py-2" data-neck-order={order}>
            <p className="flex items-baseline justify-between gap-3">
              <span className="narrow text-20">{NAMES[order]}</span>
              <span className="reading">{takes ? minutesInWords(takes, false) : 'no way by the file'}</span>
            </p>
            {takes && <MinutesBar minutes={takes} beside={longest} />}
            <p className="text-quiet">
              {stops} {stops === 1 ? 'stop' : 'stops'}; look: {look}
            </p>
            {beside.length > 0 && (
              <p>
                Made beside it, with less room:{' '}
                {beside.map(({ name, at }) => `${name} at ${lengthText(at, units)}`).join(', ')}.
              </p>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
