import { lengthIn, lengthText } from '@iron-cradle/core';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useUnits } from '../../../app/units.ts';

interface StepKeyProps {
  way: 'higher' | 'lower';
  disabled?: boolean;
  onStep: () => void;
}

/** Ten millimetres up or down, beside the height it changes. */
export function StepKey({ way, disabled = false, onStep }: StepKeyProps) {
  const units = useUnits();
  const Icon = way === 'higher' ? ArrowUp : ArrowDown;
  return (
    <button
      type="button"
      className="btn min-h-16 w-16 flex-col gap-0 px-0 leading-none"
      data-action={way}
      aria-label={`${lengthText(10, units)} ${way}`}
      disabled={disabled}
      onClick={onStep}
    >
      <Icon size={20} aria-hidden />
      <span className="reading text-16">{lengthIn(10, units).figure}</span>
    </button>
  );
}
