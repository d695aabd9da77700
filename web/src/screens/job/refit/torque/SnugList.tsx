import { SNUG, type Snug } from '@iron-cradle/core';
import { Checkbox } from 'radix-ui';

/** Without a figure no number: what is looked at instead, each ticked by itself. */
export function SnugList({ ticked, onTick }: { ticked: readonly Snug[]; onTick: (ticked: Snug[]) => void }) {
  return (
    <ul className="ruled" aria-label="instead of a number">
      {(Object.keys(SNUG) as Snug[]).map((one) => {
        const on = ticked.includes(one);
        return (
          <li key={one}>
            <Checkbox.Root
              checked={on}
              data-snug={one}
              className="flex min-h-16 w-full items-center gap-4 text-left"
              onCheckedChange={(next) => onTick(next === true ? [...ticked, one] : ticked.filter((had) => had !== one))}
            >
              <span className="narrow flex-1 text-20">{SNUG[one]}</span>
              <span
                aria-hidden
                className={`size-8 shrink-0 rounded-[2px] border-2 ${on ? 'border-ink bg-ink' : 'border-edge'}`}
              />
            </Checkbox.Root>
          </li>
        );
      })}
    </ul>
  );
}
