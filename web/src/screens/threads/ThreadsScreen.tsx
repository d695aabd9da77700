import {
  drillFor,
  InputError,
  judgeThread,
  mustNotMeet,
  rankThreads,
  type Measured,
  type Seals,
} from '@iron-cradle/core';
import { useState } from 'react';
import { TopBar } from '../../app/TopBar.tsx';
import { ThreadDrawing } from '../../drawings/thread/ThreadDrawing.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { SocketFinder } from './SocketFinder.tsx';
import { VerdictView } from '../../ui/VerdictView.tsx';

const seals: { value: Seals | 'unknown'; label: string }[] = [
  { value: 'unknown', label: 'Not known' },
  { value: 'thread', label: 'Its taper' },
  { value: 'washer', label: 'A washer' },
  { value: 'cone', label: 'A cone' },
  { value: 'oRing', label: 'An O-ring' },
];
const MM_IN_INCH = 25.4;

/** Which thread is this? What seals first, then size, pitch and taper; what looks like it and must never meet it. */
export default function ThreadsScreen() {
  const [of, setOf] = useState<Measured['of']>('outside');
  const [sealed, setSealed] = useState<Seals | 'unknown'>('unknown');
  const [taper, setTaper] = useState<'unknown' | 'yes' | 'no'>('unknown');
  const [per, setPer] = useState<'mm' | 'inch'>('mm');
  const [diameter, setDiameter] = useState<number | null>(null);
  const [pitch, setPitch] = useState<number | null>(null);
  const measured: Measured | null =
    diameter === null
      ? null
      : {
          of,
          diameter,
          ...(pitch === null ? {} : { pitch: per === 'mm' ? pitch : MM_IN_INCH / pitch }),
          ...(taper === 'unknown' ? {} : { taper: taper === 'yes' }),
          ...(sealed === 'unknown' ? {} : { seals: sealed }),
        };
  const told = read(measured);
  return (
    <>
      <TopBar title="Threads" hint="which one is it?" to="/vehicles" />
      <main className="mx-auto grid max-w-5xl gap-8 p-4 pb-10 mid:grid-cols-2 mid:p-9">
        <section aria-label="what was measured" className="grid content-start gap-4">
          <h1 className="text-32">Which thread is it?</h1>
          <p className="text-quiet">
            First: does a known bolt spin in three turns by hand? Then nothing needs to be measured.
          </p>
          <Choice label="What makes the joint tight?" value={sealed} onChoose={setSealed} options={seals} />
          <Choice
            label="Measured over"
            value={of}
            onChoose={setOf}
            options={[
              { value: 'outside', label: 'A bolt, its tops' },
              { value: 'bore', label: 'A nut or port, its bore' },
            ]}
          />
          <QuantityField
            label={of === 'outside' ? 'Across the tops' : 'Across the bore'}
            dimension="length"
            unit="mm"
            decimals={2}
            hint="9.85 mm, 0.388 in or 3/8 in"
            onRead={(value) => setDiameter(value ? value.typ * 1000 : null)}
          />
          <Choice
            label="Pitch in"
            value={per}
            onChoose={setPer}
            options={[
              { value: 'mm', label: 'mm, turn to turn' },
              { value: 'inch', label: 'turns in an inch' },
            ]}
          />
          <QuantityField
            key={per}
            label={per === 'mm' ? 'From turn to turn, over ten' : 'Turns in an inch'}
            dimension={per === 'mm' ? 'length' : 'count'}
            unit={per === 'mm' ? 'mm' : 'one'}
            decimals={2}
            hint="empty while nobody read it"
            onRead={(value) => setPitch(value ? (per === 'mm' ? value.typ * 1000 : value.typ) : null)}
          />
          <Choice
            label="Does it grow wider along its length?"
            value={taper}
            onChoose={setTaper}
            columns="grid-cols-3"
            options={[
              { value: 'unknown', label: 'Not seen' },
              { value: 'no', label: 'Straight' },
              { value: 'yes', label: 'Taper' },
            ]}
          />
        </section>
        <section
          aria-label="what it may be"
          aria-live="polite"
          className="grid content-start gap-4 mid:sticky mid:top-16 mid:self-start"
        >
          {!measured && <p className="text-quiet">Measure across it: what it may be stands here.</p>}
          {told.problem && <p className="font-semibold text-halt">{told.problem}</p>}
          {told.verdict && <VerdictView verdict={told.verdict} />}
          <ul className="ruled">
            {told.list.slice(0, 6).map(({ thread, misfit }) => {
              const drill = drillFor(thread);
              const others = mustNotMeet(thread.name);
              return (
                <li key={thread.name} className="flex items-center gap-4 py-3" data-thread={thread.name}>
                  <ThreadDrawing thread={thread} />
                  <span className="min-w-0 flex-1 leading-tight">
                    <span className="reading block text-24">{thread.name}</span>
                    <span className="block text-quiet">
                      {misfit <= 1 ? 'fits' : 'nearly fits'}
                      {drill ? `; drill for a tap ${drill} mm` : '; taper: no plain drill'}
                    </span>
                    {others.length > 0 && <span className="block font-semibold">never in {others.join(', ')}</span>}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
        <SocketFinder />
      </main>
    </>
  );
}

function read(measured: Measured | null) {
  if (!measured) return { list: [], verdict: null, problem: null };
  try {
    return { list: rankThreads(measured), verdict: judgeThread(measured), problem: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { list: [], verdict: null, problem: `Expected ${error.expected} for the ${error.field}.` };
  }
}
