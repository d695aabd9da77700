import { useState } from 'react';
import { HandPanel } from '../HandPanel.tsx';
import { Choice } from '../../../../ui/Choice.tsx';
import { HoleForm } from './HoleForm.tsx';
import { NeedleForm } from './NeedleForm.tsx';
import { SupportForm } from './SupportForm.tsx';

const parts = [
  { value: 'hole', label: 'A hole' },
  { value: 'carries', label: 'What carries it' },
  { value: 'needle', label: 'The old sender' },
] as const;

/** Measured before it is made: a hole, what carries another tank, what the old needle means in it. */
export function ConversionPanel({ onDone }: { onDone: () => void }) {
  const [part, setPart] = useState<(typeof parts)[number]['value']>('hole');
  return (
    <HandPanel
      id="conversion"
      title="Before it is changed"
      hint="Measured while nothing is cut. Licensed practice and local codes come first."
      onDone={onDone}
    >
      <Choice label="" value={part} options={parts} columns="grid-cols-3" onChoose={setPart} />
      {part === 'hole' ? <HoleForm /> : part === 'carries' ? <SupportForm /> : <NeedleForm />}
    </HandPanel>
  );
}
