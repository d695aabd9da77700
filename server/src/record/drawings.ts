import { judgeHeld, traceOf, type Chord, type HeldBody } from '@iron-cradle/core';

const INK = '#141C1E';
const QUIET = '#4C575B';
const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** What the drawing writes may be written by its one font. */
const plain = (text: string): string => escaped(text.replace(/[^\u0020-\u007e\u00a0-\u00ff\u2013\u2019\u2212]/g, '?'));

const WELL = { width: 250, height: 320, left: 46, right: 150, top: 30, floor: 292 };

/** Labels as near to their wish as may be, in their order, none on another and all of them in sight. */
function apart(
  wishes: readonly number[],
  { step, least, most }: { step: number; least: number; most: number },
): number[] {
  let last = least - step;
  const placed = wishes.map((wish) => (last = Math.max(wish, last + step)));
  for (let i = placed.length - 1, limit = most; i >= 0; i--, limit -= step) placed[i] = Math.min(placed[i]!, limit);
  return placed;
}

/**
 * The well as it prints: every chord from the height where it came off to where it went back, its number and name, and the letters of
 * photos taken of it.
 *
 * @example wellSvg(record.chords, new Map([['line:feed', 'a']])) // '<svg …'
 */
export function wellSvg(chords: readonly Chord[], letters: ReadonlyMap<string, string>): string {
  const { width, height, left, right, top, floor } = WELL;
  const deepest = Math.max(80, ...chords.flatMap(({ from, by, back }) => [from, by, back ?? 0]));
  const y = (drop: number) => top + (Math.max(0, drop) / deepest) * (floor - top);
  const step = Math.min(24, (floor - top) / Math.max(1, chords.length));
  const sorted = [...chords].sort((a, b) => (a.back ?? a.by) - (b.back ?? b.by));
  const labels = apart(
    sorted.map((chord) => y(chord.back ?? chord.by)),
    { step, least: top, most: floor },
  );
  const lines = sorted.map((chord, i) => {
    const [y1, y2] = [y(chord.from), y(chord.back ?? chord.by)];
    const label = labels[i]!;
    const dash = chord.open ? '' : ' stroke-dasharray="3 3"';
    const letter = letters.get(chord.key);
    return `<path d="M${left} ${y1}L${right} ${y2}" stroke="${INK}" stroke-width="${chord.open ? 3 : 1.2}"${dash}/>
<path d="M${right} ${y2}L${right + 10} ${label}" stroke="${QUIET}" stroke-width="0.8"/>
<text x="${right + 13}" y="${label + 4}" font-size="11" font-family="Archivo" fill="${INK}">${plain(`${chord.tag ?? ''} ${chord.name}${letter ? ` (${letter})` : ''}`.trim())}</text>`;
  });
  const ticks = [0, 0.5, 1].map((share) => {
    const drop = Math.round((share * deepest) / 5) * 5;
    return `<path d="M${left - 6} ${y(drop)}H${left}" stroke="${INK}" stroke-width="1"/>
<text x="${left - 9}" y="${y(drop) + 4}" font-size="11" text-anchor="end" font-family="Archivo" fill="${QUIET}">${drop}</text>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">
<path d="M10 ${top}H${left}V${floor}H${right}V${top}H${right + 34}" fill="none" stroke="${INK}" stroke-width="2.5"/>
<text x="${left}" y="${top - 10}" font-size="11" text-anchor="middle" font-family="Archivo" fill="${QUIET}">down</text>
<text x="${right}" y="${top - 10}" font-size="11" text-anchor="middle" font-family="Archivo" fill="${QUIET}">up</text>
<text x="${(left + right) / 2}" y="${floor + 16}" font-size="11" text-anchor="middle" font-family="Archivo" fill="${QUIET}">bench, mm of travel</text>
${ticks.join('\n')}
${lines.join('\n')}
</svg>`;
}

const CHART = { width: 250, height: 150, left: 40, right: 240, top: 12, floor: 120 };

/**
 * A hold: its readings, the line through them with its band, and the limit hole from the same start; null where there is no line.
 *
 * @example holdSvg(entry.body)?.startsWith('<svg')
 */
export function holdSvg(body: HeldBody): string | null {
  const judged = judgeHeld(body);
  const lasted = body.readings.at(-1)![0] - body.readings[0]![0];
  const trace = traceOf(judged, lasted, 25);
  if (trace.length === 0) return null;
  const readings = body.readings.map(([at, pa]): [number, number] => [at - body.readings[0]![0], Math.abs(pa)]);
  const most = Math.max(...readings.map(([, pa]) => pa), ...trace.map(({ line }) => line.hi));
  const { width, height, left, right, top, floor } = CHART;
  const x = (at: number) => left + (at / Math.max(1, lasted)) * (right - left);
  const y = (pa: number) => floor - (Math.max(0, pa) / most) * (floor - top);
  const path = (of: (one: (typeof trace)[number]) => number) =>
    trace.map((one, i) => `${i === 0 ? 'M' : 'L'}${x(one.at).toFixed(1)} ${y(of(one)).toFixed(1)}`).join('');
  // As many points as the paper can show.
  const each = Math.max(1, Math.ceil(readings.length / 120));
  const points = readings
    .filter((_, i) => i % each === 0)
    .map(([at, pa]) => `<circle cx="${x(at).toFixed(1)}" cy="${y(pa).toFixed(1)}" r="1" fill="${QUIET}"/>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">
<path d="M${left} ${top}V${floor}H${right}" fill="none" stroke="${INK}" stroke-width="1.5"/>
${points.join('')}
<path d="${path(({ line }) => line.hi)}" fill="none" stroke="${INK}" stroke-width="0.6" stroke-dasharray="2 2"/>
<path d="${path(({ line }) => line.lo)}" fill="none" stroke="${INK}" stroke-width="0.6" stroke-dasharray="2 2"/>
<path d="${path(({ line }) => line.typ)}" fill="none" stroke="${INK}" stroke-width="1.6"/>
<path d="${path(({ limit }) => limit.lo)}" fill="none" stroke="#8C1C13" stroke-width="1.6" stroke-dasharray="6 3"/>
<text x="${left - 4}" y="${y(most) + 8}" font-size="11" text-anchor="end" font-family="Archivo" fill="${QUIET}">${(most / 1000).toFixed(1)}</text>
<text x="${left - 4}" y="${floor}" font-size="11" text-anchor="end" font-family="Archivo" fill="${QUIET}">0</text>
<text x="4" y="${(top + floor) / 2}" font-size="11" font-family="Archivo" fill="${QUIET}">kPa</text>
<text x="${right}" y="${floor + 14}" font-size="11" text-anchor="end" font-family="Archivo" fill="${QUIET}">${Math.round(lasted)} s</text>
<text x="${left}" y="${floor + 28}" font-size="11" font-family="Archivo" fill="${QUIET}">dashed red: the limit hole</text>
</svg>`;
}
