import { airJoints, jointsToSee, lineOf, nameOf, splitKey, unitOf } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';

/** Of a tank by itself. */
const BARE = ['front seam', 'rear seam', 'ports and their plugs'].map((name) => ({ name, tag: null }));

/** Where soap goes while it stands: the ring, what is new, the seams. One tap where it bubbles. */
export function Soap({ where }: { where: 'bench' | 'home' }) {
  const { state, enter } = useJob();
  const closes = unitOf(state.vehicle).parts.at(-1);
  const fresh = Object.entries(state.pieces).flatMap(([, list]) => {
    const last = list.at(-1);
    return last?.called ? [{ name: last.called, tag: last.tag }] : [];
  });
  // What was opened is what may leak.
  const joints = jointsToSee(state)
    .filter((key) => airJoints.some((kind) => lineOf(state.vehicle, splitKey(key).id)?.kind === kind))
    .map((key) => ({ name: nameOf(state, key), tag: state.numbers[key] ?? null }));
  const places: { name: string; tag: number | null }[] = [
    { name: `${closes?.name ?? 'ring'}, all round`, tag: state.numbers['unit:unit'] ?? null },
    ...fresh,
    ...(where === 'home' ? joints : BARE),
  ];
  return (
    <section aria-label="soap">
      <h3 className="border-b border-ink pb-1 text-16 font-bold">Soap here while it holds</h3>
      <ul className="ruled">
        {places.map(({ name, tag }) => {
          const what = `bubbles: ${name}`;
          const found = state.findings.findLast((finding) => finding.what === what);
          return (
            <li key={name} className="flex items-center gap-3 py-1.5">
              {tag !== null && <Tag number={tag} />}
              <span className="narrow min-w-0 flex-1 text-20">{name}</span>
              {found?.verdict === 'bad' && <Shape outcome="bad" size={24} label="it bubbled" />}
              <button
                type="button"
                className="btn shrink-0"
                data-soap={name}
                onClick={() => void enter('finding', { what, where: 'outside', verdict: 'bad' })}
              >
                Bubbles
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
