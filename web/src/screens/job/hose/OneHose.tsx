import { hoseLength, saidOf, type RoutePoint, type Rubber } from '@iron-cradle/core';
import { useState } from 'react';
import { HoseDrawing } from '../../../drawings/hose/HoseDrawing.tsx';
import { useJob } from '../../../log/useJob.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { PhotoButton, Photos } from '../Photos.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { ClampPanel } from './ClampPanel.tsx';
import { LongEnough } from './LongEnough.tsx';
import { LookPanel } from './LookPanel.tsx';
import { RunPanel } from './RunPanel.tsx';

interface OneHoseProps {
  station: 'bench' | 'refit';
  rubber: Rubber;
  onDone: () => void;
}

/** Where a hose lies before anybody drew it: level at both ends, its middle lower. */
const BEGIN: RoutePoint[] = [
  [0, 60],
  [200, 20],
  [400, 60],
];

/** One hose in hand: where it runs, what is printed on it, its clamps; each with its verdict. */
export function OneHose({ station, rubber, onDone }: OneHoseProps) {
  const { state } = useJob();
  const way = state.ways[rubber.key]?.at(-1);
  const [route, setRoute] = useState<RoutePoint[]>(() => (way?.route ? way.route.map(([x, z]) => [x, z]) : BEGIN));
  // Nobody’s guess of a bore is entered: what is drawn before it is typed is as wide as such a hose usually is.
  const [bore, setBore] = useState<number | null>(way?.bore ?? null);
  const usual = rubber.place.use === 'pressure' ? 8 : 19;
  const [drawn, setDrawn] = useState((way?.route ?? null) !== null);
  const [chosen, setChosen] = useState<number | null>(null);
  const said = saidOf(state, rubber.key);
  // Typed figures follow what a hand dragged.
  const [turn, setTurn] = useState(0);
  const move = (point: number, to: RoutePoint) => {
    setDrawn(true);
    setTurn((n) => n + 1);
    setRoute((had) => had.map((one, i) => (i === point ? to : one)));
  };
  return (
    <TankLayout
      station={station}
      page
      stage={({ width }) => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="text-32">{rubber.name}</h1>
          <p className="pb-2 text-quiet">
            {drawn
              ? `Where it runs, from the side, to scale; ${Math.round(hoseLength(route))} mm along it`
              : 'Is its lowest point below both of its ends? Then draw it: touch a point and drag it'}
          </p>
          <HoseDrawing
            route={route}
            bore={bore ?? usual}
            breathes={rubber.breathes}
            width={Math.min(680, width - 32)}
            ghost={!drawn || bore === null}
            chosen={chosen}
            onChoose={setChosen}
            onMove={state.signed ? undefined : move}
          />
          {!state.signed && (
            <RunPanel
              rubber={rubber}
              route={route}
              bore={bore}
              drawn={drawn}
              chosen={chosen}
              turn={turn}
              onRoute={(next) => {
                setDrawn(true);
                setRoute(next);
              }}
              onBore={setBore}
              onChoose={setChosen}
            />
          )}
        </div>
      )}
      now={
        <section aria-label={rubber.name} className="grid gap-4 p-4 mid:p-6" data-hose-in-hand={rubber.key}>
          {said.length === 0 ? (
            <p className="text-quiet">Nobody looked at it yet.</p>
          ) : (
            said.map(({ id, verdict }) => <VerdictView key={id} verdict={verdict} />)
          )}
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
