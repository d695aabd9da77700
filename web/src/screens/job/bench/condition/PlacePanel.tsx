import { outcomeWord, standingFindings, type Finding, type Outcome, type PlaceLook } from '@iron-cradle/core';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { useState } from 'react';
import { FormChoice } from '../../../../form/FormChoice.tsx';
import { FormText } from '../../../../form/FormText.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { PhotoButton, Photos } from '../../Photos.tsx';
import { HandPanel } from '../HandPanel.tsx';
import { RemedyOf } from './RemedyOf.tsx';

const VERDICTS: Outcome[] = ['good', 'doubtful', 'bad', 'unknown'];

/** One place in hand: what to look for, what was found, what can be done about it. */
export function PlacePanel({ place, onDone }: { place: PlaceLook; onDone: () => void }) {
  const { state, enter } = useJob();
  const [other, setOther] = useState(false);
  const there = standingFindings(state.findings.filter(({ where }) => where === place.id));
  const say = (what: string, verdict: Outcome) => enter('finding', { what, where: place.id, verdict });
  return (
    <HandPanel id={`place-${place.id}`} title={place.name} hint={place.look} onDone={onDone}>
      {there.length > 0 && (
        <ul className="ruled border-y border-rule">
          {there.map((finding) => (
            <Found key={finding.what} finding={finding} />
          ))}
        </ul>
      )}
      {!state.signed && (
        <>
          <div className="grid grid-cols-2 gap-3" role="group" aria-label="what is found">
            <button
              type="button"
              className="btn"
              data-found={place.sound}
              onClick={() => void say(place.sound, 'good')}
            >
              <Shape outcome="good" size={20} /> {place.sound}
            </button>
            {place.found.map(({ words, outcome }) => (
              <button
                key={words}
                type="button"
                className="btn"
                data-found={words}
                aria-pressed={there.some((f) => f.what === words && f.verdict !== 'good')}
                onClick={() => void say(words, outcome)}
              >
                <Shape outcome={outcome} size={20} /> {words}
              </button>
            ))}
            <button type="button" className="btn" aria-expanded={other} onClick={() => setOther(!other)}>
              Something else
            </button>
            <PhotoButton about={`place:${place.id}`} name={place.name} words />
          </div>
          {other && <Other place={place} onDone={() => setOther(false)} />}
          <Photos about={`place:${place.id}`} />
        </>
      )}
    </HandPanel>
  );
}

function Found({ finding }: { finding: Finding }) {
  const { state } = useJob();
  const stands = finding.verdict === 'bad' || finding.verdict === 'doubtful';
  return (
    <li className="py-2">
      <p className="flex items-start gap-3">
        <Shape outcome={finding.verdict} />
        <span className="min-w-0 flex-1">
          <span className="narrow text-20">{finding.what}</span>
          {finding.note && <span className="block text-quiet">{finding.note}</span>}
        </span>
      </p>
      {stands && !state.signed && <RemedyOf finding={finding} />}
    </li>
  );
}

/** What nobody listed: in words, with what it means. */
function Other({ place, onDone }: { place: PlaceLook; onDone: () => void }) {
  const form = useEntryForm({ kind: 'finding', start: { what: '', where: place.id }, onDone });
  return (
    <EntryForm say={() => form.say()}>
      <FormText
        form={form}
        name="what"
        label="What you found"
        maxLength={120}
        expected="what you found, in a few words"
      />
      <FormChoice
        form={form}
        name="verdict"
        label="What it means"
        expected="what it means: go, look, halt or not known"
        options={VERDICTS.map((v) => ({
          value: v,
          label: (
            <>
              <Shape outcome={v} size={20} /> {outcomeWord[v]}
            </>
          ),
        }))}
      />
      <button type="submit" className="btn">
        Write it down
      </button>
    </EntryForm>
  );
}
