/** What of a circuit can be touched. */
export type CircuitPlace = 'fuse' | 'relay' | 'feed' | 'amps' | 'ground' | 'bond';

interface CircuitDrawingProps {
  /** What was said of each, in words; left out: nobody read it yet. */
  said: Partial<Record<CircuitPlace, string>>;
  /** What is wrong. */
  bad: readonly CircuitPlace[];
  chosen: CircuitPlace | null;
  onChoose: ((place: CircuitPlace) => void) | undefined;
}

const NAMES: Record<CircuitPlace, string> = {
  fuse: 'fuse',
  relay: 'relay',
  feed: 'feed wire',
  amps: 'pump',
  ground: 'ground',
  bond: 'bond',
};
/** Where each is touched: its middle, and its half size. */
const AT: Record<CircuitPlace, { x: number; y: number; w: number; h: number }> = {
  fuse: { x: 190, y: 62, w: 44, h: 36 },
  relay: { x: 320, y: 62, w: 44, h: 36 },
  feed: { x: 480, y: 62, w: 80, h: 36 },
  amps: { x: 612, y: 172, w: 62, h: 48 },
  ground: { x: 400, y: 286, w: 100, h: 36 },
  bond: { x: 700, y: 286, w: 56, h: 36 },
};

/** From the battery through fuse, relay and wire to the pump, and back through the ground; each is touched where it is. */
export function CircuitDrawing({ said, bad, chosen, onChoose }: CircuitDrawingProps) {
  const line = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 3 } as const;
  const tone = (place: CircuitPlace) => (bad.includes(place) ? 'var(--halt)' : 'var(--ink)');
  return (
    <svg viewBox="20 10 760 326" className="block w-full max-w-3xl" role="group" aria-label="the pump’s circuit">
      <path d="M84 148V62H146" {...line} />
      <path d="M234 62H276M364 62H400" {...line} />
      {/* The wire as a rope with its strands. */}
      <path d="M400 62H612V124" {...line} stroke={tone('feed')} strokeWidth={7} />
      <path d="M400 62H612V124" {...line} stroke="var(--sheet)" strokeWidth={2} strokeDasharray="9 7" />
      <path d="M612 220V286H500M300 286H84V232" {...line} />
      <path d="M500 286H300" {...line} stroke={tone('ground')} strokeWidth={7} />
      {/* Battery. */}
      <path d="M44 148h80v84h-80Z" fill="var(--well)" stroke="var(--ink)" strokeWidth="3" />
      <path d="M62 148v-12h14v12M92 148v-12h14v12" fill="var(--ink)" />
      <text x="84" y="198" fontSize="18" textAnchor="middle" fill="var(--ink)">
        battery
      </text>
      {/* Fuse: a blade with its thread. */}
      <path d="M146 46h88v32h-88Z" fill="var(--sheet)" stroke={tone('fuse')} strokeWidth="3" />
      <path d="M146 62h16c14 0 14 -10 28 -10s14 20 28 20h16" fill="none" stroke={tone('fuse')} strokeWidth="2" />
      {/* Relay: coil and arm. */}
      <path d="M276 40h88v44h-88Z" fill="var(--sheet)" stroke={tone('relay')} strokeWidth="3" />
      <path d="M288 62h18l26 -14M338 62h14" fill="none" stroke={tone('relay')} strokeWidth="3" />
      <path d="M300 76h10M314 76h10M328 76h10" stroke={tone('relay')} strokeWidth="3" />
      {/* Plug and pump in the tank. */}
      <path d="M540 132h220v80l-22 22h-176l-22 -22Z" fill="var(--well)" stroke="var(--edge)" strokeWidth="2" />
      <circle cx="612" cy="172" r="46" fill="var(--sheet)" stroke={tone('amps')} strokeWidth="3" />
      <path d="M612 142l26 44h-52Z" fill="none" stroke={tone('amps')} strokeWidth="3" />
      <path d="M600 118h24v14h-24Z" fill="var(--ink)" />
      {/* Neck and its bond to the body. */}
      <path d="M720 132v-54l26 -26" fill="none" stroke="var(--ink)" strokeWidth="9" />
      <path d="M726 92c24 30 6 120 -26 176" fill="none" stroke={tone('bond')} strokeWidth="3" strokeDasharray="7 5" />
      {/* Body. */}
      <path d="M240 312h320M640 312h120" stroke="var(--ink)" strokeWidth="5" />
      <path d="M400 286v26M700 268v44" stroke={tone('ground')} strokeWidth="3" />
      {Array.from({ length: 16 }, (_, i) => (
        <path key={i} d={`M${250 + i * 20} 312l-10 14`} stroke="var(--ink)" strokeWidth="2" />
      ))}
      {Array.from({ length: 6 }, (_, i) => (
        <path key={i} d={`M${652 + i * 20} 312l-10 14`} stroke="var(--ink)" strokeWidth="2" />
      ))}
      {(Object.keys(AT) as CircuitPlace[]).map((place) => {
        const { x, y, w, h } = AT[place];
        const above = y < 100;
        return (
          <g
            key={place}
            role={onChoose ? 'button' : undefined}
            tabIndex={onChoose ? 0 : undefined}
            aria-pressed={onChoose ? chosen === place : undefined}
            aria-label={`${NAMES[place]}${said[place] ? `, ${said[place]}` : ''}`}
            data-circuit={place}
            className={onChoose ? 'cursor-pointer' : undefined}
            onClick={() => onChoose?.(place)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              onChoose?.(place);
            }}
          >
            <rect x={x - w} y={y - h} width={2 * w} height={2 * h} fill="transparent" />
            {chosen === place && (
              <rect x={x - w} y={y - h} width={2 * w} height={2 * h} fill="none" stroke="var(--ink)" strokeWidth="7" />
            )}
            {chosen === place && (
              <rect
                x={x - w}
                y={y - h}
                width={2 * w}
                height={2 * h}
                fill="none"
                stroke="var(--paint)"
                strokeWidth="4"
              />
            )}
            {/* Above the line there is room for two words, beside pump and ground for one. */}
            <text
              x={x}
              y={above ? y - h + 2 : place === 'amps' ? 232 : y - 14}
              fontSize="18"
              textAnchor="middle"
              fill={said[place] && !above && place !== 'amps' ? tone(place) : 'var(--quiet)'}
            >
              {NAMES[place]}
              {said[place] && !above && place !== 'amps' ? ` ${said[place]}` : ''}
            </text>
            {said[place] && (above || place === 'amps') && (
              <text
                x={x}
                y={above ? y + h + 14 : 207}
                fontSize={above ? 19 : 17}
                textAnchor="middle"
                className="reading"
                fill={tone(place)}
                fontWeight="600"
              >
                {said[place]}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
