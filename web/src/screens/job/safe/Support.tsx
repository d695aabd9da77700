import {
  byJack,
  InputError,
  postBalance,
  raiseHeight,
  tankMass,
  type Estimate,
  type ExitWay,
  type Verdict,
  fuelCelsius,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { useShop } from '../../../net/queries.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

const exits: { id: ExitWay; label: string }[] = [
  { id: 'overJack', label: 'Over the jack' },
  { id: 'flat', label: 'Flat, by hand' },
  { id: 'board', label: 'On a board' },
  { id: 'under', label: 'It stays lying' },
];

/** Where the vehicle stands: how high for the way the tank leaves, and the balance once it is gone. */
export function Support() {
  const { state } = useJob();
  const shop = useShop().data;
  const [open, setOpen] = useState(false);
  const { shape } = state.vehicle.tank;
  // Nothing goes under it where hands carry it: no jack, no lift.
  if (!byJack(state.vehicle))
    return <p className="text-quiet">It is carried by hand: it stays on its wheels, chocked.</p>;
  if (!shop) return null;
  const jack = shop.kit.jackLowered;
  return (
    <div className="grid gap-3">
      <ul className="ruled border-y border-rule" aria-label="how high it must stand">
        {exits.map(({ id, label }) => {
          const { mm, how } = raiseHeight(id, shape.height, jack);
          return (
            <li key={id} className="flex items-baseline justify-between gap-3 py-2">
              <span>
                {label} <span className="text-quiet">{how}</span>
              </span>
              <span className="reading shrink-0">{mm.typ > 0 ? `${mm.typ} mm` : 'as it is'}</span>
            </li>
          );
        })}
      </ul>
      <p className="text-quiet">
        Lowest point of the vehicle above the floor. The lowered jack stands {jack} mm high, by shop rule.
      </p>
      <button type="button" className="btn" data-action="balance" onClick={() => setOpen(true)}>
        Balance on a two-post lift
      </button>
      <Balance open={open} onClose={() => setOpen(false)} />
    </div>
  );
}

const fields = [
  { id: 'front', label: 'Front axle', dimension: 'mass', unit: 'kg', factor: 1 },
  { id: 'rear', label: 'Rear axle', dimension: 'mass', unit: 'kg', factor: 1 },
  { id: 'wheelbase', label: 'Wheelbase', dimension: 'length', unit: 'mm', factor: 1000 },
  { id: 'posts', label: 'Middle of the arms, behind the front axle', dimension: 'length', unit: 'mm', factor: 1000 },
  { id: 'tank', label: 'Middle of the tank, behind the front axle', dimension: 'length', unit: 'mm', factor: 1000 },
  { id: 'arms', label: 'From that middle to an arm, along the vehicle', dimension: 'length', unit: 'mm', factor: 1000 },
] as const;
type Field = (typeof fields)[number]['id'];

function Balance({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state } = useJob();
  const [values, setValues] = useState<Partial<Record<Field, number>>>({});
  const all = fields.every((f) => values[f.id] !== undefined);
  let verdict: Verdict | null = null;
  let problem: string | null = null;
  if (all)
    try {
      verdict = postBalance(
        values as Record<Field, number>,
        tankMass(state.vehicle, state.fuel.aboard, fuelCelsius(state)),
      ).verdict;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      problem = `${error.field}: expected ${error.expected}.`;
    }
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title="Balance before and after"
      hint="A heavy tank behind the rear axle holds the front up. Lifting points come from the service information."
    >
      <div className="grid gap-x-4 mid:grid-cols-2">
        {fields.map((f) => (
          <QuantityField
            key={f.id}
            label={f.label}
            dimension={f.dimension}
            unit={f.unit}
            decimals={0}
            onRead={(v: Estimate | null) =>
              setValues((old) => {
                const { [f.id]: _, ...rest } = old;
                return v ? { ...rest, [f.id]: v.typ * f.factor } : rest;
              })
            }
          />
        ))}
      </div>
      <div className="min-h-16 pt-3" aria-live="polite">
        {problem && <p className="font-semibold text-halt">{problem}</p>}
        {verdict && <VerdictView verdict={verdict} />}
        {!all && <p className="text-quiet">Six figures, and it says where the weight goes.</p>}
      </div>
    </Sheet>
  );
}
