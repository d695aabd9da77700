import { placesOf, placeStands, type ConditionPlace } from '@iron-cradle/core';
import { TankOpened } from '../../../../drawings/bench/TankOpened.tsx';
import { useJob } from '../../../../log/useJob.ts';

interface ConditionProps {
  chosen: ConditionPlace | null;
  /** Does the hand go elsewhere first? */
  waits: boolean;
  onChoose: (place: ConditionPlace) => void;
}

/** Tank, straps, pads, neck, rubber and frame: looked at where they are drawn. */
export function Condition({ chosen, waits, onChoose }: ConditionProps) {
  const { state, enter } = useJob();
  const places = placesOf(state.vehicle).map((place) => ({ place, stands: placeStands(state.findings, place.id) }));
  const unsaid = places.filter(({ stands }) => stands === null).map(({ place }) => place);
  const next = places.find(({ stands }) => stands?.verdict === 'bad')?.place ?? unsaid[0];
  const allSound = async () => {
    for (const { id, sound } of unsaid) await enter('finding', { what: sound, where: id, verdict: 'good' });
  };
  return (
    <section aria-label="tank and what carries it" className="grid gap-4">
      <TankOpened
        places={places.map(({ place, stands }) => ({
          id: place.id,
          short: place.short,
          name: place.name,
          outcome: stands?.verdict ?? null,
          found: stands?.what ?? null,
        }))}
        chosen={chosen}
        next={waits || state.signed ? null : (next?.id ?? null)}
        material={state.vehicle.tank.material}
        strapped={state.vehicle.supports.some(({ kind }) => kind === 'strap')}
        onChoose={onChoose}
      />
      <ul className="ruled border-y border-rule empty:hidden">
        {places
          .filter(({ stands }) => stands && stands.verdict !== 'good')
          .map(({ place, stands }) => (
            <li key={place.id} className="flex gap-3 py-2">
              <span className="narrow w-24 shrink-0 text-20">{place.short}</span>
              <span>{stands!.what}</span>
            </li>
          ))}
      </ul>
      {unsaid.length > 0 && !state.signed && (
        <button type="button" className="btn w-full" data-action="places-sound" onClick={() => void allSound()}>
          {unsaid.length === places.length ? 'All looked at, all sound' : `The other ${unsaid.length} looked at, sound`}
        </button>
      )}
    </section>
  );
}
