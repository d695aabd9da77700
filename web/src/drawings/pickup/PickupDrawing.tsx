import type { PickupPlan } from '@iron-cradle/core';
import { HatchDefs } from '../../look/Shapes.tsx';

/** A pick-up as far as it was typed. */
export type DrawnPickup = Partial<Pick<PickupPlan, 'toFloor' | 'gasket'>> & {
  float?: Partial<NonNullable<PickupPlan['float']>>;
  back?: Partial<NonNullable<PickupPlan['back']>>;
};

interface PickupDrawingProps {
  plan: DrawnPickup;
  /** mm its end stands above the floor; null: not judged yet. */
  above: number | null;
  /** mm to cut; null: not judged yet. */
  cut: number | null;
}

/** Where the pick-up hangs on the drawing, and how much of it the depth takes. */
const VIEW = { width: 400, height: 300, top: 48, floor: 262, x: 132 };

/** The tank in section at its opening: where to cut, the float’s arc, the return’s end, what stays below; to scale of the depth. */
export function PickupDrawing({ plan, above, cut }: PickupDrawingProps) {
  const depth = plan.toFloor && plan.toFloor > 0 ? plan.toFloor : null;
  const scale = (VIEW.floor - VIEW.top) / (depth ?? 250);
  const end = VIEW.floor - (above ?? (depth ?? 250) * 0.05) * scale;
  const { float, back } = plan;
  const pivot =
    float?.pivot !== undefined && float.away !== undefined && float.arm !== undefined
      ? {
          x: VIEW.x + float.away * scale,
          y: VIEW.top + float.pivot * scale,
          arm: float.arm * scale,
          half: ((float.across ?? 30) / 2) * scale,
        }
      : null;
  const reach = pivot ? pivot.arm + pivot.half : 0;
  return (
    <svg viewBox={`0 0 ${VIEW.width} ${VIEW.height}`} className="block w-full" aria-hidden>
      <defs>
        <HatchDefs id="pickup-stays" color="var(--quiet)" />
        <clipPath id="pickup-tank">
          <rect x="14" y={VIEW.top} width="372" height={VIEW.floor - VIEW.top} />
        </clipPath>
      </defs>
      {above !== null && (
        <rect x="14" y={end} width="372" height={Math.max(0, VIEW.floor - end)} fill="url(#pickup-stays)" />
      )}
      <path
        d={`M96 ${VIEW.top}H14V${VIEW.floor}H386V${VIEW.top}H${VIEW.x + 46}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="4"
        strokeLinejoin="round"
      />
      {pivot && (
        <g clipPath="url(#pickup-tank)">
          <circle
            cx={pivot.x}
            cy={pivot.y}
            r={reach}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="2"
            strokeDasharray="3 5"
          />
          <path
            d={`M${pivot.x} ${pivot.y}l${pivot.arm * 0.8} ${pivot.arm * 0.6}`}
            stroke="var(--ink)"
            strokeWidth="3"
          />
          <rect
            x={pivot.x + pivot.arm * 0.8 - pivot.half}
            y={pivot.y + pivot.arm * 0.6 - pivot.half * 0.5}
            width={pivot.half * 2}
            height={pivot.half}
            rx={pivot.half / 2}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="2.5"
          />
          <rect x={pivot.x - 5} y={pivot.y - 5} width="10" height="10" fill="var(--ink)" />
        </g>
      )}
      {back?.above !== undefined && back.away !== undefined && (
        <path
          d={`M${Math.min(370, VIEW.x + back.away * scale)} ${VIEW.top}V${VIEW.floor - back.above * scale}`}
          stroke="var(--ink)"
          strokeWidth="7"
          strokeDasharray="1 0"
          opacity="0.45"
        />
      )}
      <rect x="92" y={VIEW.top - 14} width="86" height="8" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" />
      <rect x="96" y={VIEW.top - 5} width="78" height="5" fill="var(--ink)" />
      <path
        d={`M${VIEW.x - 6} ${VIEW.top - 30}V${end}H${VIEW.x + 6}V${VIEW.top - 30}`}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      {cut !== null && (
        <>
          <path d={`M${VIEW.x - 40} ${end}H${VIEW.x + 40}`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="6 4" />
          <path
            d={`M62 ${VIEW.top - 6}V${end}M56 ${VIEW.top - 6}h12M56 ${end}h12`}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
          <text
            x="56"
            y={(VIEW.top + end) / 2}
            textAnchor="end"
            className="reading"
            fontSize="22"
            fill="var(--ink)"
            dy="0.35em"
          >
            {cut}
          </text>
        </>
      )}
      <text x="386" y="30" textAnchor="end" fontSize="16" fill="var(--quiet)">
        {depth ? 'to scale of the depth' : 'not to scale yet'}
      </text>
    </svg>
  );
}
