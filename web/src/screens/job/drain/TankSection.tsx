import { drained, levelShare, rangeInWords } from '@iron-cradle/core';
import { useId } from 'react';
import { tankPath } from '../../../drawings/hang/Hang.tsx';
import { useJob } from '../../../log/useJob.ts';
import { HatchDefs } from '../../../look/Shapes.tsx';
import { useSize } from '../../../ui/useSize.ts';

/** The tank in section: what is aboard for certain by lines, what may be by hatching, the pick-up's reach. */
export function TankSection() {
  const { state } = useJob();
  const hatch = useId();
  const { vehicle, fuel } = state;
  const { lo, hi } = fuel.aboard;
  // Drawn in real px, so that its type is as large on a phone as anywhere.
  const [box, size] = useSize<HTMLDivElement>();
  const width = Math.min(720, size.width || 720);
  const tank = {
    x: width > 500 ? 40 : 4,
    y: 46,
    width: width > 500 ? width - 80 : width - 8,
    height: width > 500 ? 190 : 150,
  };
  const pipe = tank.x + tank.width * 0.27;
  const floor = tank.y + tank.height;
  const y = (litres: number) => floor - 2 - levelShare(vehicle, litres) * (tank.height - 4);
  const rows = Math.max(0, Math.floor((floor - y(lo)) / 7));
  const rest = drained(vehicle, fuel.aboard);
  const pick = y(rest.typ);
  return (
    <div ref={box} className="min-w-0 overflow-hidden">
      <svg
        viewBox={`0 0 ${width} ${tank.y + tank.height + 26}`}
        width={width}
        height={tank.y + tank.height + 26}
        role="img"
        aria-label={`tank in section, ${rangeInWords(fuel.aboard, 1)} litres aboard`}
        fontSize="17"
      >
        <defs>
          <HatchDefs id={hatch} color="var(--quiet)" />
          <clipPath id={`${hatch}-clip`}>
            <path d={tankPath(tank)} />
          </clipPath>
        </defs>
        <g clipPath={`url(#${hatch}-clip)`}>
          <rect x={tank.x} y={y(hi)} width={tank.width} height={Math.max(0, y(lo) - y(hi))} fill={`url(#${hatch})`} />
          {lo > 0 && <path d={`M${tank.x} ${y(lo)}h${tank.width}`} stroke="var(--fuel)" strokeWidth="2.5" />}
          {Array.from({ length: rows }, (_, i) => (
            <path key={i} d={`M${tank.x} ${y(lo) + 7 * (i + 1)}h${tank.width}`} stroke="var(--fuel)" strokeWidth="1" />
          ))}
        </g>
        <path d={tankPath(tank)} fill="none" stroke="var(--ink)" strokeWidth="3.5" strokeLinejoin="round" />
        <path d={`M0 26H${pipe}V${pick - 12}`} fill="none" stroke="var(--ink)" strokeWidth="5" />
        <rect
          x={pipe - 18}
          y={pick - 14}
          width="36"
          height="14"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
        <text x={pipe + 10} y="36" fill="var(--ink)" className="[font-stretch:82%]" fontWeight="600">
          takes no more below here
        </text>
        <text
          x={tank.x + tank.width - 14}
          y={Math.min(floor - 12, Math.max(tank.y + 26, y(hi) - 10))}
          textAnchor="end"
          className="reading"
          fontSize="24"
          fill="var(--fuel)"
          stroke="var(--sheet)"
          strokeWidth="6"
          paintOrder="stroke"
        >
          {rangeInWords(fuel.aboard, 1)} L
        </text>
      </svg>
    </div>
  );
}
