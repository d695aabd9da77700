import {
  answerTo,
  CAP_OPENS,
  HERE,
  KIT,
  neededFor,
  onceOrder,
  ruleWord,
  type Needed,
  type NeededRule,
  WAY_OUT,
} from '@iron-cradle/core';
import { Check } from 'lucide-react';
import { useMemo } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Pages } from '../../../ui/Pages.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { Fit } from '../fit/Fit.tsx';

const rules: NeededRule[] = ['always', 'mayBreak', 'carryOver', 'ifBad', 'use'];

/** What the job needs, old part against new, and what is toggled put in one order. */
export function NeededSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet open={open} onClose={onClose} title="Before it is opened" hint="What is missing now stops the job half-way.">
      <Pages
        label="before it is opened"
        pages={[
          { id: 'needed', name: 'Needed', children: <NeededList /> },
          { id: 'compare', name: 'Old, new', children: <Fit /> },
          { id: 'order', name: 'Once', children: <Once /> },
        ]}
      />
    </Sheet>
  );
}

/** What is replaced, may break, is carried over or used; what stops the job when it is missing. */
function NeededList() {
  const { state, answer } = useJob();
  const needed = useMemo(() => neededFor(state), [state]);
  return (
    <>
      <YesNo
        label="Filler cap: does it open?"
        id="cap opens"
        said={answerTo(state, CAP_OPENS)}
        onSay={(value) => void answer(CAP_OPENS, value)}
        why="a locked cap whose key is missing stops the draining"
      />
      {rules.map((rule) => {
        const list = needed.filter((n) => n.rule === rule);
        return list.length === 0 ? null : (
          <section key={rule} aria-label={ruleWord[rule]}>
            <h3 className="border-b-2 border-ink pb-1 pt-4 text-20">{ruleWord[rule]}</h3>
            <ul className="ruled">
              {list.map((n) => (
                <Row key={n.id} needed={n} />
              ))}
            </ul>
          </section>
        );
      })}
    </>
  );
}

/** What is toggled, in one order: wheel, stands, ramps, battery. */
function Once() {
  const { state } = useJob();
  return (
    <ol className="ruled">
      {onceOrder(state, answerTo(state, WAY_OUT) === 'ownPump').map((step, i) => (
        <li key={step.what} className="flex gap-4 py-2.5">
          <span className="reading w-6 shrink-0 text-right text-20">{i + 1}</span>
          <span>
            {step.what}
            <span className="block text-quiet">{step.why}</span>
          </span>
        </li>
      ))}
    </ol>
  );
}

function YesNo({
  label,
  id,
  said,
  why,
  onSay,
}: {
  label: string;
  id: string;
  said: 'yes' | 'no' | undefined;
  why: string;
  onSay: (value: 'yes' | 'no') => void;
}) {
  return (
    <div className="flex items-center gap-3 py-1.5">
      <span className="min-w-0 flex-1 leading-tight">
        {label}
        <span className="block text-quiet">{why}</span>
      </span>
      {(['yes', 'no'] as const).map((value) => (
        <button
          key={value}
          type="button"
          className="btn min-w-20 shrink-0"
          aria-pressed={said === value}
          aria-label={`${label} ${value}`}
          data-here={id}
          onClick={() => onSay(value)}
        >
          {said === value && <Check size={18} aria-hidden className="shrink-0" />}
          {value}
        </button>
      ))}
    </div>
  );
}

function Row({ needed }: { needed: Needed }) {
  const { state, answer } = useJob();
  const words = useWords();
  const said = answerTo(state, HERE, needed.id);
  return (
    <li>
      <YesNo
        label={`${needed.count > 1 ? `${needed.count} × ` : ''}${needed.name}`}
        id={`here ${needed.id}`}
        said={said}
        onSay={(value) => void answer(HERE, value, needed.id)}
        why={words(needed.why)}
      />
      {said === 'yes' && needed.kind === 'part' && needed.count > 1 && (
        <div className="flex items-center gap-3 pb-2">
          <span className="flex-1 text-quiet">how many came with the kit?</span>
          {[needed.count - 1, needed.count].map((n) => (
            <button
              key={n}
              type="button"
              className="btn w-16"
              aria-pressed={answerTo(state, KIT, needed.id) === n}
              onClick={() => void answer(KIT, n, needed.id)}
            >
              {n}
            </button>
          ))}
        </div>
      )}
      {needed.kit && needed.kit.outcome !== 'good' && (
        <p className="flex items-center gap-2 pb-2 font-semibold">
          <Shape outcome={needed.kit.outcome} size={18} />
          {words(needed.kit.reasons[0]?.text ?? '')}: {words(needed.kit.next[0] ?? '')}
        </p>
      )}
    </li>
  );
}
