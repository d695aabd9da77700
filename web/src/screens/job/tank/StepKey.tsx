import { lengthIn, lengthText, type TravelWords } from '@iron-cradle/core';
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from 'lucide-react';
import { useUnits } from '../../../app/units.ts';

interface StepKeyProps {
  way: 'nearer' | 'further';
  travel: TravelWords;
  disabled?: boolean;
  onStep: () => void;
}

const icons: Record<string, typeof ArrowUp> = { higher: ArrowUp, lower: ArrowDown };

/** Ten millimetres towards its place or away from it, beside the height it changes. */
export function StepKey({ way, travel, disabled = false, onStep }: StepKeyProps) {
  const units = useUnits();
  const Icon = icons[travel[way]] ?? (way === 'nearer' ? ArrowLeft : ArrowRight);
  return (
    <button
      type="button"
      className="btn min-h-16 w-16 flex-col gap-0 px-0 leading-none"
      data-action={way}
      aria-label={`${lengthText(10, units)} ${travel[way]}`}
      disabled={disabled}
      onClick={onStep}
    >
      <Icon size={20} aria-hidden />
      <span className="reading text-16">{lengthIn(10, units).figure}</span>
    </button>
  );
}
