import { STRAIGHT_STRAP, type Lies, type StrapIs } from '@iron-cradle/core';
import { Choice } from '../../../../ui/Choice.tsx';

/** How it sits before it is pulled. */
export interface Sits {
  /** Where the tank lies. */
  lies?: Lies;
  /** Which strap it is. */
  strap?: StrapIs;
}

interface SeatedProps {
  sits: Sits;
  /** Is it a strap? */
  strap: boolean;
  onSits: (sits: Sits) => void;
}

/** Short enough for three beside each other on a phone. */
const lies: Record<Lies, string> = { marks: 'On its marks', off: 'Off its marks', none: 'None seen' };
const straps: Record<StrapIs, string> = { same: 'The same', shaped: 'Another, bent', straight: 'Another, straight' };

const options = <T extends string>(words: Record<T, string>) =>
  (Object.entries(words) as [T, string][]).map(([value, label]) => ({ value, label }));

/** Where the tank lies by its old marks, and which strap holds it: looked at before the first round. */
export const Seated = ({ sits, strap, onSits }: SeatedProps) => (
  <div className="grid gap-3 py-3">
    <Choice
      label={`The tank lies, by dirt lines and ${strap ? 'strap' : 'old'} prints`}
      columns="grid-cols-3"
      value={sits.lies ?? null}
      options={options(lies)}
      onChoose={(is) => onSits({ ...sits, lies: is })}
    />
    {strap && (
      <Choice
        label="The strap is"
        columns="grid-cols-3"
        value={sits.strap ?? null}
        options={options(straps)}
        onChoose={(is) => onSits({ ...sits, strap: is })}
      />
    )}
    {sits.strap === 'straight' && <p className="border-l-4 border-look pl-3">{STRAIGHT_STRAP}</p>}
  </div>
);
