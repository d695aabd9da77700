import { descended, outcomeWord, type Outcome, type UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormText } from '../../../form/FormText.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { PutIn } from '../PutIn.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { FitRow } from '../fit/FitRow.tsx';
import { HoldRow } from './hold/HoldRow.tsx';
import { HoldScreen } from './hold/HoldScreen.tsx';
import { PartPanel } from './PartPanel.tsx';
import { Ring } from './Ring.tsx';
import { VacuumRow } from './vacuum/VacuumRow.tsx';
import { UnitApart } from './UnitApart.tsx';

const PLACES = ['inside', 'ring and seal', 'sender', 'pump', 'hoses', 'straps', 'outside', 'frame'] as const;
const VERDICTS: Outcome[] = ['good', 'doubtful', 'bad', 'unknown'];

/** What a halt is answered by; the lead may overrule it at the gate instead. */
const ANSWERS = ['repaired', 'replaced', 'cleaned'] as const;

type Found = { what: string; where: string; verdict: Outcome };
/** Is this a halt with no later word about the same thing at the same place? */
const isUnanswered = (list: readonly Found[], i: number): boolean =>
  list[i]!.verdict === 'bad' &&
  !list.slice(i + 1).some((later) => later.what === list[i]!.what && later.where === list[i]!.where);

/** Bench: findings with their verdicts, things counted in and out, then gate 3. */
export default function Bench() {
  const { jobId, state } = useJob();
  const navigate = useNavigate();
  const [part, setPart] = useState<UnitPart | null>(null);
  const [search, setSearch] = useSearchParams();
  const backToUnit = () => {
    // Where the hand left: on a phone the drawing is out of sight by now.
    document.querySelector<HTMLElement>(`[data-part-of-unit="${part?.id ?? ''}"]`)?.focus();
    setPart(null);
  };
  if (search.has('hold')) return <HoldScreen onDone={() => setSearch({})} />;
  return (
    <TankLayout
      station="bench"
      page
      stage={() => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="pb-4 text-32">{state.out ? 'On the bench' : 'Part-way, at its top'}</h1>
          <UnitApart chosen={part?.id ?? null} onChoose={setPart} />
          <div className="pt-6" />
          <FitRow />
          <VacuumRow />
          {state.out && <HoldRow onHold={() => setSearch({ hold: '' })} />}
          <h2 className="pb-2 pt-8 text-24">Also found</h2>
          <Findings />
        </div>
      )}
      now={
        part ? (
          <PartPanel key={part.id} part={part} onDone={backToUnit} />
        ) : descended(state) ? (
          <Ring onUp={() => void navigate(`/jobs/${jobId}/refit`)} />
        ) : (
          <p className="p-4 text-quiet">Gate 3 stands here once the tank is off the vehicle.</p>
        )
      }
    />
  );
}

function Findings() {
  const { state, enter } = useJob();
  const form = useEntryForm({ kind: 'finding', start: { what: '', where: 'inside', note: '' } });
  const things = state.items.filter((i) => i.kind === 'thing' && i.state === 'open');
  return (
    <div className="grid gap-4">
      <p className="text-quiet">
        Tank, straps, neck, hoses: write down what you found. Only a tank certified gas-free may see heat, grinding or
        welding, and only in a licensed shop.
      </p>
      <ul className="ruled border-y border-rule">
        {state.findings.map((finding, i) => (
          <li key={i} className="flex items-start gap-3 py-2">
            <Shape outcome={finding.verdict} />
            <div className="min-w-0 flex-1">
              <p className="narrow text-20">{finding.what}</p>
              <p className="text-quiet">
                {finding.where}
                {finding.note ? `; ${finding.note}` : ''}
              </p>
              {!state.signed && isUnanswered(state.findings, i) && (
                <div className="grid grid-cols-3 gap-3 pt-2" role="group" aria-label={`answer to ${finding.what}`}>
                  {ANSWERS.map((note) => (
                    <button
                      key={note}
                      type="button"
                      className="btn"
                      data-answered={note}
                      onClick={() =>
                        void enter('finding', { what: finding.what, where: finding.where, verdict: 'good', note })
                      }
                    >
                      {note}
                    </button>
                  ))}
                </div>
              )}
            </div>
          </li>
        ))}
        {state.findings.length === 0 && <li className="py-3 text-quiet">Nothing written down yet.</li>}
      </ul>
      {!state.signed && (
        <form
          className="grid gap-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void form.say();
          }}
        >
          <FormText
            form={form}
            name="what"
            label="What you found"
            maxLength={120}
            expected="what you found, in a few words"
          />
          <FormChoice
            form={form}
            name="where"
            label="Where"
            columns="grid-cols-3 mid:grid-cols-4"
            options={PLACES.map((p) => ({ value: p, label: p }))}
          />
          <FormChoice
            form={form}
            name="verdict"
            label="Verdict"
            expected="a verdict: go, look, halt or not known"
            columns="grid-cols-2 mid:grid-cols-4"
            options={VERDICTS.map((v) => ({
              value: v,
              label: (
                <>
                  <Shape outcome={v} size={20} /> {outcomeWord[v]}
                </>
              ),
            }))}
          />
          <FormText form={form} name="note" label="Note (may stay empty)" maxLength={600} />
          <button type="submit" className="btn">
            Write it down
          </button>
        </form>
      )}
      <section>
        <h2 className="text-20">In the tank, to come out</h2>
        <ul className="ruled">
          {things.map((thing) => (
            <li key={thing.key} className="flex items-center gap-3 py-2">
              <Tag number={thing.tag} />
              <span className="narrow flex-1 text-20">{thing.name}</span>
              <button type="button" className="btn" onClick={() => void enter('takenOut', { key: thing.key })}>
                It is out
              </button>
            </li>
          ))}
          {things.length === 0 && <li className="py-2 text-quiet">Nothing was put in that is still in.</li>}
        </ul>
        {!state.signed && <PutIn />}
      </section>
    </div>
  );
}
