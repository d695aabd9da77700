import { MOST, ownUnit, type JobState } from '@iron-cradle/core';
import { useMainUnit } from '../../../app/units.ts';

const BOX = { x: 40, y: 150, width: 560, height: 130 };
const GAUGE = { x: 690, y: 92, r: 52 };

/** The tank as it is held: every port plugged, or at home its lines on and shut off, under its number; gauge, relief and hand pump on one of them. */
export function HoldRig({ state, where }: { state: JobState; where: 'bench' | 'home' }) {
  const us = useMainUnit() === 'us';
  const most = ownUnit(state.vehicle.tank.holdMost ?? MOST, 'pressure', us ? 'inH2O' : 'kPa');
  // A wire has no opening to plug.
  const ports = [...state.vehicle.connections]
    .filter(({ kind }) => kind !== 'plug' && kind !== 'ground')
    .sort((a, b) => a.x - b.x);
  const apart = (BOX.width - 80) / Math.max(1, ports.length - 1);
  const share = Math.min(0.85, Math.max(0.1, state.fuel.aboard.typ / state.vehicle.tank.litres.typ));
  const fuel = BOX.y + BOX.height * (1 - share);
  const at = (i: number) => BOX.x + 40 + i * apart;
  return (
    <svg
      viewBox="0 0 760 310"
      className="mx-auto block w-full max-w-3xl"
      role="img"
      aria-label={`${where === 'home' ? 'shut off' : 'plug'} ${ports.map(({ name }) => name).join(', ')}; gauge, relief and hand pump on one of them`}
    >
      <path
        d={`M${BOX.x + 26} ${BOX.y}H${BOX.x + BOX.width - 26}l26 26v${BOX.height - 52}l-26 26H${BOX.x + 26}l-26 -26v-${BOX.height - 52}Z`}
        fill="var(--well)"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      {where === 'home' && (
        <path
          d={`M${BOX.x + 3} ${fuel}H${BOX.x + BOX.width - 3}V${BOX.y + BOX.height - 27}l-25 25H${BOX.x + 28}l-25 -25Z`}
          fill="var(--work)"
          opacity="0.35"
        />
      )}
      <path
        d={`M${BOX.x} ${BOX.y + BOX.height / 2}H${BOX.x + BOX.width}`}
        stroke="var(--edge)"
        strokeWidth="2"
        strokeDasharray="10 5"
      />
      {ports.map((port, i) => {
        const [x, last] = [at(i), i === ports.length - 1];
        const y = BOX.y - 18;
        return (
          <g key={port.id}>
            <rect x={x - 7} y={y} width="14" height="18" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
            {!last && where === 'bench' && <path d={`M${x - 12} ${y}h24v-10h-24Z`} fill="var(--ink)" />}
            {!last && where === 'home' && (
              // A line that goes on, pinched shut.
              <>
                <path d={`M${x} ${y}v-13`} stroke="var(--ink)" strokeWidth="6" />
                <path d={`M${x - 11} ${y - 9}h22`} stroke="var(--ink)" strokeWidth="4" />
              </>
            )}
            <text
              x={last ? x - 14 : x}
              y={y - 18 - (i % 2) * 24}
              fontSize="17"
              textAnchor={last ? 'end' : 'middle'}
              fill="var(--ink)"
              fontWeight="600"
            >
              {state.numbers[`line:${port.id}`] ?? ''} {port.name.replace(/ (line|hose)$/, '')}
            </text>
          </g>
        );
      })}
      {ports.length > 0 && (
        <path
          d={`M${at(ports.length - 1)} ${BOX.y - 18}V40H${GAUGE.x - 90}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="4"
        />
      )}
      <path d={`M${GAUGE.x - 90} 40H${GAUGE.x}V${GAUGE.y - GAUGE.r}`} fill="none" stroke="var(--ink)" strokeWidth="4" />
      <circle cx={GAUGE.x} cy={GAUGE.y} r={GAUGE.r} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" />
      {Array.from({ length: 9 }, (_, i) => {
        const angle = Math.PI * (0.75 + (1.5 * i) / 8);
        const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
        return (
          <path
            key={i}
            d={`M${GAUGE.x + cos * 42} ${GAUGE.y + sin * 42}L${GAUGE.x + cos * 49} ${GAUGE.y + sin * 49}`}
            stroke={i > 6 ? 'var(--halt)' : 'var(--ink)'}
            strokeWidth="2"
          />
        );
      })}
      <path d={`M${GAUGE.x} ${GAUGE.y}L${GAUGE.x - 28} ${GAUGE.y + 28}`} stroke="var(--ink)" strokeWidth="3" />
      <text x={GAUGE.x} y={GAUGE.y + GAUGE.r + 22} fontSize="17" textAnchor="middle" fill="var(--quiet)">
        at most {most.toFixed(1)} {us ? 'inH2O' : 'kPa'}
      </text>
      <path
        d={`M${GAUGE.x - 60} 40v-16h-12l12 -14 12 14h-12`}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <text x={GAUGE.x - 78} y="22" fontSize="17" textAnchor="end" fill="var(--quiet)">
        relief
      </text>
      <path
        d={`M${GAUGE.x} ${GAUGE.y + GAUGE.r + 40}c-34 0 -40 60 0 60s34 -60 0 -60Z`}
        fill="var(--ink)"
        stroke="var(--ink)"
      />
      <text x={GAUGE.x} y={GAUGE.y + GAUGE.r + 122} fontSize="17" textAnchor="middle" fill="var(--quiet)">
        by hand
      </text>
    </svg>
  );
}
