import { isPassed } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { GateRail } from '../GateRail.tsx';
import { SealForm, type SealSaid } from './SealForm.tsx';
import { TakeBack } from '../TakeBack.tsx';

/** Gate 3, then the ring itself: what was confirmed holds until it is closed, and is asked anew once it is opened again. */
export function Ring({ onUp }: { onUp: () => void }) {
  const { state, enter } = useJob();
  const [said, setSaid] = useState<SealSaid>({});
  const seal = state.gates[3].answers.seal?.answer;
  if (state.ring === 'closed')
    return (
      <Panel
        title="The ring is closed."
        text="What was confirmed before it ends with it: opened again, gate 3 is asked anew."
        main="On to refit"
        onMain={onUp}
      >
        {!state.signed && (
          <button
            type="button"
            className="btn"
            data-action="ring-opened"
            onClick={() => void enter('ring', { state: 'opened' })}
          >
            It was opened again
          </button>
        )}
      </Panel>
    );
  if (isPassed(state, 3) && seal === 'new' && !state.signed)
    return (
      <Panel
        title="The ring may close"
        text="Groove bright and clean, unit on its mark, ring turned to its stops on every tab. The service information for this vehicle comes first."
        main="The ring is closed"
        onMain={() => void enter('ring', { state: 'closed', newSeal: true, ...said }).then(onUp)}
      >
        <SealForm said={said} onSaid={setSaid} />
      </Panel>
    );
  return (
    <GateRail
      gate={3}
      pass="Gate 3: the ring may close"
      onPassed={() => {
        // With a new seal the ring is closed first; one that was never opened needs no closing.
        if (seal !== 'new') onUp();
      }}
    />
  );
}

interface PanelProps {
  title: string;
  text: string;
  main: string;
  onMain: () => void;
  children?: React.ReactNode;
}

function Panel({ title, text, main, onMain, children }: PanelProps) {
  return (
    <section aria-label="the ring" className="flex min-h-full flex-1 flex-col">
      <div className="flex-1 p-4 mid:p-6">
        <h2 className="flex items-center gap-3 pb-2 text-32">
          <Shape outcome="good" size={28} />
          {title}
        </h2>
        <p className="max-w-prose text-quiet">{text}</p>
      </div>
      <div className="sticky bottom-0 grid gap-3 border-t border-rule bg-sheet p-4 mid:p-6">
        {children}
        <Strap data-action="ring" onClick={onMain}>
          {main}
        </Strap>
        <TakeBack />
      </div>
    </section>
  );
}
