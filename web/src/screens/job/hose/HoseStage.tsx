import type { RoutePoint, Rubber } from '@iron-cradle/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { HoseDrawing } from '../../../drawings/hose/HoseDrawing.tsx';
import { useJob } from '../../../log/useJob.ts';
import { RunPanel } from './RunPanel.tsx';

interface HoseStageProps {
  rubber: Rubber;
  /** px it may be wide. */
  width: number;
}

/** Where a hose lies before anybody drew it: level at both ends, its middle lower. */
const BEGIN: RoutePoint[] = [
  [0, 60],
  [200, 20],
  [400, 60],
];

/** ms a finger rests before the fields follow it. */
const RESTS = 120;

/** Where a hose runs: what is dragged is drawn at once and alone, so that it follows a finger on a slow tablet. */
export function HoseStage({ rubber, width }: HoseStageProps) {
  const { state } = useJob();
  const way = state.ways[rubber.key]?.at(-1);
  const [route, setRoute] = useState<RoutePoint[]>(() => (way?.route ? way.route.map(([x, z]) => [x, z]) : BEGIN));
  // Nobody’s guess of a bore is entered: what is drawn before it is typed is as wide as such a hose usually is.
  const [bore, setBore] = useState<number | null>(way?.bore ?? null);
  const usual = rubber.place.use === 'pressure' ? 8 : 19;
  const [drawn, setDrawn] = useState((way?.route ?? null) !== null);
  const [chosen, setChosen] = useState<number | null>(null);
  // Typed figures follow what a hand dragged.
  const [turn, setTurn] = useState(0);
  // The drawing follows the finger; fields come after it, once it rests.
  const [rested, setRested] = useState(route);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  // What is entered is what is drawn, also while the fields still lag behind it.
  const now = useRef(route);
  const put = (next: RoutePoint[]) => {
    clearTimeout(timer.current);
    now.current = next;
    setRoute(next);
  };
  const move = (point: number, to: RoutePoint) => {
    setDrawn(true);
    const next = now.current.map((one, i) => (i === point ? to : one));
    put(next);
    timer.current = setTimeout(() => {
      setTurn((n) => n + 1);
      setRested(next);
    }, RESTS);
  };
  const run = useMemo(
    () => (
      <RunPanel
        rubber={rubber}
        rested={rested}
        drawnNow={() => now.current}
        bore={bore}
        drawn={drawn}
        chosen={chosen}
        turn={turn}
        onRoute={(next) => {
          setDrawn(true);
          put(next);
          setRested(next);
        }}
        onBore={setBore}
        onChoose={setChosen}
      />
    ),
    [rubber, rested, turn, bore, drawn, chosen],
  );
  return (
    <div className="h-full overflow-y-auto p-4 mid:p-6">
      <h1 className="text-32">{rubber.name}</h1>
      <p className="pb-2 text-quiet">
        {drawn
          ? 'Where it runs, from the side, to scale'
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
      {!state.signed && run}
    </div>
  );
}
