import type { UnitSystem } from '@iron-cradle/core';
import { useState } from 'react';
import { useChooseUnits, useUnits } from '../../app/units.ts';
import { canSpeak, chooseSpeaks, say, speaks } from '../../app/voice.ts';
import {
  chooseTextSize,
  chooseTheme,
  useTextSize,
  useTheme,
  useThemeChosen,
  type TextSize,
  type Theme,
} from '../../look/theme.ts';
import { useMe } from '../../net/queries.ts';
import { Choice } from '../../ui/Choice.tsx';

/** How this device looks and speaks; kept on the device. */
export function ThisDevice() {
  const theme = useTheme();
  const chosen = useThemeChosen();
  const size = useTextSize();
  const [speaking, setSpeaking] = useState(speaks());
  return (
    <section className="grid gap-4 pb-8" aria-label="this device">
      <h2 className="text-24">This device</h2>
      <Choice<Theme | 'system'>
        label="Light"
        value={chosen ? theme : 'system'}
        columns="grid-cols-2 mid:grid-cols-4"
        options={[
          { value: 'system', label: 'As the system' },
          { value: 'day', label: 'Day' },
          { value: 'night', label: 'Night' },
          { value: 'glare', label: 'Glare' },
        ]}
        onChoose={(t) => chooseTheme(t === 'system' ? null : t)}
      />
      <Choice
        label="Text, per cent"
        value={String(size) as '100' | '125' | '150' | '200'}
        columns="grid-cols-3"
        options={[
          { value: '100', label: '100' },
          { value: '125', label: '125' },
          { value: '150', label: '150' },
          { value: '200', label: '200' },
        ]}
        onChoose={(s) => chooseTextSize(Number(s) as TextSize)}
      />
      {!window.isSecureContext && (
        <p className="border-l-4 border-edge pl-3 text-quiet">
          This device came by plain http: after a reload it needs the server, and the screen may go dark.{' '}
          <a className="link" href="/pair">
            Pair it
          </a>{' '}
          where the shop is on the network.
        </p>
      )}
      {canSpeak() && (
        <Choice
          label="Stops said aloud; a headset’s next key is “all as said”, previous says it again"
          value={speaking ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'Quiet' },
            { value: 'yes', label: 'Said aloud' },
          ]}
          onChoose={(v) => {
            chooseSpeaks(v === 'yes');
            setSpeaking(v === 'yes');
            if (v === 'yes') say('Stops are said aloud.');
          }}
        />
      )}
    </section>
  );
}

/** In which units the person signed in reads lengths, on every device. */
export function MyUnits() {
  const units = useUnits();
  const choose = useChooseUnits();
  const signedIn = useMe().data?.person;
  if (!signedIn) return null;
  return (
    <section className="grid gap-2 pb-8" aria-label="your units">
      <h2 className="text-24">Your units</h2>
      <Choice<UnitSystem>
        label="Heights and rooms under the car, on every device"
        value={units}
        columns="grid-cols-3"
        options={[
          { value: 'metric', label: 'mm' },
          { value: 'us', label: 'Inches' },
          { value: 'both', label: 'Both' },
        ]}
        onChoose={(u) => choose.mutate(u)}
      />
      <p role="alert" className="font-semibold text-halt">
        {choose.error?.message ?? ''}
      </p>
    </section>
  );
}
