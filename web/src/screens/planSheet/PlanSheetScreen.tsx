import type { PlanSheet } from '@iron-cradle/core';
import { format } from 'date-fns';
import { useMemo, useRef } from 'react';
import { useJob } from '../../log/useJob.ts';
import { WithJob } from '../../log/WithJob.tsx';
import { useUnits } from '../../app/units.ts';
import { save } from '../../ui/save.ts';
import { useAnswer, type Ask } from '../../workers/useAnswer.ts';
import { PlanSheetDrawing } from './PlanSheetDrawing.tsx';

/** The plan for under a car without a device: printed, or as a file. */
export default function PlanSheetScreen() {
  return (
    <WithJob title="Plan sheet">
      <Page />
    </WithJob>
  );
}

function Page() {
  const { state, number } = useJob();
  const units = useUnits();
  const ask = useMemo<Ask<PlanSheet>>(() => (core) => core.planSheet(state), [state]);
  const { answer: sheet, progress, problem, stop } = useAnswer(ask);
  const page = useRef<HTMLDivElement>(null);
  const name = `plan-${number ?? state.jobId}`;
  if (!sheet)
    return (
      <main className="grid max-w-xl gap-4 p-6">
        {problem && <p className="font-semibold text-halt">{problem}</p>}
        <p role="status">{progress === null ? 'No plan was made.' : 'Looking for the way, there and back…'}</p>
        {progress !== null && (
          <button type="button" className="btn" onClick={stop}>
            Stop looking
          </button>
        )}
      </main>
    );
  return (
    <main className="mx-auto max-w-4xl pb-10 print:pb-0">
      <div className="no-print grid gap-3 p-4 mid:grid-cols-3 mid:px-8">
        <button type="button" className="btn" onClick={() => window.print()}>
          Print it
        </button>
        <button
          type="button"
          className="btn"
          data-action="svg"
          onClick={() => {
            const pages = [...page.current!.querySelectorAll('svg')];
            for (const [i, svg] of pages.entries())
              save(`${name}${pages.length > 1 ? `-${i + 1}` : ''}.svg`, svg.outerHTML, 'image/svg+xml');
          }}
        >
          Save as SVG
        </button>
        <button
          type="button"
          className="btn"
          data-action="json"
          onClick={() => save(`${name}.json`, JSON.stringify(sheet, null, 1), 'application/json')}
        >
          Save as JSON
        </button>
      </div>
      <div ref={page} className="mx-auto grid max-w-[794px] gap-4 print:block">
        <PlanSheetDrawing
          sheet={sheet}
          name={state.name}
          made={format(new Date(), 'd MMMM yyyy, H:mm')}
          units={units}
        />
      </div>
    </main>
  );
}
