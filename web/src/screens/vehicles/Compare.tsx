import { difference, type VehicleFile } from '@iron-cradle/core';
import { useState } from 'react';
import { Sheet } from '../../ui/Sheet.tsx';

interface CompareProps {
  file: VehicleFile;
  others: VehicleFile[];
  onClose: () => void;
}

/** This file beside another one: only where they differ. */
export function Compare({ file, others, onClose }: CompareProps) {
  const [id, setId] = useState(others[0]?.id ?? '');
  const other = others.find((o) => o.id === id);
  const list = other ? difference(file, other) : [];
  return (
    <Sheet
      open
      onClose={onClose}
      title="Beside another vehicle"
      hint="Only where the two files differ; mm and minutes."
    >
      <label className="block text-quiet">
        The other one
        <select className="field" value={id} onChange={(event) => setId(event.target.value)}>
          {others.map((o) => (
            <option key={o.id} value={o.id}>
              {o.name}
            </option>
          ))}
        </select>
      </label>
      {list.length === 0 ? (
        <p className="py-4">They do not differ.</p>
      ) : (
        <table className="mt-4 w-full border-collapse text-16" data-differences={list.length}>
          <thead>
            <tr className="text-left text-quiet">
              <th className="font-normal">where</th>
              <th className="font-normal">here</th>
              <th className="font-normal">there</th>
            </tr>
          </thead>
          <tbody>
            {list.map((d) => (
              <tr key={d.where} className="border-t border-rule align-top">
                <th scope="row" className="narrow py-1.5 pr-3 text-left">
                  {d.where}
                </th>
                <td className="reading py-1.5 pr-3 break-all">{d.a}</td>
                <td className="reading py-1.5 break-all">{d.b}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Sheet>
  );
}
