import type { ConditionPlace, Outcome } from '@iron-cradle/core';
import { Paint, Shape } from '../../look/Shapes.tsx';

/** A place on the drawing. */
export interface DrawnPlace {
  /** Its id. */
  id: ConditionPlace;
  /** One word. */
  short: string;
  /** In full, for those who hear it. */
  name: string;
  /** How it stands; null: nobody looked. */
  outcome: Outcome | null;
  /** What was found there, in words. */
  found: string | null;
}

interface TankOpenedProps {
  places: readonly DrawnPlace[];
  chosen: ConditionPlace | null;
  /** Where the hand goes next; null: elsewhere. */
  next: ConditionPlace | null;
  /** Steel is drawn with a seam, plastic without. */
  material: 'steel' | 'plastic';
  strapped: boolean;
  onChoose: (id: ConditionPlace) => void;
}

/** The drawing’s own units. */
const BOX = { width: 400, height: 350 };

/** Where each place is touched: the middle of its square. */
const at: Record<ConditionPlace, readonly [number, number]> = {
  frame: [200, 34],
  hoses: [48, 92],
  neck: [352, 92],
  pads: [200, 132],
  inside: [200, 232],
  outside: [82, 262],
  straps: [318, 262],
};

const ink = { stroke: 'var(--ink)', strokeWidth: 3, strokeLinejoin: 'round' } as const;
const rubber = 'M92 168C70 150 84 118 60 96S28 62 8 58';
const pipe = 'M330 176C352 168 352 140 352 118L352 66';

/** The tank on the bench with a window cut into it, what carried it, what goes to it: every place is touched where it is. */
export function TankOpened({ places, chosen, next, material, strapped, onChoose }: TankOpenedProps) {
  return (
    <div className="relative mx-auto w-full max-w-[34rem]" role="group" aria-label="the tank, opened">
      <svg viewBox={`0 0 ${BOX.width} ${BOX.height}`} className="block w-full" aria-hidden>
        <defs>
          <pattern id="bench-rail" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="9" stroke="var(--edge)" strokeWidth="2" />
          </pattern>
          <clipPath id="bench-window">
            <path d={windowPath} />
          </clipPath>
        </defs>
        <rect x="6" y="20" width="388" height="28" fill="url(#bench-rail)" stroke="var(--ink)" strokeWidth="3" />
        {strapped &&
          [126, 272].map((x) => (
            <path key={x} d={`M${x + 7} 48v14`} stroke="var(--ink)" strokeWidth="5" strokeDasharray="3 3" />
          ))}
        <path d={rubber} fill="none" stroke="var(--ink)" strokeWidth="15" strokeLinecap="round" />
        <path d={rubber} fill="none" stroke="var(--well)" strokeWidth="9" strokeLinecap="round" />
        <path d={pipe} fill="none" stroke="var(--ink)" strokeWidth="24" />
        <path d={pipe} fill="none" stroke="var(--sheet)" strokeWidth="18" />
        <rect x="336" y="52" width="32" height="14" rx="2" fill="var(--sheet)" {...ink} />
        <path
          d="M64 150H336c16 0 26 10 26 26v108c0 18-10 28-28 28H66c-18 0-28-10-28-28V176c0-16 10-26 26-26Z"
          fill="var(--sheet)"
          {...ink}
        />
        {material === 'steel' && <path d="M38 232H362" stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="1 5" />}
        {[146, 222].map((x) => (
          <rect key={x} x={x} y="140" width="34" height="11" fill="var(--quiet)" stroke="var(--ink)" strokeWidth="2" />
        ))}
        <path d={windowPath} fill="var(--well)" stroke="var(--ink)" strokeWidth="2.5" strokeLinejoin="round" />
        <g clipPath="url(#bench-window)">
          <path d="M172 188v100M226 176v100" stroke="var(--quiet)" strokeWidth="2" />
          <path d="M130 290C170 280 230 296 270 284" stroke="var(--quiet)" strokeWidth="2" fill="none" />
        </g>
        {strapped &&
          [126, 266].map((x) => (
            <g key={x}>
              <path d={`M${x} 146v172h14V146Z`} fill="var(--ground)" stroke="var(--ink)" strokeWidth="2.5" />
              <path d={`M${x - 2} 138h18v9h-18Z`} fill="var(--ink)" />
              <rect
                x={x + 2}
                y="318"
                width="10"
                height="16"
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth="2.5"
              />
            </g>
          ))}
        {strapped && <path d="M280 262h8" stroke="var(--ink)" strokeWidth="2" />}
        <path d="M2 346H398" stroke="var(--ink)" strokeWidth="4" />
      </svg>
      {places.map((place) => (
        <button
          key={place.id}
          type="button"
          className={`absolute grid size-16 -translate-x-1/2 -translate-y-1/2 content-center justify-items-center border-2 border-ink ${
            chosen === place.id ? 'bg-ground outline-3 outline-ink' : 'bg-sheet'
          }`}
          style={{ left: `${(at[place.id][0] / BOX.width) * 100}%`, top: `${(at[place.id][1] / BOX.height) * 100}%` }}
          aria-pressed={chosen === place.id}
          aria-label={`${place.name}: ${place.found ?? 'nobody looked'}`}
          data-place={place.id}
          data-outcome={place.outcome ?? 'none'}
          onClick={() => onChoose(place.id)}
        >
          <Shape outcome={place.outcome ?? 'unknown'} size={26} />
          <span className="narrow text-16 leading-tight">{place.short}</span>
          {next === place.id && <Paint className="absolute -bottom-3 left-1" width={44} />}
        </button>
      ))}
    </div>
  );
}

/** An edge as tin snips leave it. */
const windowPath = 'M150 184l22 4 24-6 30 5 28-4 4 34-5 26 3 34-26 8-32-5-28 6-24-4-4-30 6-30Z';
