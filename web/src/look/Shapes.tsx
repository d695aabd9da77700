import type { Outcome } from '@iron-cradle/core';
import { outcomeWord } from '@iron-cradle/core';

/**
 * The shape of an outcome: disc, triangle, octagon, open ring. Shape and word carry the meaning; colour only helps.
 */
export function Shape({ outcome, size = 24, label }: { outcome: Outcome; size?: number; label?: string }) {
  const name = label ?? outcomeWord[outcome];
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" role="img" aria-label={name} className="shrink-0">
      {outcome === 'good' && <circle cx="12" cy="12" r="10" fill="var(--go-fill)" />}
      {outcome === 'doubtful' && (
        <path d="M12 2 23 22H1Z" fill="var(--look-fill)" stroke="var(--ink)" strokeWidth="1.5" />
      )}
      {outcome === 'bad' && <path d="M8 1h8l7 7v8l-7 7H8l-7-7V8Z" fill="var(--halt)" />}
      {outcome === 'unknown' && <circle cx="12" cy="12" r="9" fill="none" stroke="var(--unknown)" strokeWidth="3" />}
    </svg>
  );
}

/** The stroke of the paint pen: where the hand goes next, and nothing else. */
export function Paint({ width = 46, className = '' }: { width?: number; className?: string }) {
  return (
    <svg
      width={width}
      height={(width * 20) / 46}
      viewBox="0 0 46 20"
      className={`inline-block shrink-0 ${className}`}
      role="img"
      aria-label="next"
    >
      <PaintPath />
    </svg>
  );
}

/** The same stroke inside another drawing, 46 × 20 units. */
export const PaintPath = () => (
  <path
    d="M7 17C2 17 1 9 6 8c7-2 16 1 24-1 3-1 6-5 10-4 5 1 5 8 0 9-9 3-17 3-24 3-4 0-5 2-9 2Z"
    fill="var(--paint)"
    stroke="var(--paint-edge)"
    strokeWidth="2"
    strokeLinejoin="round"
  />
);

/** Hatching for what is only guessed. */
export function HatchDefs({ id, color = 'var(--ink)' }: { id: string; color?: string }) {
  return (
    <pattern id={id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" y1="0" x2="0" y2="7" stroke={color} strokeWidth="2" />
    </pattern>
  );
}
