import { splitKey, type VehicleFile } from '@iron-cradle/core';

/** The file with a line, or what is in the way, at another place along the tank; the one given stays as it is. mm */
export function placed(file: VehicleFile, key: string, x: number): VehicleFile {
  const { id } = splitKey(key);
  const move = <T extends { id: string; x: number }>(list: T[]): T[] =>
    list.map((thing) => (thing.id === id ? { ...thing, x } : thing));
  return key.startsWith('line:')
    ? { ...file, connections: move(file.connections) }
    : { ...file, obstructions: move(file.obstructions) };
}
