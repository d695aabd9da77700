import { minutesInWords } from '@iron-cradle/core/foresight';
import { heightInWords, type PlanSheet, type SheetStop, type UnitSystem } from '@iron-cradle/core';
import { layoutSheet, PAGE, TYPE, type SheetPage } from './layout.ts';

interface DrawingProps {
  sheet: PlanSheet;
  name: string;
  made: string;
  units: UnitSystem;
}

/** The plan as pages that print: black on white, whatever the theme, their own fonts named so that each stands alone. */
export function PlanSheetDrawing({ sheet, name, made, units }: DrawingProps) {
  const { off, wayOff, wayBack } = sheet.travel;
  const [way, back] = off === 'down' ? (['Down', 'Up'] as const) : (['Out', 'Back in'] as const);
  const time = sheet.ahead
    ? ` ${way} in ${minutesInWords(sheet.ahead.minutes, sheet.ahead.open)}, hands and moves.`
    : '';
  const worth = sheet.certain ? 'This plan holds whatever is true.' : 'Only likely: look and creep.';
  const at = layoutSheet(sheet, { head: `${sheet.vehicle}. ${worth}${time}`, legs: [way, back] }, units);
  const height = (stop: SheetStop) => `${heightInWords(stop.pose, sheet, units)}${stop.down ? `: ${off}` : ''}`;
  const of = (n: number) => (at.pages.length > 1 ? `, page ${n} of ${at.pages.length}` : '');
  return at.pages.map((page, n) => (
    <svg
      key={n}
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${PAGE.width} ${PAGE.height}`}
      width="100%"
      role="img"
      aria-label={`plan of ${name}: ${sheet.down.length} heights on the ${wayOff}, ${sheet.up.length} on the ${wayBack}${of(n + 1)}`}
      fontFamily="'Archivo Variable', 'Archivo', 'Helvetica', sans-serif"
      fontSize={TYPE.text}
      fill="#000"
      className="plan-page"
    >
      <rect width={PAGE.width} height={PAGE.height} fill="#fff" />
      {n === 0 && (
        <>
          <text x="40" y="58" fontSize="30" fontWeight="700">
            {name}
          </text>
          <Lines lines={at.head} />
        </>
      )}
      <text x={PAGE.width - 40} y={n === 0 ? 58 : 28} textAnchor="end">
        {n === 0 ? '' : `${name}, `}
        {made}
        {of(n + 1)}
      </text>
      <Legs page={page} height={height} />
      {n === 0 && at.asks.length > 0 && (
        <>
          <text x="40" y={at.asksY} fontWeight="700">
            It must let
          </text>
          <Lines lines={at.asks} />
        </>
      )}
      <path d={`M40 ${at.ruleY}H${PAGE.width - 40}`} stroke="#000" strokeWidth="2" />
      <Lines lines={at.caution} />
    </svg>
  ));
}

const Lines = ({ lines }: { lines: readonly { x: number; y: number; text: string }[] }) =>
  lines.map(({ x, y, text }) => (
    <text key={`${x} ${y}`} x={x} y={y}>
      {text}
    </text>
  ));

/** What of the legs of the well stands on this page: heights on a rim, a box to tick for each step. */
function Legs({ page, height }: { page: SheetPage; height: (stop: SheetStop) => string }) {
  return (
    <g>
      {page.titles.map(({ text, x, y }) => (
        <text key={text} x={x} y={y} fontSize="20" fontWeight="700">
          {text}
        </text>
      ))}
      {page.rims.map(({ x, from, to }) => (
        <path key={`${x} ${from}`} d={`M${x + 4} ${from}V${to + 4}`} stroke="#000" strokeWidth="3" />
      ))}
      {page.heights.map(({ stop, x, y }) => (
        <g key={`${x} ${y}`}>
          <path d={`M${x - 4} ${y}h20`} stroke="#000" strokeWidth="5" />
          <text x={x + 24} y={y + 6} fontSize={TYPE.height} fontWeight="700" data-height>
            {height(stop)}
          </text>
        </g>
      ))}
      {page.lines.map(({ text, x, y, first }) => (
        <g key={`${x} ${y}`}>
          {first && <rect x={x + 14} y={y - 11} width="12" height="12" fill="none" stroke="#000" />}
          <text x={x + 32} y={y}>
            {text}
          </text>
        </g>
      ))}
    </g>
  );
}
