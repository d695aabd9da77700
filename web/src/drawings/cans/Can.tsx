import { roundTo } from '@iron-cradle/core';
interface CanProps {
  number: number;
  litres: number;
  capacity: number;
  /** Litres it may hold, the dashed line. */
  fill: number;
  clean: boolean;
  filling?: boolean;
}

/** A can as it fills: the dashed line is as far as it may, fuel by lines. */
export function Can({ number, litres, capacity, fill, clean, filling = false }: CanProps) {
  const floor = 172;
  const y = (l: number) => floor - (Math.min(l, capacity) / capacity) * 150;
  const level = y(litres);
  const rows = Math.max(0, Math.floor((floor - level) / 7));
  return (
    <figure className="w-[7.6rem] shrink-0">
      <svg
        viewBox="0 0 130 186"
        className="w-full"
        role="img"
        aria-label={`can ${number}: ${roundTo(litres, 0.1)} of ${roundTo(capacity, 0.1)} litres`}
      >
        <path d={`M10 36l10-14h66V8h20v14l4 0 10 14V${floor}H10Z`} fill="var(--sheet)" />
        {litres > 0 && <path d={`M10 ${level}H120`} stroke="var(--fuel)" strokeWidth="2.5" />}
        {Array.from({ length: rows }, (_, i) => (
          <path
            key={i}
            d={`M11 ${level + 7 * (i + 1)}H119`}
            stroke="var(--fuel)"
            strokeWidth="1"
            strokeDasharray={clean ? undefined : '10 5'}
          />
        ))}
        <path
          d={`M10 36l10-14h66V8h20v14l4 0 10 14V${floor}H10Z`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
          strokeLinejoin="round"
        />
        <path d={`M2 ${y(fill)}H128`} stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="5 4" />
        <text
          x="65"
          y="112"
          textAnchor="middle"
          fontSize="30"
          className="reading"
          fill="var(--ink)"
          stroke="var(--sheet)"
          strokeWidth="6"
          paintOrder="stroke"
        >
          {litres > 0 ? Math.round(litres * 10) / 10 : ''}
        </text>
      </svg>
      <figcaption className="text-center text-14 leading-tight text-quiet">
        can {number}, {litres === 0 ? 'empty' : filling ? 'filling' : 'filled'}
        <br />
        {litres > 0 ? (clean ? 'clean' : 'suspect') : `${capacity} L`}
      </figcaption>
    </figure>
  );
}
