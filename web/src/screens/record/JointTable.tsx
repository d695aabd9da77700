import { nameOf, type JobState } from '@iron-cradle/core';
import { Shape } from '../../look/Shapes.tsx';
import { Table, type Column } from '../../ui/Table.tsx';

interface JointTableProps {
  state: JobState;
  /** A person’s name from their id. */
  name: (id: string) => string;
}

/** Every joint that was looked at: how it was, and by whom. */
export function JointTable({ state, name }: JointTableProps) {
  type Joint = JobState['joints'][number];
  const called = (joint: Joint): string =>
    `${state.items.find((i) => i.key === joint.key)?.tag ?? ''} ${nameOf(state, joint.key)}`.trim();
  const seen = (joint: Joint): string => `${joint.seen}${joint.checks.includes('wet') ? ', wet behind' : ''}`;
  const columns: Column<Joint>[] = [
    { id: 'joint', accessorFn: called, header: 'Joint', cell: ({ row }) => called(row.original) },
    {
      id: 'seen',
      accessorFn: seen,
      header: 'seen',
      cell: ({ row }) => (
        <span className="flex items-center gap-2">
          <Shape outcome={row.original.verdict.outcome} size={16} />
          {seen(row.original)}
        </span>
      ),
    },
    { id: 'by', accessorFn: (joint) => name(joint.by), header: 'by', cell: ({ row }) => name(row.original.by) },
  ];
  return <Table label="joints that were looked at" columns={columns} rows={state.joints} idOf={(joint) => joint.key} />;
}
