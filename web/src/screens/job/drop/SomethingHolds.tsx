import { bindings, gridNearest, shortName } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { CutSheet } from '../CutSheet.tsx';
import type { Descent } from './useDescent.ts';

interface HoldsProps {
  open: boolean;
  onClose: () => void;
  descent: Descent;
}

/** Which one holds, and at which height: one tap on the crossing of both. */
export function SomethingHolds({ open, onClose, descent }: HoldsProps) {
  const { state, enter } = useJob();
  const { stop } = descent;
  const [pulled, setPulled] = useState(false);
  const [cutting, setCutting] = useState(false);
  const list = bindings(state);
  const from = state.pose.f;
  const to = stop.pose.f;
  const step = (to - from) / 3;
  const heights =
    to > from
      ? [...new Set([from, gridNearest(from + step), gridNearest(from + 2 * step), to])]
      : [from, from + 10, from + 20, from + 40];
  const fresh = `new:${state.extras.filter((e) => e.id.startsWith('new-')).length + 1}`;
  const holds = async (key: string, at: number) => {
    onClose();
    if (stop.kind === 'creep' && key.startsWith('line:') && at > from) return descent.tautAt(key, at);
    await descent.surprise({
      what: 'holds',
      key,
      lets: at,
      ...(key.startsWith('new:') ? { name: 'something not in the file' } : {}),
    });
  };
  const rows = [...list.map((b) => ({ key: b.key, name: shortName(b.name) })), { key: fresh, name: 'something new' }];
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title="What holds, and at which height?"
      hint="Don’t go on. One tap where the line and the height meet; the plan is made anew."
    >
      <table className="w-full border-collapse">
        <thead>
          <tr>
            <th className="text-left font-normal text-quiet">mm below home</th>
            {heights.map((h) => (
              <th key={h} className="reading pb-1 text-16">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key}>
              <th scope="row" className="narrow pr-2 text-left text-16">
                {row.name}
              </th>
              {heights.map((h) => (
                <td key={h} className="p-1">
                  <button
                    type="button"
                    className="btn reading min-h-14 w-full px-1"
                    data-holds={`${row.key}@${h}`}
                    aria-label={`${row.name} holds at ${h}`}
                    onClick={() => void holds(row.key, h)}
                  >
                    {h}
                  </button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <button
        type="button"
        className="btn btn-halt mt-4 w-full"
        aria-expanded={pulled}
        onClick={() => setPulled(!pulled)}
      >
        A line was pulled
      </button>
      <button type="button" className="btn mt-3 w-full" data-action="must-cut" onClick={() => setCutting(true)}>
        Something has to be cut
      </button>
      <CutSheet about={null} open={cutting} onClose={() => setCutting(false)} />
      {pulled && (
        <div className="pt-3">
          <p className="pb-2">
            Stop, take the pull off it, inspect it. It is written down and must be inspected before the job can be
            signed.
          </p>
          <div className="grid grid-cols-2 gap-3">
            {list
              .filter((b) => b.line)
              .map((b) => (
                <button
                  key={b.key}
                  type="button"
                  className="btn"
                  data-pulled={b.key}
                  onClick={() => void enter('pulled', { key: b.key }).then(onClose)}
                >
                  {shortName(b.name)} was pulled
                </button>
              ))}
          </div>
        </div>
      )}
    </Sheet>
  );
}
