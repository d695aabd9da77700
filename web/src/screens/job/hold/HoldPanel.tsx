import {
  airJoints,
  HOLD_CAUTION,
  HOLD_HOME_CAUTION,
  holeInWords,
  holes,
  inWords,
  readHold,
  siUnit,
  writeHold,
  type Fall,
  type HoldJudged,
} from '@iron-cradle/core';
import { Choice } from '../../../ui/Choice.tsx';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import type { EntryFormOf } from '../../../form/useEntryForm.ts';
import { useMainUnit } from '../../../app/units.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { fromWhere, useChannel } from '../../../net/instruments.ts';
import { ReadingsTable } from '../../../ui/ReadingsTable.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { Soap } from './Soap.tsx';
import { TypedReading } from './TypedReading.tsx';
import type { useReadings } from './useReadings.ts';

interface HoldPanelProps {
  where: 'bench' | 'home';
  form: EntryFormOf<'held'>;
  source: ReturnType<typeof useReadings>;
  judged: HoldJudged | null;
  /** How it falls, by its newest look. */
  fall: Fall;
  onDone: () => void;
}

const titles = { good: 'It holds', bad: 'It leaks', doubtful: 'Look first', unknown: 'Not decided' } as const;

/** What the hold comes to, where to soap while it stands, and what it is judged by. */
export function HoldPanel({ where, form, source, judged, fall, onDone }: HoldPanelProps) {
  const { state } = useJob();
  const { from, readings } = source;
  const running = from !== null || readings.length > 0;
  return (
    <section
      key={running ? 'stands' : 'before'}
      ref={running ? inSight : null}
      aria-label="hold"
      className="grid gap-4 p-4 mid:p-6"
      data-hold-outcome={judged?.verdict.outcome ?? 'none'}
    >
      {running && judged ? <Headline judged={judged} /> : <Before where={where} />}
      {from === 'hand' && <TypedReading vacuum={readings[0] ? readings[0][1] < 0 : null} onPressure={source.typed} />}
      {running && <Soap where={where} fall={fall} />}
      {!state.signed && <Facts where={where} form={form} />}
      <ReadingsTable readings={readings} name="hold" read={readHold} write={writeHold} onReadings={source.take} />
      {running && (
        <button type="button" className="btn" data-action="hold-drop" onClick={() => source.take([])}>
          Not this one: begin again
        </button>
      )}
      <button type="button" className="btn" onClick={onDone}>
        {where === 'home' ? 'Back to the joints' : 'Back to the unit'}
      </button>
    </section>
  );
}

/** Once it stands its word comes to the top of its column. */
const inSight = (panel: HTMLElement | null) => panel?.parentElement?.scrollTo(0, 0);

/** How it begins and how it ends, at the foot of the screen. */
export function HoldMain({ where, form, source }: Pick<HoldPanelProps, 'where' | 'form' | 'source'>) {
  const { jobId } = useJob();
  const { from, readings } = source;
  const channel = useChannel(jobId, 'tankGauge', 'hold');
  const aired = form.watch('aired') as boolean | undefined;
  const settled = form.watch('settled') as boolean | undefined;
  const unsaid =
    where === 'home' ? settled === undefined && 'did it stand still first?' : aired === undefined && 'was it aired?';
  const enter = async () => {
    source.end();
    const push = form.getValues('push');
    // Both figures or none: an empty pair is no push.
    if (push && !push.millilitres && !push.rise) form.setValue('push', undefined);
    if (await form.say({ readings, ...(where === 'home' ? { aired: false } : {}) })) source.take([]);
  };
  const byHand = (
    <button type="button" className="btn w-full" data-action="hold-typed" onClick={() => source.begin('hand')}>
      Pumped: I read it and type
    </button>
  );
  if (from !== null || readings.length > 0)
    return (
      <Strap
        data-action="let-out"
        onClick={() => void enter()}
        waitsFor={readings.length === 0 ? 'the first reading' : unsaid || undefined}
      >
        {from ? 'Let it out' : 'It stands so'}
      </Strap>
    );
  if (!channel) return byHand;
  return (
    <div className="grid gap-3">
      {byHand}
      <Strap
        data-action="hold-begin"
        onClick={() => {
          form.setValue('step', siUnit(channel.resolution, 'pressure', channel.unit));
          source.begin('gauge');
        }}
      >
        Pumped up: it stands <span className="text-16 font-medium">(gauge{fromWhere(channel)})</span>
      </Strap>
    </div>
  );
}

