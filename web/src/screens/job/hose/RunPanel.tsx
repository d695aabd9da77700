import { RUBS, rubWord, type RoutePoint, type Rubber, type Rubs } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { PickMany } from '../../../ui/PickMany.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';

interface RunPanelProps {
  rubber: Rubber;
  /** As its fields show it: a moment behind the hand. */
  rested: readonly RoutePoint[];
  /** As it stands in the drawing this moment: what is changed and entered. */
  drawnNow: () => readonly RoutePoint[];
  /** mm; null: nobody measured it. */
  bore: number | null;
  drawn: boolean;
  chosen: number | null;
  /** Goes up when a point was dragged. */
  turn: number;
  onRoute: (route: RoutePoint[]) => void;
  onBore: (bore: number) => void;
  onChoose: (point: number | null) => void;
}

/** How it runs: the one question, else its drawing, point by point typed where a finger is too broad. */
export function RunPanel({
  rubber,
  rested,
  drawnNow,
  bore,
  drawn,
  chosen,
  turn,
  onRoute,
  onBore,
  onChoose,
}: RunPanelProps) {
  const { enter } = useJob();
  const [rubs, setRubs] = useState<Rubs[]>([]);
  const [guarded, setGuarded] = useState(false);
  const lies = rubs.length > 0 ? { rubs, guarded } : {};
  const point = chosen === null ? undefined : rested[chosen];
  const put = (to: RoutePoint) => onRoute(drawnNow().map((one, i) => (i === chosen ? to : one)));
  const asDrawn = () => drawnNow().map(([x, z]) => ({ x, z }));
  const between = () => {
    const route = drawnNow();
    const at = Math.min(chosen ?? 0, route.length - 2);
    const [a, b] = [route[at]!, route[at + 1]!];
    onRoute([...route.slice(0, at + 1), [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], ...route.slice(at + 1)]);
    onChoose(at + 1);
  };
  return (
    <div className="grid gap-3 pt-3">
      {point && (
        <div className="grid grid-cols-2 gap-x-3" key={`${chosen} ${turn}`}>
          <QuantityField
            label={`Point ${chosen! + 1}, along`}
            dimension="length"
            unit="mm"
            decimals={0}
            initial={String(Math.round(point[0]))}
            onRead={(value) => value && put([Math.round(value.typ * 1000), point[1]])}
          />
          <QuantityField
            label="up"
            dimension="length"
            unit="mm"
            decimals={0}
            initial={String(Math.round(point[1]))}
            onRead={(value) => value && put([point[0], Math.round(value.typ * 1000)])}
          />
        </div>
      )}
      <div className="grid grid-cols-2 gap-3 min-[480px]:grid-cols-3">
        <button type="button" className="btn" disabled={rested.length >= 12} onClick={between}>
          One point more
        </button>
        <button
          type="button"
          className="btn"
          disabled={chosen === null || chosen === 0 || chosen === rested.length - 1}
          onClick={() => {
            onRoute(drawnNow().filter((_, i) => i !== chosen));
            onChoose(null);
          }}
        >
          This point off
        </button>
        <div className="col-span-2 min-[480px]:col-span-1">
          <QuantityField
            label="Bore of the hose"
            dimension="length"
            unit="mm"
            decimals={1}
            initial={bore === null ? '' : String(bore)}
            onRead={(value) => value && onBore(Math.round(value.typ * 1e5) / 100)}
          />
        </div>
      </div>
      <div>
        <p className="pb-1 text-quiet">It lies on, or nearly</p>
        <PickMany
          things={RUBS.map((id) => ({ id, name: rubWord[id] }))}
          picked={rubs}
          onPick={(picked) => setRubs(picked as Rubs[])}
        />
      </div>
      {rubs.length > 0 && (
        <Choice
          label="There"
          value={guarded ? 'sleeve' : 'bare'}
          onChoose={(value) => setGuarded(value === 'sleeve')}
          options={[
            { value: 'bare', label: 'Bare' },
            { value: 'sleeve', label: 'Sleeved, or clipped off it' },
          ]}
        />
      )}
      <div className="grid gap-3 min-[480px]:grid-cols-2">
        <button
          type="button"
          className="btn"
          data-action="falls"
          onClick={() => void enter('hoseRuns', { key: rubber.key, below: false, ...lies })}
        >
          No low place: it falls all the way
        </button>
        <button
          type="button"
          className="btn"
          data-action="runs-so"
          disabled={drawn && bore === null}
          onClick={() =>
            void enter('hoseRuns', {
              key: rubber.key,
              below: true,
              ...lies,
              ...(drawn && bore !== null ? { bore, route: asDrawn() } : {}),
            })
          }
        >
          {!drawn ? 'Yes, a low place' : bore === null ? 'Its bore first' : 'It runs as drawn'}
        </button>
        {rubber.breathes && drawn && bore !== null && (
          <button
            type="button"
            className="btn min-[480px]:col-span-2"
            data-action="open-air"
            onClick={() =>
              void enter('hoseRuns', {
                key: rubber.key,
                below: true,
                openAir: true,
                ...lies,
                bore,
                route: asDrawn(),
              })
            }
          >
            As drawn, its other end in the open air
          </button>
        )}
      </div>
    </div>
  );
}
