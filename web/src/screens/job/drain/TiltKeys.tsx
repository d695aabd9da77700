import type { Tilt } from '@iron-cradle/core';
import { useId } from 'react';

interface TiltKeysProps {
  tilt: Tilt;
  reach: Tilt;
  ends: readonly [string, string];
  onTilt: (tilt: Tilt) => void;
}

const STEP = 0.5;

/** Tip the drawn tank: a slider and keys for each way, within what jacks and ports allow. */
export function TiltKeys({ tilt, reach, ends, onTilt }: TiltKeysProps) {
  return (
    <details className="pt-2">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">Tip it</summary>
      <div className="grid gap-4 mid:grid-cols-2">
        <Way
          label={`${ends[0]} down ‹ › ${ends[1]} down`}
          value={tilt.x}
          most={reach.x}
          onValue={(x) => onTilt({ ...tilt, x })}
        />
        <Way
          label="near side down ‹ › far side down"
          value={tilt.y}
          most={reach.y}
          onValue={(y) => onTilt({ ...tilt, y })}
        />
      </div>
    </details>
  );
}

function Way({
  label,
  value,
  most,
  onValue,
}: {
  label: string;
  value: number;
  most: number;
  onValue: (v: number) => void;
}) {
  const id = useId();
  const to = (v: number) => onValue(Math.min(most, Math.max(-most, Math.round(v / STEP) * STEP)));
  return (
    <div>
      <label htmlFor={id} className="text-quiet">
        {label}
      </label>
      <div className="flex items-center gap-3">
        <button
          type="button"
          className="btn w-16"
          aria-label={`half a degree less, ${label}`}
          onClick={() => to(value - STEP)}
        >
          −
        </button>
        <input
          id={id}
          type="range"
          min={-most}
          max={most}
          step={STEP}
          value={value}
          className="h-11 min-w-0 flex-1 accent-[var(--work)]"
          onChange={(event) => to(Number(event.target.value))}
        />
        <button
          type="button"
          className="btn w-16"
          aria-label={`half a degree more, ${label}`}
          onClick={() => to(value + STEP)}
        >
          +
        </button>
        <span className="reading w-16 text-right">{value.toFixed(1)}°</span>
      </div>
    </div>
  );
}
