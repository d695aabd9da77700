import type { SampleLook } from '@iron-cradle/core';

/** A sample in glass: what lies at its foot is drawn, and named beside it. */
export function Jar({ look }: { look: SampleLook | 'unseen' | 'none' }) {
  const [left, right, top, floor] = [8, 72, 12, 150];
  const full = look !== 'none';
  const rows = Array.from({ length: 17 }, (_, i) => 32 + 7 * i);
  const words: Record<typeof look, string> = {
    none: 'no sample yet',
    unseen: 'not judged yet',
    clear: 'clear',
    haze: 'hazy',
    water: 'water',
    sediment: 'sediment',
    crystals: 'crystals',
    varnish: 'varnish',
    slime: 'slime',
  };
  const dash = { haze: '2 4', varnish: '10 4', slime: '5 3' }[look as 'haze'];
  return (
    <figure className="flex w-40 items-end gap-2">
      <svg viewBox="0 0 80 158" width="80" height="158" role="img" aria-label={`sample: ${words[look]}`}>
        {full &&
          rows
            .filter((y) => y < floor - (look === 'water' || look === 'slime' ? 22 : 4))
            .map((y) => (
              <path
                key={y}
                d={`M${left + 2} ${y}H${right - 2}`}
                stroke="var(--fuel)"
                strokeWidth="1"
                strokeDasharray={dash}
              />
            ))}
        {full && <path d={`M${left + 2} 26H${right - 2}`} stroke="var(--fuel)" strokeWidth="3" />}
        {(look === 'water' || look === 'slime') && (
          <rect x={left + 2} y={floor - 20} width={right - left - 4} height="18" fill="var(--work)" opacity="0.75" />
        )}
        {look === 'slime' && (
          <path
            d={`M${left + 4} ${floor - 22}q8 -8 15 0t15 0t15 0t11 0`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="4"
          />
        )}
        {(look === 'sediment' || look === 'crystals') &&
          Array.from({ length: 16 }, (_, i) => {
            const [x, y] = [left + 6 + ((i * 23) % 54), floor - 5 - ((i * 7) % 11)];
            return look === 'crystals' ? (
              <path
                key={i}
                d={`M${x} ${y - 4}l4 4-4 4-4-4Z`}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
            ) : (
              <circle key={i} cx={x} cy={y} r="2.5" fill="var(--ink)" />
            );
          })}
        <path
          d={`M${left} ${top}q0 -6 6 -6H${right - 6}q6 0 6 6V${floor - 6}q0 6 -6 6H${left + 6}q-6 0 -6 -6Z`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
          strokeDasharray={full ? undefined : '5 4'}
        />
      </svg>
      <figcaption className="narrow pb-2 text-16">{words[look]}</figcaption>
    </figure>
  );
}
