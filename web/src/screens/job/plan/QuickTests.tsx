import { diagnose, QUICK_TEST, type Estimate, type QuickTest } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { LiveReading } from '../../../ui/LiveReading.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** Must it come down at all? Quick tests, those that decide most a minute first, each reading judged. */
export function QuickTests() {
  const { state, enter, answer } = useJob();
  const words = useWords();
  const [asked, setAsked] = useState<QuickTest | null>(null);
  const [value, setValue] = useState<Estimate | null>(null);
  const { tests, verdict } = diagnose(state);
  const tell = async (said: string | number) => {
    if (asked) {
      if (!(await answer(QUICK_TEST, said, asked.id))) return;
    }
    setAsked(null);
    setValue(null);
  };
  const next = tests.find((t) => !t.judged)?.test.id;
  return (
    <section aria-label="must it come down?">
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
          onTake={(r) => void enter('note', { text: `scan tool: ${r.value} codes stored, simulated` })}
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
          <>
            <LiveReading
              kind="multimeter"
              channel={asked.id}
              take="Take it"
              takesNothing
              onTake={(r) => void tell(r.value ?? 'open')}
            />
            <QuantityField
              label="The meter reads"
              dimension={asked.reads.dimension}
              unit={asked.reads.unit}
              decimals={2}
              onRead={setValue}
            />
            {asked.reads.open && (
              <button type="button" className="btn mb-3 w-full" onClick={() => void tell('open')}>
                Open, it shows nothing
              </button>
            )}
            <Strap
              onClick={() => value && void tell(value.hi)}
              waitsFor={value && value.lo >= 0 ? undefined : 'type a reading, zero or more'}
            >
              Enter it
            </Strap>
          </>
        )}
      </Sheet>
    </section>
  );
}
