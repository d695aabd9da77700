import type { VehicleFile } from '@iron-cradle/core';
import { useState } from 'react';
import { Slide } from '../../ui/Slide.tsx';
import { FileFigure } from './FileFigure.tsx';

interface PlaceProps {
  file: VehicleFile;
  x: number;
  onChange: (x: number) => void;
  /** What is wrong with it, as the file’s check says. */
  error?: string | undefined;
}

/** Where along the tank: dragged or typed, from the first end. */
export function Place({ file, x, onChange, error }: PlaceProps) {
  const [first, second] = file.ends;
  /** Goes up when it was dragged: the field then begins anew with it. */
  const [dragged, setDragged] = useState(0);
  return (
    <div>
      <FileFigure
        key={dragged}
        label={`Along the tank, from the ${first} end`}
        value={x}
        onChange={onChange}
        error={error}
        hint={`0 to ${file.length} mm`}
      />
      <div className="flex items-center gap-4">
        <span className="text-quiet">{first}</span>
        <Slide
          label={`along the tank, dragged, ${x} mm from the ${first} end`}
          min={0}
          max={file.length}
          step={5}
          value={x}
          onSlide={(to) => {
            onChange(to);
            setDragged((n) => n + 1);
          }}
        />
        <span className="text-quiet">{second}</span>
      </div>
    </div>
  );
}
