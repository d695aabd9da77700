import { lengthText, portDrop, spareLength, splitKey, wayUp } from '@iron-cradle/core';
import { useState } from 'react';
import { useMainUnit } from '../../../app/units.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';

/** A new hose has to give as much as the tank hangs low where it is made: from its plan, and by a tape. */
export function LongEnough({ about }: { about: string }) {
  const { state, enter } = useJob();
  const units = useMainUnit();
  const [gives, setGives] = useState<number | undefined>();
  const id = splitKey(about).id;
  const line = state.vehicle.connections.find((one) => one.id === id);
  if (!line || !state.items.some((item) => item.key === about && item.state === 'open')) return null;
  const stop = wayUp(state)?.route.stops.find(({ uses }) => uses.some(({ thing }) => thing === about));
  const at = stop ? Math.round(portDrop(state, stop.pose, line)) : null;
  const spare = spareLength(state.vehicle, { id, at, ...(gives === undefined ? {} : { gives }) });
  if (spare === null) return null;
  return (
    <section aria-label="long enough" className="grid gap-2 border-t border-rule pt-3" data-spare={Math.round(spare)}>
      <p className="flex items-start gap-2 font-semibold">
        <Shape outcome={spare >= 0 ? 'good' : 'bad'} size={20} />
        {at === null || at <= 0 ? 'Made at home' : `Made with the tank ${lengthText(at, units)} low`}:{' '}
        {spare >= 0
          ? `${lengthText(Math.floor(spare), units)} to spare${gives === undefined ? ' by the file, at its least' : ''}.`
          : `${lengthText(Math.ceil(-spare), units)} too short: longer, or the other end later.`}
      </p>
      <QuantityField
        label="The new one lets the tank down by"
        dimension="length"
        unit="mm"
        decimals={0}
        onRead={(value) => setGives(value ? value.typ * 1000 : undefined)}
      />
      <button
        type="button"
        className="btn"
        data-action="gives"
        disabled={gives === undefined}
        onClick={() => gives !== undefined && void enter('replaced', { key: about, slack: Math.round(gives) })}
      >
        {gives === undefined
          ? 'By a tape, both ends held where they go'
          : `It is in, and gives ${Math.round(gives)} mm`}
      </button>
    </section>
  );
}
