import type { StringLine, StringSlack } from '@iron-cradle/core';

/** A line from its clip over its rail to its port: as it hangs at home, and taut at the drop where it pulls tight. */
export function StringDrawing({ line, told }: { line: StringLine; told: StringSlack }) {
  const rails = line.over ?? [];
  const low: readonly [number, number] = [line.port[0], line.port[1] - told.slack];
  const points = [line.clip, line.port, low, ...rails];
  const [left, right] = [Math.min(...points.map((p) => p[0])), Math.max(...points.map((p) => p[0]))];
  const [bottom, top] = [Math.min(...points.map((p) => p[1])), Math.max(...points.map((p) => p[1]))];
  const [width, height] = [640, 230];
  const scale = Math.min((width - 190) / Math.max(1, right - left), (height - 70) / Math.max(1, top - bottom));
  const at = ([x, z]: readonly [number, number]): [number, number] => [50 + (x - left) * scale, 34 + (top - z) * scale];
  const [clip, port, down] = [at(line.clip), at(line.port), at(low)];
  const turn = at(told.turnsAt);
  const sag = Math.min(90, 14 + (line.free - Math.hypot(line.port[0], line.port[1])) * scale * 0.6);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
      role="img"
      aria-label={`the line pulls tight ${Math.floor(told.slack)} millimetres below home`}
      fontSize="16"
    >
      <path d={`M10 10H${port[0] + 40}`} stroke="var(--ink)" strokeWidth="5" />
      {rails.map((rail) => {
        const [x, y] = at(rail);
        return (
          <g key={rail.join()}>
            <path d={`M${x - 16} ${y + 4}h32v16h-32Z`} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" />
            <text x={x + 22} y={y + 18} fill="var(--quiet)">
              rail
            </text>
          </g>
        );
      })}
      <path
        d={`M${clip[0]} ${clip[1]}Q${(clip[0] + port[0]) / 2} ${Math.max(clip[1], port[1]) + sag} ${port[0]} ${port[1]}`}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth="2.5"
        strokeDasharray="6 5"
      />
      <path
        d={`M${clip[0]} ${clip[1]}L${turn[0]} ${turn[1]}L${down[0]} ${down[1]}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="4"
        strokeLinejoin="round"
      />
      <path d={`M${port[0] + 34} ${port[1]}V${down[1]}`} stroke="var(--ink)" strokeWidth="1.5" />
      <path d={`M${port[0] + 28} ${port[1]}h12M${port[0] + 28} ${down[1]}h12`} stroke="var(--ink)" strokeWidth="1.5" />
      <text x={port[0] + 46} y={(port[1] + down[1]) / 2 + 8} className="reading" fontSize="24" fill="var(--ink)">
        {Math.floor(told.slack)}
        <tspan fontSize="16"> mm</tspan>
      </text>
      <path d={`M${clip[0] - 8} 12V${clip[1]}a8 8 0 0 0 16 0V12`} fill="none" stroke="var(--ink)" strokeWidth="3" />
      <text x={clip[0] - 26} y={clip[1] + 34} fill="var(--quiet)">
        clip
      </text>
      {[port, down].map(([x, y], i) => (
        <rect
          key={i}
          x={x - 8}
          y={y - 8}
          width="16"
          height="16"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="3"
          strokeDasharray={i === 0 ? '4 3' : undefined}
        />
      ))}
    </svg>
  );
}
