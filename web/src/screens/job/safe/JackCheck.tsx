import { byJack, kilograms, mm, onJack, rounded, type Estimate } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { useShop } from '../../../net/queries.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { Words } from '../../../ui/Words.tsx';

/** The shop's jack under it with so much in it: where its pad goes, whether it carries; nothing where hands carry the tank. */
export function JackCheck({ litres }: { litres: Estimate }) {
  const { state } = useJob();
  const shop = useShop().data;
  if (!shop || !byJack(state.vehicle)) return null;
  const jack = { rated: shop.kit.jackRated, pad: shop.kit.jackPad };
  const { under, verdict, two } = onJack(state.vehicle, litres, jack);
  const end = state.vehicle.ends[0];
  return (
    <div className="grid gap-2" data-jack={verdict.outcome}>
      <p>
        Pad at <Place at={under} /> from the {end} end, under the middle of the weight.
      </p>
      <VerdictView verdict={verdict} />
      {two && (
        <section aria-label="on two jacks" className="grid gap-2 border-t border-rule pt-3">
          <p>
            Or two, at <Place at={two.at[0]} /> and <Place at={two.at[1]} /> from the {end} end:{' '}
            <Words of={[rounded(kilograms, two.loads[0], 1)]} /> and{' '}
            <Words of={[rounded(kilograms, two.loads[1], 1)]} />.
          </p>
          <VerdictView verdict={two.verdict} />
        </section>
      )}
    </div>
  );
}

const Place = ({ at }: { at: number }) => (
  <span className="reading font-semibold">
    <Words of={[rounded(mm, { lo: at, hi: at }, 10)]} />
  </span>
);
