import type { Verdict } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { TextField } from '../../../ui/TextField.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** Fault codes before and after the work: what is new was made by it until shown otherwise. */
export function Codes({ verdict }: { verdict: Verdict }) {
  const { state, enter } = useJob();
  const [when, setWhen] = useState<'before' | 'after'>('after');
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState(false);
  const codes = text
    .split(/[\s,;]+/)
    .map((one) => one.trim().toUpperCase())
    .filter(Boolean);
  const say = async (list: string[]) => {
    // One sign is no code.
    const odd = list.some((code) => code.length < 2 || code.length > 60);
    setWrong(odd);
    if (odd) return;
    if (await enter('codesRead', { when, codes: list })) setText('');
  };
  const read = state.codesBefore.length > 0 || state.codesAfter.length > 0;
  if (state.signed && !read) return null;
  return (
    <section aria-label="fault codes" className="grid gap-3 pt-3">
      <h3 className="text-20">Fault codes</h3>
      {read && <VerdictView verdict={verdict} compact />}
      {!state.signed && (
        <>
          <Choice
            label="Read"
            value={when}
            onChoose={setWhen}
            options={[
              { value: 'before', label: 'Before the work' },
              { value: 'after', label: 'After it' },
            ]}
          />
          <TextField
            label="As the tool shows them, with commas"
            value={text}
            maxLength={300}
            error={wrong ? 'Expected codes of two letters and digits or more, with commas between.' : undefined}
            onChange={(event) => setText(event.target.value)}
          />
          <div className="grid grid-cols-2 gap-3">
            <button type="button" className="btn" data-action="no-codes" onClick={() => void say([])}>
              None stored
            </button>
            <button
              type="button"
              className="btn"
              data-action="codes"
              disabled={codes.length === 0}
              onClick={() => void say(codes)}
            >
              {codes.length === 0 ? 'Which ones?' : codes.length === 1 ? 'This one' : `These ${codes.length}`}
            </button>
          </div>
        </>
      )}
    </section>
  );
}
