import { TagShape } from '../../look/Tag.tsx';

/** Both ends of a parted line with the number painted on each, and the witness mark that must meet again. */
export function PaintedEnds({ tag, capped }: { tag: number; capped: boolean }) {
  const number = String(tag);
  const w = 27 + number.length * 12;
  return (
    <svg viewBox="0 0 300 56" width="100%" height="56" role="img" aria-label={`${number} on both ends, marks in line`}>
      <g fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5">
        <path d="M0 20H116V36H0" />
        <path d="M300 20H196V36H300" />
        {/* The bead over which a hose goes, and the port it meets. */}
        <rect x="110" y="17" width="7" height="22" rx="3" />
        <rect x="190" y="15" width="10" height="26" />
        {capped && <path d="M117 18h9v20h-9M190 18h-9v20h9" fill="var(--ink)" />}
      </g>
      <g stroke="var(--ink)" fill="none" strokeWidth="1.5">
        <path d="M130 28h46" strokeDasharray="5 4" />
        <path d="M166 23l9 5l-9 5" />
        {/* Witness marks: one stroke on each side, in line when it sits as it sat. */}
        <path d="M84 28h22M206 28h22" strokeWidth="3" />
      </g>
      <g transform="translate(18 14)">
        <TagShape number={number} open w={w} h={28} />
      </g>
      <g transform={`translate(${282 - w} 14)`}>
        <TagShape number={number} open w={w} h={28} />
      </g>
    </svg>
  );
}
