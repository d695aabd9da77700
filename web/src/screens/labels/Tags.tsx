import { openItems, shortName, tagCode } from '@iron-cradle/core';
import { useJob } from '../../log/useJob.ts';
import { Code } from '../record/Code.tsx';

/** Tags to cut out, two of each number: one for either end, with a code that opens what it hangs on. */
export function Tags() {
  const { state, jobId } = useJob();
  const items = openItems(state).filter(({ tag }) => tag !== null);
  if (items.length === 0) return null;
  return (
    <section aria-label="tags" className="tag-sheet pt-8 print:pt-0">
      <h2 className="no-print pb-3 text-24">Tags, two of each: one for either end</h2>
      <ul className="grid gap-3 mid:grid-cols-2 print:grid-cols-2">
        {items.flatMap((item) =>
          (['a', 'b'] as const).map((end) => (
            <li
              key={`${item.key}${end}`}
              className="flex break-inside-avoid items-center gap-4 border-2 border-ink bg-sheet p-3"
              data-tag-label={item.tag}
            >
              {/* The punched hole. */}
              <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden className="shrink-0">
                <circle cx="13" cy="13" r="11" fill="none" stroke="var(--ink)" strokeWidth="3" />
              </svg>
              <span className="min-w-0 flex-1">
                <span className="reading block text-64 leading-none">{item.tag}</span>
                <span className="narrow block text-20">{shortName(item.name)}</span>
                <span className="block">{state.name}</span>
              </span>
              <Code text={tagCode(jobId, item.tag!)} size={104} />
            </li>
          )),
        )}
      </ul>
    </section>
  );
}
