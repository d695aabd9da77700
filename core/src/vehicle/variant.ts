import { InputError } from '../errors/index.ts';
import type { VehicleFile, Way } from './types.ts';

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
  const gone = new Set(choice.without);
  const here = <T extends { id: string }>(list: T[]): T[] => list.filter((thing) => !gone.has(thing.id));
  // Nothing waits for what is not there.
  const free = (ways: Way[]): Way[] => ways.map((w) => ({ ...w, after: w.after.filter((id) => !gone.has(id)) }));
  return {
    ...file,
    connections: here(file.connections).map((c) => ({
      ...c,
      clips: here(c.clips).map((k) => ({ ...k, ways: free(k.ways) })),
      part: free(c.part),
      make: free(c.make),
    })),
    obstructions: here(file.obstructions).map((o) => ({ ...o, clear: free(o.clear), restore: free(o.restore) })),
    supports: here(file.supports),
    variants: file.variants!.filter((v) => v.id !== variantId),
  };
}
