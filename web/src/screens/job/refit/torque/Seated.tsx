import { LIES, STRAIGHT_STRAP, STRAPS, type Lies, type StrapIs } from '@iron-cradle/core';
import { Choice } from '../../../../ui/Choice.tsx';

/** How it sits before it is pulled. */
export interface Sits {
  lies?: Lies;
  strap?: StrapIs;
}

interface SeatedProps {
  sits: Sits;
  /** Is it a strap? */
  strap: boolean;
  onSits: (sits: Sits) => void;
}

const options = <T extends string>(words: Record<T, string>) =>
  (Object.entries(words) as [T, string][]).map(([value, label]) => ({ value, label }));

/** Where the tank lies by its old marks, and which strap holds it: looked at before the first round. */
export const Seated = ({ sits, strap, onSits }: SeatedProps) => (
  <div className="grid gap-3 pb-4">
    <Choice
      label="The tank lies, by dirt lines and strap prints"
      value={sits.lies ?? null}
      options={options(LIES)}
      onChoose={(lies) => onSits({ ...sits, lies })}
    />
    {strap && (
      <Choice
        label="The strap is"
        value={sits.strap ?? null}
        options={options(STRAPS)}
        onChoose={(is) => onSits({ ...sits, strap: is })}
      />
    )}
    {sits.strap === 'straight' && <p className="border-l-4 border-look pl-3">{STRAIGHT_STRAP}</p>}
  </div>
);