function Headline({ judged }: { judged: HoldJudged }) {
  const words = useWords();
  const { verdict } = judged;
  return (
    <div className="grid gap-2" aria-live="off">
      <p className="flex items-center gap-4 text-48 font-bold leading-none [font-stretch:75%]">
        <Shape outcome={verdict.outcome} size={48} /> {titles[verdict.outcome]}
      </p>
      {verdict.next[0] && <p className="text-20 font-semibold leading-tight">Next: {words(verdict.next[0])}.</p>}
      <VerdictView verdict={{ ...verdict, next: [] }} compact />
    </div>
  );
}

function Before({ where }: Pick<HoldPanelProps, 'where'>) {
  const { state } = useJob();
  const last = state.holds.findLast((held) => held.where === where);
  return (
    <div className="grid gap-3">
      <h2 className="text-32 leading-tight">{where === 'home' ? 'Held at home' : 'Held before it goes back'}</h2>
      {where === 'home' && (
        <p>
          It proves{' '}
          {state.vehicle.connections
            .filter((line) => airJoints.includes(line.kind))
            .map(({ name }) => name)
            .join(', ')}{' '}
          and the ring: not feed, return or what stands under the fuel.
        </p>
      )}
      {last && (
        <>
          <VerdictView verdict={last.verdict} />
          {last.ended && <p className="font-semibold">It says nothing any more: {inWords(last.ended)}.</p>}
        </>
      )}
      <p className="flex gap-3 border-l-4 border-look pl-3">
        <Shape outcome="doubtful" size={24} /> {where === 'home' ? HOLD_HOME_CAUTION : HOLD_CAUTION}
      </p>
    </div>
  );
}

/** What it is judged by; only whether vapour still comes has to be said. */
function Facts({ where, form }: Pick<HoldPanelProps, 'where' | 'form'>) {
  const us = useMainUnit() === 'us';
  const pressure = { dimension: 'pressure', unit: 'Pa', shown: us ? 'inH2O' : 'kPa', decimals: us ? 2 : 3 } as const;
  const aired = form.watch('aired') as boolean | undefined;
  const settled = form.watch('settled') as boolean | undefined;
  return (
    <div className="grid gap-3">
      {where === 'home' ? (
        <Choice
          label="Did the gauge stand still before it began?"
          value={settled === undefined ? null : settled ? 'yes' : 'no'}
          options={[
            { value: 'yes', label: 'It stood' },
            { value: 'no', label: 'It still moved' },
          ]}
          onChoose={(value) => form.setValue('settled', value === 'yes')}
        />
      ) : (
        <Choice
          label="Drained, and aired until it no longer smells?"
          value={aired === undefined ? null : aired ? 'yes' : 'no'}
          options={[
            { value: 'yes', label: 'Aired' },
            { value: 'no', label: 'Not aired' },
          ]}
          onChoose={(value) => form.setValue('aired', value === 'yes')}
        />
      )}
      <FormChoice
        form={form}
        name="hole"
        label="Tighter than a hole of"
        // No figure is parted from its unit where a narrow key breaks it.
        options={holes.map((hole) => ({ value: hole, label: holeInWords(hole).replaceAll(/(\d) /g, '$1\u00a0') }))}
      />
      <details>
        <summary className="cursor-pointer py-2 text-20 underline underline-offset-4">What makes it sharper</summary>
        <div className="grid gap-1">
          <FormQuantity
            form={form}
            name="celsius"
            label="How warm it is"
            dimension="temperature"
            unit="°C"
            step={0.1}
          />
          <FormQuantity
            form={form}
            name="ends"
            label="How warm at the end, by a thermometer on it"
            dimension="temperature"
            unit="°C"
            step={0.1}
          />
          <FormQuantity
            form={form}
            name="height"
            label="The shop above the sea"
            dimension="length"
            unit="m"
            step={1}
            decimals={0}
          />
          <FormQuantity form={form} name="step" label="Finest step of the gauge" {...pressure} step={0.0001} />
          <FormQuantity
            form={form}
            name="push.millilitres"
            label="Pushed in by a syringe, to learn its volume"
            dimension="volume"
            unit="mL"
            step={1}
            decimals={0}
          />
          <FormQuantity form={form} name="push.rise" label="It rose by, once it stood" {...pressure} step={0.0001} />
        </div>
      </details>
    </div>
  );
}
