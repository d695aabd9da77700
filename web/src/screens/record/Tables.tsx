import type { UnitSystem } from '@iron-cradle/core';
import { useState } from 'react';
import { Sheet } from '../../ui/Sheet.tsx';

const TABLES = ['torques', 'parts', 'fuel', 'joints', 'hours', 'readings'] as const;

/** The tables of a job as CSV, one by one. */
export function Tables({ jobId, units }: { jobId: string; units: UnitSystem }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn" data-action="tables" onClick={() => setOpen(true)}>
        Tables as CSV
      </button>
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="Tables as CSV"
        hint="Semicolons between, UTF-8, a line of headings."
      >
        <ul className="grid gap-3 py-2 min-[430px]:grid-cols-2">
          {TABLES.map((name) => (
            <li key={name}>
              <a
                className="btn w-full"
                href={`/api/jobs/${jobId}/tables/${name}.csv?units=${units}`}
                download
                data-table={name}
              >
                {name}
              </a>
            </li>
          ))}
        </ul>
      </Sheet>
    </>
  );
}
