import { CUT_CAUTION, cutKinds, judgeCut, nameOf, triedFirst, untriedOf, type CutKind } from '@iron-cradle/core';
import { useWatch } from 'react-hook-form';
import { FormText } from '../../form/FormText.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useJob, useTags } from '../../log/useJob.ts';
import { Shape } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PickMany } from '../../ui/PickMany.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { VerdictView } from '../../ui/VerdictView.tsx';
import { capital } from '../../ui/capital.ts';

interface CutSheetProps {
  about: string | null;
  /** What is asked about first. */
  first?: CutKind;
  open: boolean;
  onClose: () => void;
}

/** Before something is cut that can’t be made whole: what has not been tried yet? */
export function CutSheet({ about, first = about ? 'hose' : 'clamp', open, onClose }: CutSheetProps) {
  const { state } = useJob();
  const form = useEntryForm({
    kind: 'cut',
    start: { what: first, tried: [], where: '', words: '' },
    onDone: onClose,
  });
  const [what = 'clamp', tried = [], where = '', words = ''] = useWatch({
    control: form.control,
    name: ['what', 'tried', 'where', 'words'],
  }) as [CutKind?, string[]?, string?, string?];
  const key = about?.startsWith('line:') ? about : null;
  const tags = useTags(state, key ? [key] : []);
  const untried = untriedOf(what, tried);
  const setTried = (list: string[]) => form.setValue('tried', list);
  const cut = () => form.say({ ...(key ? { key } : {}), ...(key && tags[key] ? { tag: tags[key] } : {}) });
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
          onChoose={(next) => (form.setValue('what', next), setTried([]))}
        />
        <p className="text-quiet">Tried already</p>
        <PickMany things={triedFirst[what].map((id) => ({ id }))} picked={tried} onPick={setTried} />
        <VerdictView verdict={judgeCut(what, tried)} />
        <p className="flex gap-3 border-l-4 border-look pl-3">
          <Shape outcome="doubtful" size={24} /> {CUT_CAUTION}
        </p>
        <FormText form={form} name="where" label="Where, in words" maxLength={80} expected="where it was cut" />
        {untried.length > 0 && <FormText form={form} name="words" label="Why all the same" maxLength={300} />}
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
