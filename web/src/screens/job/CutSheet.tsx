import { CUT_CAUTION, cutKinds, judgeCut, nameOf, triedFirst, untriedOf, type CutKind } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob, useTags } from '../../log/useJob.ts';
import { Shape } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PickMany } from '../../ui/PickMany.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { VerdictView } from '../../ui/VerdictView.tsx';

/** Before something is cut that can’t be made whole: what has not been tried yet? */
export function CutSheet({ about, open, onClose }: { about: string | null; open: boolean; onClose: () => void }) {
  const { state, enter } = useJob();
  const [what, setWhat] = useState<CutKind>(about ? 'hose' : 'clamp');
  const [tried, setTried] = useState<string[]>([]);
  const [where, setWhere] = useState('');
  const [words, setWords] = useState('');
  const key = about?.startsWith('line:') ? about : null;
  const tags = useTags(state, key ? [key] : []);
  const untried = untriedOf(what, tried);
  const cut = async () => {
    if (
      !(await enter('cut', {
        what,
        where: where.trim(),
        tried,
        ...(key ? { key } : {}),
        ...(key && tags[key] ? { tag: tags[key] } : {}),
        ...(words.trim() ? { words: words.trim() } : {}),
      }))
    )
      return;
    setTried([]);
    onClose();
  };
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title={key ? `Before the ${nameOf(state, key)} is cut` : 'Before anything is cut'}
      hint="A cut is not undone. What has been tried?"
    >
      <div className="grid gap-3 pt-2">
        <Choice<CutKind>
          label="What is to be cut"
          value={what}
          columns="grid-cols-3"
          options={cutKinds.map((value) => ({ value, label: capital(value) }))}
          onChoose={(next) => (setWhat(next), setTried([]))}
        />
        <p className="text-quiet">Tried already</p>
        <PickMany things={triedFirst[what].map((id) => ({ id }))} picked={tried} onPick={setTried} />
        <VerdictView verdict={judgeCut(what, tried)} />
        <p className="flex gap-3 border-l-4 border-look pl-3">
          <Shape outcome="doubtful" size={24} /> {CUT_CAUTION}
        </p>
        <TextField
          label="Where, in words"
          value={where}
          maxLength={80}
          onChange={(event) => setWhere(event.target.value)}
        />
        {untried.length > 0 && (
          <TextField
            label="Why all the same"
            value={words}
            maxLength={300}
            onChange={(event) => setWords(event.target.value)}
          />
        )}
        <Strap
          data-action="cut"
          onClick={() => void cut()}
          waitsFor={
            where.trim() === ''
              ? 'say where'
              : untried.length > 0 && words.trim() === ''
                ? 'say why all the same, or try what is left'
                : undefined
          }
        >
          It was cut
        </Strap>
      </div>
    </Sheet>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
