import { causes, judgeCause, judgeReach, streamOf, streamPoints, type StreamPoint } from '@iron-cradle/core';
import { useState } from 'react';
import { StreamDrawing } from '../../../../drawings/stream/StreamDrawing.tsx';
import { useJob } from '../../../../log/useJob.ts';
import { VerdictView } from '../../../../ui/VerdictView.tsx';
import { HandPanel } from '../HandPanel.tsx';
import { LookAt } from './LookAt.tsx';
import { Samples } from './Samples.tsx';
import { Suspicion } from './Suspicion.tsx';

/** Bad fuel: how far it went, what it would be, and in whose hands the sample is. */
export function StreamPanel({ onDone }: { onDone: () => void }) {
  const { state } = useJob();
  const [at, setAt] = useState<StreamPoint | null>(null);
  const stream = streamOf(state);
  const reach = judgeReach(stream);
  const cause = judgeCause({ ...state, stream });
  const next = streamPoints.find((id) => !stream[id]) ?? null;
  return (
    <HandPanel
      id="stream"
      title="How far it went"
      hint="From the tank to the engine. A sample in sealed glass; never by taste."
      onDone={onDone}
    >
      <Suspicion />
      <div data-cause={cause.outcome}>
        <VerdictView verdict={cause} />
      </div>
      <StreamDrawing
        points={streamPoints.map((id) => {
          const look = stream[id];
          const was = look?.wasDirty ?? null;
          const of = was !== null && was !== 'dirty' ? causes[was].name : 'dirty';
          return {
            id,
            is: look?.is ?? null,
            cleaned: look?.is === 'clean' && was !== null,
            text: !look ? 'nobody looked' : look.is === 'dirty' ? of : was === null ? 'clean' : `was: ${of}; clean now`,
          };
        })}
        chosen={at}
        next={state.signed || reach.outcome === 'good' ? null : next}
        onChoose={(id) => setAt(at === id ? null : id)}
      >
        {at && !state.signed && <LookAt key={at} at={at} onDone={() => setAt(null)} />}
      </StreamDrawing>
      <div data-reach={reach.outcome}>
        <VerdictView verdict={reach} />
      </div>
      <Samples />
    </HandPanel>
  );
}
