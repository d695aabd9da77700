import type { Tilt } from '@iron-cradle/core';
import { Slide } from '../../../ui/Slide.tsx';

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
  const to = (v: number) => onValue(Math.min(most, Math.max(-most, Math.round(v / STEP) * STEP)));
  return (
    <div>
      <p className="text-quiet">{label}</p>
      <div className="flex items-center gap-3">
        <button
          type="button"
          className="btn w-16"
          aria-label={`half a degree less, ${label}`}
          onClick={() => to(value - STEP)}
        >
          −
        </button>
        <Slide label={label} min={-most} max={most} step={STEP} value={value} onSlide={to} />
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
