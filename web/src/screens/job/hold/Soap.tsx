import { soapPlaces, type Fall } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';

/** Where soap goes while it stands, the likeliest first. One tap where it bubbles. */
export function Soap({ where, fall }: { where: 'bench' | 'home'; fall: Fall }) {
  const { state, enter } = useJob();
  return (
    <section aria-label="soap" data-fall={fall}>
      <h3 className="border-b border-ink pb-1 text-16 font-bold">Soap here while it holds</h3>
      <ul className="ruled">
        {soapPlaces(state, where, fall).map(({ name, tag, why }) => {
          const what = `bubbles: ${name}`;
          const found = state.findings.findLast((finding) => finding.what === what);
          return (
            <li key={name} className="flex items-center gap-3 py-1.5">
              {tag !== null && <Tag number={tag} />}
              <span className="min-w-0 flex-1 leading-tight">
                <span className="narrow block text-20">{name}</span>
                {why.length > 0 && <span className="block text-quiet">{why.join('; ')}</span>}
              </span>
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
