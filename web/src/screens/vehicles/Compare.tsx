import { difference, type VehicleFile } from '@iron-cradle/core';
import { useState } from 'react';
import { SelectField } from '../../ui/SelectField.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { Table, type Column } from '../../ui/Table.tsx';

interface CompareProps {
  file: VehicleFile;
  others: VehicleFile[];
  onClose: () => void;
}

type Differs = ReturnType<typeof difference>[number];

const figure = (text: string) => <span className="reading break-all">{text}</span>;

const columns: Column<Differs>[] = [
  {
    id: 'where',
    accessorFn: (d) => d.where,
    header: 'where',
    cell: ({ row }) => <span className="narrow font-semibold">{row.original.where}</span>,
  },
  { id: 'here', accessorFn: (d) => d.a, header: 'here', cell: ({ row }) => figure(row.original.a) },
  { id: 'there', accessorFn: (d) => d.b, header: 'there', cell: ({ row }) => figure(row.original.b) },
];

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
      <SelectField
        label="The other one"
        none={null}
        value={id}
        options={others.map((one) => one.id)}
        say={(one) => others.find((o) => o.id === one)?.name ?? one}
        onPick={(one) => one !== undefined && setId(one)}
      />
      {list.length === 0 ? (
        <p className="py-4">They do not differ.</p>
      ) : (
        <div className="pt-4" data-differences={list.length}>
          <Table label="where the two files differ" columns={columns} rows={list} idOf={(d) => d.where} />
        </div>
      )}
    </Sheet>
  );
}
