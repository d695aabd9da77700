import { useJob } from '../../../log/useJob.ts';
import { Tag } from '../../../look/Tag.tsx';
import { PutIn } from '../PutIn.tsx';

/** What was put into the tank: counted in, counted out. */
export function PutInTank() {
  const { state, enter } = useJob();
  const things = state.items.filter((i) => i.kind === 'thing' && i.state === 'open');
  return (
    <section className="pt-8">
      <h2 className="text-20">In the tank, to come out</h2>
      <ul className="ruled">
        {things.map((thing) => (
          <li key={thing.key} className="flex items-center gap-3 py-2">
            <Tag number={thing.tag} />
            <span className="narrow flex-1 text-20">{thing.name}</span>
            <button type="button" className="btn" onClick={() => void enter('takenOut', { key: thing.key })}>
              It is out
            </button>
          </li>
        ))}
        {things.length === 0 && <li className="py-2 text-quiet">Nothing was put in that is still in.</li>}
      </ul>
      {!state.signed && <PutIn />}
    </section>
  );
}
