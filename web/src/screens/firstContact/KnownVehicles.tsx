import type { VehicleFile } from '@iron-cradle/core';

interface KnownProps {
  files: readonly VehicleFile[];
  chosen: VehicleFile | null;
  onChoose: (file: VehicleFile | null) => void;
}

/** Vehicles this shop has measured before. */
export function KnownVehicles({ files, chosen, onChoose }: KnownProps) {
  if (files.length === 0) return null;
  return (
    <div className="pt-4">
      <p className="pb-1 text-quiet">Or one this shop knows</p>
      <div className="flex flex-wrap gap-3">
        {files.map((file) => (
          <button key={file.id} type="button" className="btn" aria-pressed={chosen?.id === file.id} onClick={() => onChoose(chosen?.id === file.id ? null : file)}>
            {file.name}
          </button>
        ))}
      </div>
    </div>
  );
}
