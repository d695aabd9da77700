import { lengthBefore, saidOf, splitKey, type Rubber } from '@iron-cradle/core';
import { HoseStage } from './HoseStage.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Before } from '../../../ui/Before.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { PhotoButton, Photos } from '../Photos.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { ClampPanel } from './ClampPanel.tsx';
import { LongEnough } from './LongEnough.tsx';
import { LookPanel } from './LookPanel.tsx';

interface OneHoseProps {
  station: 'bench' | 'refit';
  rubber: Rubber;
  onDone: () => void;
}

/** One hose in hand: where it runs, what is printed on it, its clamps; each with its verdict. */
export function OneHose({ station, rubber, onDone }: OneHoseProps) {
  const { state } = useJob();
  const said = saidOf(state, rubber.key);
  return (
    <TankLayout
      station={station}
      page
      stage={({ width }) => <HoseStage rubber={rubber} width={width} />}
      now={
        <section aria-label={rubber.name} className="grid gap-4 p-4 mid:p-6" data-hose-in-hand={rubber.key}>
          {said.length === 0 ? (
            <p className="text-quiet">Nobody looked at it yet.</p>
          ) : (
            said.map(({ id, verdict }) => <VerdictView key={id} verdict={verdict} />)
          )}
          <Before was={lengthBefore(state.vehicle, splitKey(rubber.key).id)} />
          {!state.signed && (
            <>
              <LookPanel rubber={rubber} />
              <ClampPanel rubber={rubber} />
              <LongEnough about={rubber.key} />
              <div className="grid grid-cols-2 gap-3">
                <PhotoButton about={rubber.key} name={rubber.name} words />
              </div>
            </>
          )}
          <Photos about={rubber.key} />
          <button type="button" className="btn" data-action="hose-done" onClick={onDone}>
            Back to all hoses
          </button>
        </section>
      }
    />
  );
}
