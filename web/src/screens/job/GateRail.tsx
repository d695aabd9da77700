import { gateTitles, isPassed, judgeGate, type GateNumber, type JudgedItem } from '@iron-cradle/core';
import { useState, type ReactNode } from 'react';
import { useJob } from '../../log/useJob.ts';
import { Shape } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';
import { useSingly } from '../../ui/useSingly.ts';
import { VerdictView } from '../../ui/VerdictView.tsx';
import { ExceptionSheet } from './ExceptionSheet.tsx';
import { TakeBack } from './TakeBack.tsx';

interface GateRailProps {
  gate: GateNumber;
  /** Words on the main action once everything is through. */
  pass: string;
  onPassed: () => void;
  /** Extra controls of an item, as the pressure's reading. */
  body?: (item: JudgedItem) => ReactNode;
}

/** A gate, item by item: one check where the hand moves, never a wall of ticks. */
export function GateRail({ gate, pass, onPassed, body }: GateRailProps) {
  const { state, enter } = useJob();
  const judged = judgeGate(state, gate);
  const firstOpen = judged.findIndex((j) => !j.through);
  const [chosen, setChosen] = useState<number | null>(null);
  const [excepting, setExcepting] = useState(false);
  const at = chosen ?? (firstOpen < 0 ? judged.length - 1 : firstOpen);
  const current = judged[at]!;
  const singly = useSingly(`${gate}/${current.item.id}`);
  const missing = judged.filter((j) => !j.through);
  const passed = isPassed(state, gate);
  const { ended } = state.gates[gate];
  const answer = async (value: string) => {
    if (!(await enter('gateItem', { gate, item: current.item.id, answer: value }))) return;
    setChosen(null);
  };
  const go = async () => {
    if (!passed) {
      if (!(await enter('gate', { gate }))) return;
    }
    onPassed();
  };
  return (
    <section aria-label={`gate ${gate}, ${gateTitles[gate]}`} className="flex min-h-full flex-1 flex-col">
      <ol className="flex px-2 pt-4 mid:px-4">
        {judged.map((j, i) => (
          <li key={j.item.id} className="relative flex-1 text-center">
            {i > 0 && <span aria-hidden className="absolute right-1/2 top-[22px] h-0.5 w-full bg-ink" />}
            <button
              type="button"
              aria-current={i === at ? 'step' : undefined}
              onClick={() => setChosen(i)}
              className="min-h-14 w-full px-0.5"
            >
              <span
                aria-hidden
                className={`relative z-10 mx-auto mt-3 block size-5 rounded-[2px] border-2 border-ink ${i === at && !j.through ? 'bg-paint' : j.through ? 'bg-ink' : 'bg-ground'}`}
              />
              <span
                className={`block pt-1 text-14 leading-tight [font-stretch:80%] ${i === at ? 'font-bold' : 'text-quiet'}`}
              >
                {j.item.short}
              </span>
              <span className="sr-only">{j.through ? ', through' : ', not yet'}</span>
            </button>
          </li>
        ))}
      </ol>
      <div className="flex-1 px-4 py-3 mid:px-6" aria-live="polite">
        <h2 className="text-24 mid:text-32">{current.item.question}</h2>
        <p className="max-w-prose pt-1 text-quiet">{current.item.caution}</p>
        {ended && <p className="pt-2 font-semibold">Asked again: {ended}.</p>}
        <div className="pt-4">{body?.(current)}</div>
      </div>
      <div data-singly className="gate-foot sticky bottom-0 z-10 grid gap-3 border-t border-rule bg-sheet p-4 mid:p-6">
        <div className="min-h-16">
          <VerdictView
            key={current.item.id}
            verdict={current.verdict}
            {...(current.excepted ? { title: `Excepted: ${current.excepted.reason}` } : {})}
          />
        </div>
        {!state.signed && current.item.answers.length > 0 && (
          <div className="grid grid-cols-2 gap-3 mid:grid-cols-3">
            {current.item.answers.map((a) => (
              <button
                key={a.value}
                type="button"
                className="btn"
                data-answer={a.value}
                onClick={() => singly(() => void answer(a.value))}
              >
                {a.outcome !== 'bad' && <Shape outcome={a.outcome} size={18} />}
                {a.label}
              </button>
            ))}
          </div>
        )}
        <Strap
          data-gate={gate}
          onClick={() => void go()}
          waitsFor={missing.length > 0 ? `waits for ${missing.map((j) => j.item.short).join(', ')}` : undefined}
        >
          {passed ? 'Go on' : pass}
        </Strap>
        <div className="flex flex-wrap items-center justify-between gap-3">
          <TakeBack />
          {!state.signed && !current.through && (
            <button type="button" className="btn shrink-0" onClick={() => setExcepting(true)}>
              Lead decides
            </button>
          )}
        </div>
      </div>
      <ExceptionSheet open={excepting} onClose={() => setExcepting(false)} gate={gate} item={current.item} />
    </section>
  );
}
