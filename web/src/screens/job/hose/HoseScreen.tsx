import { rubbersOf, saidOf } from '@iron-cradle/core';
import { useSearchParams } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { CutPanel } from './CutPanel.tsx';
import { OneHose } from './OneHose.tsx';
import { WhichPanel } from './WhichPanel.tsx';

/** Every rubber from tank to engine, each touched where it stands in the row; one in hand beside its drawing. */
export function HoseScreen({ station, onDone }: { station: 'bench' | 'refit'; onDone: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const [search, setSearch] = useSearchParams();
  const key = search.get('hoses');
  const rubbers = rubbersOf(state.vehicle);
  const rubber = rubbers.find((one) => one.key === key);
  if (rubber)
    return <OneHose key={rubber.key} station={station} rubber={rubber} onDone={() => setSearch({ hoses: '' })} />;
  return (
    <TankLayout
      station={station}
      page
      stage={() => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="pb-2 text-32">Hoses, from tank to engine</h1>
          <ul className="border-t-2 border-ink">
            {rubbers.map(({ key: id, name, forgotten }) => {
              const word = saidOf(state, id)[0];
              return (
                <li key={id} className="border-b border-rule">
                  <button
                    type="button"
                    className="flex min-h-16 w-full items-center gap-3 py-2 text-left"
                    data-hose={id}
                    data-outcome={word?.verdict.outcome ?? 'none'}
                    onClick={() => setSearch({ hoses: id })}
                  >
                    <Shape outcome={word?.verdict.outcome ?? 'unknown'} size={24} />
                    <span className="min-w-0 flex-1 leading-tight">
                      <span className="narrow block text-20">{name}</span>
                      <span className="block text-quiet">
                        {word
                          ? words(word.verdict.reasons[0]?.text ?? '')
                          : forgotten
                            ? 'one that gets forgotten'
                            : 'nobody looked at it'}
                      </span>
                    </span>
                    {state.numbers[id] !== undefined && <Tag number={state.numbers[id]} />}
                  </button>
                </li>
              );
            })}
          </ul>
        </div>
      )}
      now={
        <section aria-label="cut list" className="grid gap-4 p-4 mid:p-6">
          <CutPanel />
          <WhichPanel />
          <button type="button" className="btn" data-action="hoses-done" onClick={onDone}>
            Back
          </button>
        </section>
      }
    />
  );
}
