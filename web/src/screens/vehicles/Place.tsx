import type { VehicleFile } from '@iron-cradle/core';
import { useId } from 'react';

interface PlaceProps {
  file: VehicleFile;
  x: number;
  onChange: (x: number) => void;
}

/** Where along the tank: dragged or typed, from the first end. */
export function Place({ file, x, onChange }: PlaceProps) {
  const id = useId();
  const [first, second] = file.ends;
  return (
    <div>
      <label htmlFor={id} className="block text-quiet">
        Along the tank, mm from the {first} end
      </label>
      <div className="flex items-center gap-4">
        <span className="text-quiet">{first}</span>
        <input
          type="range"
          aria-label={`along the tank, dragged, ${x} mm from the ${first} end`}
          className="h-11 min-w-0 flex-1 accent-(--work)"
          min={0}
          max={file.length}
          step={5}
          value={x}
          onChange={(event) => onChange(Number(event.target.value))}
        />
        <span className="text-quiet">{second}</span>
        <input
          id={id}
          type="number"
          className="field reading w-28 shrink-0"
          min={0}
          max={file.length}
          value={x}
          onChange={(event) => onChange(Number(event.target.value))}
        />
      </div>
    </div>
  );
}
