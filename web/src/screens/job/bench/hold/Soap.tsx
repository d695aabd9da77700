import { unitOf } from '@iron-cradle/core';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { Tag } from '../../../../look/Tag.tsx';

/** Where soap goes while it stands: the ring, what is new, the seams. One tap where it bubbles. */
export function Soap() {
  const { state, enter } = useJob();
  const closes = unitOf(state.vehicle).parts.at(-1);
  const fresh = Object.entries(state.pieces).flatMap(([, list]) => {
    const last = list.at(-1);
    return last?.called ? [{ name: last.called, tag: last.tag }] : [];
  });
  const places: { name: string; tag: number | null }[] = [
    { name: `${closes?.name ?? 'ring'}, all round`, tag: state.numbers['unit:unit'] ?? null },
    ...fresh,
    { name: 'front seam', tag: null },
    { name: 'rear seam', tag: null },
    { name: 'ports and their plugs', tag: null },
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
