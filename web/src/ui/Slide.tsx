import { Slider } from 'radix-ui';

interface SlideProps {
  /** What is slid, for screen readers. */
  label: string;
  /** What it stands at, in words. */
  said?: string;
  min: number;
  max: number;
  step: number;
  value: number;
  onSlide: (value: number) => void;
}

/** Something slid along a line; it has a typed or tapped twin wherever it stands. */
export function Slide({ label, said, min, max, step, value, onSlide }: SlideProps) {
  return (
    <Slider.Root
      className="relative flex h-11 min-w-0 flex-1 touch-none items-center select-none"
      min={min}
      max={max}
      step={step}
      value={[value]}
      onValueChange={([next]) => next !== undefined && onSlide(next)}
    >
      <Slider.Track className="relative h-1.5 flex-1 bg-rule">
        <Slider.Range className="absolute h-full bg-ink" />
      </Slider.Track>
      <Slider.Thumb
        aria-label={label}
        {...(said === undefined ? {} : { 'aria-valuetext': said })}
        className="block h-9 w-5 cursor-grab border-2 border-sheet bg-work active:cursor-grabbing"
      />
    </Slider.Root>
  );
}
