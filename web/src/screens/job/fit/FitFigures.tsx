import { alwaysMeasured, figureWord, type FitFigure } from '@iron-cradle/core';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';

const measures: Record<
  Exclude<FitFigure, 'index'>,
  { dimension: 'length' | 'resistance' | 'pressure' | 'volume'; unit: string; step: number }
> = {
  flange: { dimension: 'length', unit: 'mm', step: 0.1 },
  seal: { dimension: 'length', unit: 'mm', step: 0.1 },
  ohmsEmpty: { dimension: 'resistance', unit: 'Ω', step: 0.1 },
  ohmsFull: { dimension: 'resistance', unit: 'Ω', step: 0.1 },
  pressure: { dimension: 'pressure', unit: 'bar', step: 0.01 },
  capacity: { dimension: 'volume', unit: 'L', step: 0.1 },
};

/** What is always measured of a new part, and its seal. */
export function FitFigures() {
  const { state } = useJob();
  return (
    <section aria-label="measured" className="grid gap-2">
      <h3 className="border-b-2 border-ink pb-1 text-20">Measured, not believed</h3>
      {[...alwaysMeasured(state), 'seal' as const].flatMap((figure) =>
        figure === 'index' ? [] : [<Figure key={figure} figure={figure} />],
      )}
    </section>
  );
}

function Figure({ figure }: { figure: Exclude<FitFigure, 'index'> }) {
  const { state } = useJob();
  const { dimension, unit, step } = measures[figure];
  const said = state.fitted[figure];
  const form = useEntryForm({ kind: 'fitMeasured', start: { figure } });
  const shared = { form, dimension, unit, step, decimals: step < 0.1 ? 2 : 1 } as const;
  return (
    <EntryForm
      say={() => form.say()}
      className="grid grid-cols-[1fr_1fr] gap-x-3 min-[480px]:grid-cols-[1fr_1fr_auto]"
      data-figure={figure}
    >
      <FormQuantity {...shared} name="now" label={`${figureWord[figure]}, new`} />
      <FormQuantity {...shared} name="old" label="old" />
      <button
        type="submit"
        className="btn col-span-2 min-[480px]:col-span-1 min-[480px]:mt-7 min-[480px]:self-start"
        data-action={`measure-${figure}`}
      >
        {said ? (
          <>
            <Shape outcome="good" size={18} label="measured" /> {said.now} {unit}
          </>
        ) : (
          'Measured'
        )}
      </button>
    </EntryForm>
  );
}
