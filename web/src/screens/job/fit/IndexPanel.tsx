import { useState } from 'react';
import { IndexDrawing } from '../../../drawings/fit/IndexDrawing.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Slide } from '../../../ui/Slide.tsx';

/** Where the index mark stands round the flange, old and new: it turned with the years of the model. */
export function IndexPanel() {
  const { state, enter } = useJob();
  const said = state.fitted.index;
  const [old, setOld] = useState(said?.old ?? 0);
  const [now, setNow] = useState(said?.now ?? 0);
  return (
    <section aria-label="index mark" className="grid gap-3">
      <h3 className="border-b-2 border-ink pb-1 text-20">Its index mark</h3>
      <div className="grid gap-3 min-[480px]:grid-cols-[18rem_1fr] min-[480px]:items-center">
        <IndexDrawing old={old} now={now} />
        {!state.signed && (
          <div className="grid gap-2">
            {(
              [
                ['Old', old, setOld],
                ['New', now, setNow],
              ] as const
            ).map(([name, value, put]) => (
              <label key={name} className="flex items-center gap-3">
                <span className="narrow w-10 text-20">{name.toLowerCase()}</span>
                <Slide
                  label={`${name} index, degrees from the front`}
                  said={`${value}°`}
                  min={0}
                  max={355}
                  step={5}
                  value={value}
                  onSlide={put}
                />
                <span className="reading w-14 text-right">{value}°</span>
              </label>
            ))}
            <button
              type="button"
              className="btn"
              data-action="index"
              onClick={() => void enter('fitMeasured', { figure: 'index', old, now })}
            >
              {said && <Shape outcome="good" size={18} label="measured" />} So they stand
            </button>
          </div>
        )}
      </div>
    </section>
  );
}
