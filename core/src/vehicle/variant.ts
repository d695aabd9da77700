import { InputError } from '../errors/index.ts';
import type { VehicleFile } from './types.ts';
import type { Way } from './ways.ts';

/**
 * The file of the vehicle that is really there, once the look has decided which one it is.
 *
 * @throws InputError for a variant or a choice the file does not have
 * @example asVariant(file, 'lines', 'two lines')
 */
export function asVariant(file: VehicleFile, variantId: string, label: string): VehicleFile {
  const variant = file.variants?.find((v) => v.id === variantId);
  if (!variant) throw new InputError('variant', variantId, 'a variant of this file');
  const choice = variant.choices.find((c) => c.label === label);
  if (!choice) throw new InputError('variant', label, variant.choices.map((c) => c.label).join(' or '));
  return {
    ...without(file, choice.without),
    variants: file.variants!.filter((v) => v.id !== variantId),
  };
}

/**
 * The file as it usually is: of each variant that has a usual choice, what that one does not have is left out. The
 * variants stay: the look is still to be had.
 *
 * @example asUsual(rail).obstructions.some((o) => o.id === 'skid') // false: few have one
 */
export function asUsual(file: VehicleFile): VehicleFile {
  const gone = (file.variants ?? []).flatMap((v) => v.choices.find((c) => c.label === v.usual)?.without ?? []);
  return gone.length === 0 ? file : without(file, gone);
}

/** The file without some of its things and ways; nothing waits for what is not there. */
function without(file: VehicleFile, ids: readonly string[]): VehicleFile {
  const gone = new Set(ids);
  // With a thing go its ways, and with a line its clips.
  for (const { id, ways } of [
    ...file.connections.map((c) => ({ id: c.id, ways: [...c.part, ...c.make, ...c.clips] })),
    ...file.connections.flatMap((c) => c.clips.map((k) => ({ id: gone.has(c.id) ? c.id : k.id, ways: k.ways }))),
    ...file.obstructions.map((o) => ({ id: o.id, ways: [...o.clear, ...o.restore] })),
    ...file.supports.map((s) => ({ id: s.id, ways: [...(s.off ?? []), ...(s.on ?? [])] })),
  ])
    if (gone.has(id)) for (const way of ways) gone.add(way.id);
  const here = <T extends { id: string }>(list: T[]): T[] => list.filter((thing) => !gone.has(thing.id));
  const free = (ways: Way[]): Way[] =>
    here(ways).map((w) => ({
      ...w,
      after: w.after.filter((id) => !gone.has(id)),
      ...(w.while ? { while: w.while.filter((other) => !gone.has(other.id)) } : {}),
    }));
  return {
    ...file,
    connections: here(file.connections).map((c) => ({
      ...c,
      clips: here(c.clips).map((k) => ({ ...k, ways: free(k.ways) })),
      part: free(c.part),
      make: free(c.make),
    })),
    obstructions: here(file.obstructions).map((o) => ({ ...o, clear: free(o.clear), restore: free(o.restore) })),
    supports: here(file.supports).map((s) => ({
      ...s,
      ...(s.off ? { off: free(s.off) } : {}),
      ...(s.on ? { on: free(s.on) } : {}),
    })),
  };
}
