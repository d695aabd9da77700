import { backInWords, inOrderOfReturn, openItems, shortName, type JobState, type UnitSystem } from '@iron-cradle/core';
import { Tag } from '../../look/Tag.tsx';

const STEP = 132;

interface WireProps {
  state: JobState;
  units: UnitSystem;
  onTag: (key: string) => void;
}

/** The ledger: tags on a wire, in the order of going back. */
export function Wire({ state, units, onTag }: WireProps) {
  const items = inOrderOfReturn(openItems(state));
  const width = Math.max(640, items.length * STEP + 40);
  const hang = (i: number) => 4 + 13 * Math.sin((Math.PI * (i * STEP + 40)) / width);
  return (
    <div
      className="relative h-full overflow-x-auto overflow-y-hidden"
      tabIndex={0}
      role="region"
      aria-label="tags on the wire, in the order of going back"
    >
      <svg
        viewBox={`0 0 ${width} 24`}
        preserveAspectRatio="none"
        height="24"
        style={{ minWidth: width }}
        className="absolute left-0 top-0 w-full"
        aria-hidden
      >
        <path
          d={`M0 2Q${width / 2} 32 ${width} 2`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {items.length === 0 && (
        <p className="p-6 pt-10 text-quiet">
          Nothing is off. What comes off hangs here by its number, in the order of going back.
        </p>
      )}
      <ol className="flex" style={{ width }}>
        {items.map((item, i) => (
          <li key={item.key} style={{ width: STEP }} className="shrink-0 pl-5">
            <button type="button" className="block min-h-24 w-full text-left" onClick={() => onTag(item.key)}>
              <span aria-hidden className="ml-3 block w-0.5 bg-ink" style={{ height: 8 + hang(i) }} />
              <Tag number={item.tag} open />
              <span className="narrow block truncate text-16">{shortName(item.name)}</span>
              <span className="block truncate text-16 text-quiet">
                {item.state === 'deferred' ? `put off: ${item.note ?? ''}` : backInWords(item.back, units)}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
