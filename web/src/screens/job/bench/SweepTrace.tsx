interface SweepTraceProps {
  passes: readonly { way: 'up' | 'down'; ohms: readonly (number | null)[] }[];
}

const SIZE = { width: 320, height: 120, foot: 16 };

/** Every pass over its time, empty on the left: a gap is where it shows nothing. */
export function SweepTrace({ passes }: SweepTraceProps) {
  const all = passes.flatMap((p) => p.ohms.flatMap((ohms) => (ohms === null ? [] : [ohms])));
  const [least, most] = [Math.min(...all, 0), Math.max(...all, 1)];
  const y = (ohms: number) =>
    SIZE.height - SIZE.foot - ((ohms - least) / (most - least)) * (SIZE.height - SIZE.foot - 8);
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      className="block w-full"
      role="img"
      aria-label={`ohms of ${passes.length} passes, ${passes.flatMap((p) => p.ohms).filter((o) => o === null).length} readings open`}
    >
      <path d={`M0 ${SIZE.height - SIZE.foot}H${SIZE.width}`} stroke="var(--ink)" strokeWidth="2" />
      <text x="0" y={SIZE.height - 1} fontSize="14" fill="var(--quiet)">
        empty
      </text>
      <text x={SIZE.width} y={SIZE.height - 1} fontSize="14" textAnchor="end" fill="var(--quiet)">
        full
      </text>
      {passes.map(({ way, ohms }, pass) => {
        const x = (i: number) => {
          const along = ohms.length < 2 ? 0 : i / Math.max(ohms.length - 1, 30);
          return (way === 'up' ? along : 1 - along) * SIZE.width;
        };
        const d = ohms
          .map((one, i) =>
            one === null ? '' : `${i === 0 || ohms[i - 1] === null ? 'M' : 'L'}${x(i).toFixed(1)} ${y(one).toFixed(1)}`,
          )
          .join('');
        return (
          <g key={pass}>
            <path
              d={d}
              fill="none"
              stroke="var(--work)"
              strokeWidth="3"
              strokeDasharray={way === 'up' ? undefined : '7 4'}
            />
            {ohms.map((one, i) =>
              one === null ? (
                <rect key={i} x={x(i) - 3} y={SIZE.height - SIZE.foot - 4} width="6" height="6" fill="var(--halt)" />
              ) : null,
            )}
          </g>
        );
      })}
    </svg>
  );
}
