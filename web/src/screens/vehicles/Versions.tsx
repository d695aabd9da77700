import type { VehicleFile } from '@iron-cradle/core';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../net/api.ts';
import { usePeople } from '../../net/queries.ts';
import { Sheet } from '../../ui/Sheet.tsx';

interface VersionsProps {
  id: string;
  onClose: () => void;
  /** Takes an older version as the draft; it is kept only when somebody keeps it. */
  onTake: (file: VehicleFile) => void;
}

/** What this file said before, by whom and when. */
export function Versions({ id, onClose, onTake }: VersionsProps) {
  const people = usePeople().data ?? [];
  const list = useQuery({
    queryKey: ['versions', id],
    queryFn: () => get<{ version: number; at: string; by: string }[]>(`/vehicles/${id}/versions`),
  });
  const take = async (version: number) => {
    onTake(await get<VehicleFile>(`/vehicles/${id}/versions/${version}`));
    onClose();
  };
  return (
    <Sheet
      open
      onClose={onClose}
      title="What it said before"
      hint="Taking one over makes it the draft; keep it, or undo."
    >
      {list.data?.length === 0 && <p>Nothing was kept yet: this is its first version.</p>}
      <ul className="ruled">
        {list.data?.map((v) => (
          <li key={v.version} className="flex items-center gap-3 py-2">
            <span className="reading w-12 text-24">{v.version}</span>
            <span className="min-w-0 flex-1">
              {new Date(v.at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
              <span className="block text-quiet">{people.find((p) => p.id === v.by)?.name ?? v.by}</span>
            </span>
            <button type="button" className="btn" onClick={() => void take(v.version)}>
              Take it
            </button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
