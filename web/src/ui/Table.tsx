import {
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
});

/** A column: its heading, what it is sorted by, and what stands in its cells. */
export type Column<T extends object> = ColumnDef<typeof features, T>;

interface TableProps<T extends object> {
  /** What it shows, for a screen reader. */
  label: string;
  columns: Column<T>[];
  rows: readonly T[];
  idOf: (row: T, index: number) => string;
}

/** A table: the first column names the row; a heading that is tapped sorts by it, a third tap brings the order back. */
export function Table<T extends object>({ label, columns, rows, idOf }: TableProps<T>) {
  const table = useTable({ features, columns, data: rows as T[], getRowId: idOf });
  return (
    <div className="overflow-x-auto print:overflow-visible">
      <table aria-label={label} className="w-full border-collapse text-left text-16">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-rule">
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className="pr-3 font-bold [font-stretch:85%]"
                  >
                    <button
                      type="button"
                      className="flex min-h-11 items-center gap-1 text-left"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      <table.FlexRender header={header} />
                      {sorted === 'asc' && <ArrowDown size={16} aria-hidden className="no-print" />}
                      {sorted === 'desc' && <ArrowUp size={16} aria-hidden className="no-print" />}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="border-b border-rule align-top">
              {row.getAllCells().map((cell, i) =>
                i === 0 ? (
                  <th key={cell.id} scope="row" className="py-2 pr-3 font-normal">
                    <table.FlexRender cell={cell} />
                  </th>
                ) : (
                  <td key={cell.id} className="py-2 pr-3">
                    <table.FlexRender cell={cell} />
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
