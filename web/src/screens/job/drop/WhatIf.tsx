import { bindings, rangeInWords, shortName, type JobState } from '@iron-cradle/core';
import type { Change } from '@iron-cradle/core/foresight';

interface WhatIfProps {
  state: JobState;
  changes: Change[];
  onChange: (changes: Change[]) => void;
}

const STEP = 10;

/** What if: a line that lets more or less, something out of the way, more tilt. Nothing is entered. */
export function WhatIf({ state, changes, onChange }: WhatIfProps) {
  const list = bindings(state);
  const of = (what: Change['what'], id?: string) =>
    changes.find((c) => c.what === what && (id === undefined || Object.values(c).includes(id)));
  const put = (change: Change, same: (c: Change) => boolean) => onChange([...changes.filter((c) => !same(c)), change]);
  const slack = (id: string, typ: number, by: number) => {
    const had = of('slack', id);
    const mm = Math.max(0, (had?.what === 'slack' ? had.mm : Math.round(typ / STEP) * STEP) + by);
    put({ what: 'slack', line: id, mm }, (c) => c.what === 'slack' && c.line === id);
  };
  const away = (id: string) => {
    const had = of('away', id);
    onChange(had ? changes.filter((c) => c !== had) : [...changes, { what: 'away', obstruction: id }]);
  };
  const tilt = (by: number) => {
    const had = of('tilt');
    const mm = (had?.what === 'tilt' ? had.mm : 0) + by;
    onChange([...changes.filter((c) => c.what !== 'tilt'), ...(mm === 0 ? [] : [{ what: 'tilt' as const, mm }])]);
  };
  const tilted = of('tilt');
  return (
    <section aria-label="what if" className="border-t-2 border-ink pt-3">
      <p className="flex items-center justify-between gap-3">
        <span className="narrow text-20">What if</span>
        {changes.length > 0 && (
          <button type="button" className="btn" onClick={() => onChange([])}>
            As it is
          </button>
        )}
      </p>
      <ul className="ruled">
        {list
          .filter((b) => b.line)
          .map((b) => {
            const had = of('slack', b.line!.id);
            return (
              <Row
                key={b.key}
                id={b.key}
                name={`${shortName(b.name)} lets`}
                value={had?.what === 'slack' ? `${had.mm} mm` : rangeInWords(b.limit, 1) + ' mm'}
                onLess={() => slack(b.line!.id, b.limit.typ, -STEP)}
                onMore={() => slack(b.line!.id, b.limit.typ, STEP)}
              />
            );
          })}
        <Row
          id="tilt"
          name="Tilt let"
          value={`${state.vehicle.tiltLimit + (tilted?.what === 'tilt' ? tilted.mm : 0)} mm`}
          onLess={() => tilt(-STEP)}
          onMore={() => tilt(STEP)}
        />
        <li className="flex items-center gap-3 py-1">
          <span className="narrow min-w-0 flex-1 text-20">A second pair of hands</span>
          <button
            type="button"
            className="btn"
            aria-pressed={of('helper') !== undefined}
            data-helper
            onClick={() =>
              onChange(
                of('helper') ? changes.filter((c) => c.what !== 'helper') : [...changes, { what: 'helper' as const }],
              )
            }
          >
            stands by
          </button>
        </li>
        {list
          .filter((b) => !b.line)
          .map((b) => {
            const id = b.key.slice('obstruction:'.length);
            return (
              <li key={b.key} className="flex items-center gap-3 py-1">
                <span className="narrow min-w-0 flex-1 text-20">{shortName(b.name)}</span>
                <button
                  type="button"
                  className="btn"
                  aria-pressed={of('away', id) !== undefined}
                  data-away={id}
                  onClick={() => away(id)}
                >
                  not there
                </button>
              </li>
            );
          })}
      </ul>
    </section>
  );
}

interface RowProps {
  id: string;
  name: string;
  value: string;
  onLess: () => void;
  onMore: () => void;
}

function Row({ id, name, value, onLess, onMore }: RowProps) {
  return (
    <li className="flex items-center gap-3 py-1">
      <span className="narrow min-w-0 flex-1 text-20">{name}</span>
      <span className="reading w-[7rem] shrink-0 text-right">{value}</span>
      <button type="button" className="btn w-16" data-less={id} aria-label={`${name} 10 mm less`} onClick={onLess}>
        − 10
      </button>
      <button type="button" className="btn w-16" data-more={id} aria-label={`${name} 10 mm more`} onClick={onMore}>
        + 10
      </button>
    </li>
  );
}
