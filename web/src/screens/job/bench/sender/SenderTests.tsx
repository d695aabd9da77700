import type { UnitPart } from '@iron-cradle/core';
import { ArmForm } from './ArmForm.tsx';
import { ByMeter } from './ByMeter.tsx';
import { ByNeedle } from './ByNeedle.tsx';
import { DriverWord } from './DriverWord.tsx';

/** A sender: the driver's word, swept by meter or needle, its float measured at both stops. */
export function SenderTests({ part }: { part: UnitPart }) {
  return (
    <div className="grid gap-3">
      <DriverWord />
      <ByMeter part={part} />
      <ByNeedle part={part} />
      <ArmForm part={part} />
    </div>
  );
}
