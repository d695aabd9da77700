import { minutesInWords } from '@iron-cradle/core/foresight';
import { heightInWords, type PlanSheet, type SheetStop, type UnitSystem } from '@iron-cradle/core';
import { layoutSheet, PAGE, type SheetLine } from './layout.ts';

interface DrawingProps {
  sheet: PlanSheet;
  name: string;
  made: string;
  units: UnitSystem;
}

/** The plan as one page that prints: black on white, whatever the theme, its own fonts named so that it stands alone. */
export function PlanSheetDrawing({ sheet, name, made, units }: DrawingProps) {
  const at = layoutSheet(sheet, units);
  const { off, wayOff, wayBack } = sheet.travel;
  const height = (stop: SheetStop) => `${heightInWords(stop.pose, sheet, units)}${stop.down ? `: ${off}` : ''}`;
  return (
    <svg
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${PAGE.width} ${PAGE.height}`}
      width="100%"
      role="img"
      aria-label={`plan of ${name}: ${sheet.down.length} heights on the ${wayOff}, ${sheet.up.length} on the ${wayBack}`}
      fontFamily="'Archivo Variable', 'Archivo', 'Helvetica', sans-serif"
      fill="#000"
    >
      <rect width={PAGE.width} height={PAGE.height} fill="#fff" />
      <text x="40" y="58" fontSize="30" fontWeight="700">
        {name}
      </text>
      <text x={PAGE.width - 40} y="58" fontSize="13" textAnchor="end">
        {made}
      </text>
      <text x="40" y="82" fontSize="14">
        {sheet.vehicle}. {sheet.certain ? 'This plan holds whatever is true.' : 'Only likely: look and creep.'}
        {sheet.ahead
          ? ` ${off === 'down' ? 'Down' : 'Out'} in ${minutesInWords(sheet.ahead.minutes, sheet.ahead.open)}, hands and moves.`
          : ''}
      </text>
      <Leg title={off === 'down' ? 'Down' : 'Out'} stops={at.down} x={40} height={height} />
      <Leg title={off === 'down' ? 'Up' : 'Back in'} stops={at.up} x={PAGE.width / 2 + 50} height={height} />
      {at.asks.length > 0 && (
        <g fontSize="13">
          <text x="40" y={at.asksY} fontWeight="700">
            It must let
          </text>
          {at.asks.map((a) => (
            <text key={a.text} x={a.x} y={a.y}>
              {a.text}
            </text>
          ))}
        </g>
      )}
      <path d={`M40 ${PAGE.height - 66}H${PAGE.width - 40}`} stroke="#000" strokeWidth="2" />
      {at.caution.map((text, i) => (
        <text key={text} x="40" y={PAGE.height - 46 + i * 17} fontSize="13">
          {text}
        </text>
      ))}
    </svg>
  );
}

/** One leg of the well: heights on a rim, a box to tick for each hand's step. */
function Leg({
  title,
  stops,
  x,
  height,
}: {
  title: string;
  stops: { stop: SheetStop; y: number; lines: SheetLine[] }[];
  x: number;
  height: (stop: SheetStop) => string;
}) {
  const last = stops.at(-1);
  return (
    <g>
      <text x={x} y="118" fontSize="20" fontWeight="700">
        {title}
      </text>
      {stops.length === 0 && (
        <text x={x} y="146" fontSize="14">
          No way with these figures: measure what holds.
        </text>
      )}
      {last && <path d={`M${x + 4} 132V${last.y + 4}`} stroke="#000" strokeWidth="3" />}
      {stops.map(({ stop, y, lines }) => (
        <g key={stop.n}>
          <path d={`M${x - 4} ${y}h20`} stroke="#000" strokeWidth="5" />
          <text x={x + 24} y={y + 6} fontSize="17" fontWeight="700">
            {height(stop)}
          </text>
          {lines.map((line) => (
            <g key={line.y}>
              {line.first && <rect x={x + 25} y={line.y - 9} width="10" height="10" fill="none" stroke="#000" />}
              <text x={x + 42} y={line.y} fontSize={line.size}>
                {line.text}
              </text>
            </g>
          ))}
        </g>
      ))}
    </g>
  );
}
