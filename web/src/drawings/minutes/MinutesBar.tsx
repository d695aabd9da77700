import { useId } from 'react';
import { HatchDefs } from '../../look/Shapes.tsx';

interface MinutesBarProps {
  minutes: { lo: number; typ: number; hi: number };
  /** The same before something was changed, drawn as a thin line above. */
  before?: { lo: number; typ: number; hi: number } | null;
  /** Longest of those it stands beside, so that they are to one scale. */
  beside?: number;
}

/** Minutes as a strap: solid up to the least, hatched up to the most, a bolt at the likely. */
export function MinutesBar({ minutes, before, beside = 1 }: MinutesBarProps) {
  const hatch = useId();
  const most = Math.max(minutes.hi, before?.hi ?? 0, beside);
  const x = (m: number) => 10 + (m / most) * 580;
  return (
    <svg viewBox="0 0 600 54" className="w-full" role="img" aria-label={`${words(minutes)} minutes`}>
      <defs>
        <HatchDefs id={hatch} color="var(--work)" />
      </defs>
      {before && (
        <g stroke="var(--quiet)" strokeWidth="2">
          <path d={`M${x(before.lo)} 8H${x(before.hi)}M${x(before.lo)} 4v8M${x(before.hi)} 4v8`} />
          <circle cx={x(before.typ)} cy="8" r="3" fill="var(--quiet)" />
        </g>
      )}
      <rect x="10" y="18" width={x(minutes.lo) - 10} height="20" fill="var(--work)" />
      <rect
        x={x(minutes.lo)}
        y="18"
        width={Math.max(0, x(minutes.hi) - x(minutes.lo))}
        height="20"
        fill={`url(#${hatch})`}
        stroke="var(--work)"
        strokeWidth="2"
      />
      <circle cx={x(minutes.typ)} cy="28" r="7" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5" />
    </svg>
  );
}

const words = ({ lo, typ, hi }: MinutesBarProps['minutes']) =>
  `${Math.round(lo)} to ${Math.round(hi)}, likely ${Math.round(typ)}`;
