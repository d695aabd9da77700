import { handsBefore } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { useNames } from '../../../net/queries.ts';
import { useWords } from '../../../ui/Words.tsx';
import { CallRow } from './CallRow.tsx';

/** How long hands were on this vehicle on jobs before, and whose; nothing where none was kept. */
export function HandsRow() {
  const { state } = useJob();
  const words = useWords();
  const name = useNames();
  const before = handsBefore(state.vehicle);
  if (before.length === 0) return null;
  return (
    <CallRow
      name="It took before"
      text={before.map(({ text }) => words(text)).join('; ')}
      why={
        <ul className="ruled" aria-label="hands on it before" data-hands-before>
          {before.flatMap(({ where, people }) =>
            people.map(({ person, text }) => (
              <li key={`${where} ${person}`} className="py-1.5">
                {name(person)}, on the {where}: <span className="text-quiet">{words(text)}</span>
              </li>
            )),
          )}
          <li className="py-1.5 text-quiet">
            From the times of what was entered; more than half an hour without any counts as away.
          </li>
        </ul>
      }
    />
  );
}
