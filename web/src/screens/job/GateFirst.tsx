import { gateTitles, judgeGate } from '@iron-cradle/core';
import { useJob } from '../../log/useJob.ts';
import { Shape } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';

/** Where each gate is gone through. */
export const gateStation = { 1: 'safe', 2: 'drain', 3: 'bench' } as const;

interface GateFirstProps {
  gate: keyof typeof gateStation;
  onGate: () => void;
  onAllTheSame: () => void;
}

/**
 * The gate that stands before what comes next, with what is missing, in place of the main action. Who went on all the same
 * enters it by a second, plain action: it is flagged and printed.
 */
export function GateFirst({ gate, onGate, onAllTheSame }: GateFirstProps) {
  const { state } = useJob();
  const missing = judgeGate(state, gate).filter((j) => !j.through);
  const list = missing.map((j) => j.item.short).join(', ');
  return (
    <div className="gate-first" data-gate-open={gate}>
      <p className="flex items-start gap-2 font-semibold">
        <Shape outcome="bad" size={20} />
        <span>
          Gate {gate} is open, {gateTitles[gate]}: {list === '' ? 'ready, not passed yet' : list}.
        </span>
      </p>
      <Strap data-action="to-gate" onClick={onGate}>
        {`To gate ${gate}`}
      </Strap>
      <button type="button" className="link min-h-11" data-action="all-the-same" onClick={onAllTheSame}>
        It was done all the same: enter it, flagged
      </button>
    </div>
  );
}
