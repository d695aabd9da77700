import { diagnose, QUICK_TEST, type QuickTest } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { fromWhere } from '../../../net/instruments.ts';
import { LiveReading } from '../../../ui/LiveReading.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** Must it come down at all? Quick tests, those that decide most a minute first, each reading judged. */
export function QuickTests() {
  const { state, enter, answer } = useJob();
  const words = useWords();
  const [asked, setAsked] = useState<QuickTest | null>(null);
  const { tests, verdict } = diagnose(state);
  const tell = async (said: string | number) => {
    if (asked) {
      if (!(await answer(QUICK_TEST, said, asked.id))) return;
    }
    setAsked(null);
  };
  const next = tests.find((t) => !t.judged)?.test.id;
  return (
    <section aria-label="the tests before">
      <div className="border-b-2 border-ink py-2" data-verdict={verdict.outcome}>
        <VerdictView verdict={verdict} compact />
        {verdict.next[0] && <p className="pl-9 pt-1 font-semibold">Next: {words(verdict.next[0])}.</p>}
      </div>
      <ul className="ruled">
        {tests.map(({ test, judged }) => (
          <li key={test.id}>
            <button
              type="button"
              data-test={test.id}
              className="flex min-h-16 w-full items-center gap-3 py-1 text-left"
              disabled={state.signed !== null}
              onClick={() => setAsked(test)}
            >
              <Shape outcome={judged?.verdict.outcome ?? 'unknown'} size={20} />
              <span className="min-w-0 flex-1 leading-tight">
                <span className={test.id === next ? 'font-bold' : ''}>{test.name}</span>
                {judged && (
                  <span className="block text-quiet">
                    {[judged.verdict.reasons[0]?.text, judged.verdict.reasons[0]?.figure]
                      .flatMap((part) => (part ? [words(part)] : []))
                      .join(', ')}
                  </span>
                )}
              </span>
              <span className="reading shrink-0">{test.minutes} min</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="pt-3">
        <LiveReading
          kind="scanTool"
          channel="codes"
          take="Note it"
          onTake={(r) => void enter('note', { text: `scan tool: ${r.value} codes stored${fromWhere(r)}` })}
        />
      </div>
      <Sheet
        open={asked !== null}
        onClose={() => setAsked(null)}
        title={asked?.name ?? ''}
        {...(asked ? { hint: `${asked.how}; ${asked.minutes} min` } : {})}
      >
        {asked && 'words' in asked.reads && (
          <div className="grid grid-cols-2 gap-3">
            {asked.reads.words.map((word) => (
              <button key={word.value} type="button" className="btn min-h-18" onClick={() => void tell(word.value)}>
                {word.label}
              </button>
            ))}
          </div>
        )}
        {asked && 'dimension' in asked.reads && (
          <Meter test={asked} reads={asked.reads} onTell={tell} onDone={() => setAsked(null)} />
        )}
      </Sheet>
    </section>
  );
}

type Reads = Extract<QuickTest['reads'], { dimension: unknown }>;

interface MeterProps {
  test: QuickTest;
  reads: Reads;
  onTell: (said: string | number) => Promise<void>;
  onDone: () => void;
}

/** What the meter reads: off the instrument, typed, or nothing at all. */
function Meter({ test, reads, onTell, onDone }: MeterProps) {
  const form = useEntryForm({ kind: 'answer', start: { question: QUICK_TEST.id, of: test.id }, onDone });
  const value = useWatch({ control: form.control, name: 'value' }) as number | null | undefined;
  return (
    <>
      <LiveReading
        kind="multimeter"
        channel={test.id}
        take="Take it"
        takesNothing
        onTake={(r) => void onTell(r.value ?? 'open')}
      />
      <FormQuantity
        form={form}
        name="value"
        label="The meter reads"
        dimension={reads.dimension}
        unit={reads.unit}
        take="hi"
        decimals={2}
      />
      {reads.open && (
        <button type="button" className="btn mb-3 w-full" onClick={() => void onTell('open')}>
          Open, it shows nothing
        </button>
      )}
      <Strap
        onClick={() => void form.say()}
        waitsFor={value !== null && value !== undefined && value >= 0 ? undefined : 'type a reading, zero or more'}
      >
        Enter it
      </Strap>
    </>
  );
}
