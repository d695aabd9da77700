import type { VehicleFile } from '@iron-cradle/core';
import { useId } from 'react';
import { Slide } from '../../ui/Slide.tsx';

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
        <Slide
          label={`along the tank, dragged, ${x} mm from the ${first} end`}
          min={0}
          max={file.length}
          step={5}
          value={x}
          onSlide={onChange}
        />
        <span className="text-quiet">{second}</span>
        <input
          id={id}
          type="number"
          className="field reading w-[7rem] shrink-0"
          min={0}
          max={file.length}
          value={x}
          onChange={(event) => onChange(Number(event.target.value))}
        />
      </div>
    </div>
  );
}
