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
    <div className="flex flex-wrap items-center gap-3">
      <p className="text-quiet">Or one the shop knows:</p>
      <div className="flex flex-wrap gap-3">
        {files.map((file) => (
          <button
            key={file.id}
            type="button"
            className="btn min-h-12"
            aria-pressed={chosen?.id === file.id}
            onClick={() => onChoose(chosen?.id === file.id ? null : file)}
          >
            {file.name}
          </button>
        ))}
      </div>
    </div>
  );
}
