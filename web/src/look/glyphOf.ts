import { lineOf, splitKey, supportOf, type VehicleFile } from '@iron-cradle/core';
import type { GlyphName } from './glyphs.tsx';

/**
 * The sign of a thing of the file: how a line lets go, a strap or a bolt, a clip, what is in the way.
 *
 * @example glyphOf(pads, 'support:bolt-1') // 'bolt'
 */
export function glyphOf(vehicle: VehicleFile, key: string): GlyphName {
  const { kind, id } = splitKey(key);
  if (kind === 'line') return lineOf(vehicle, id)?.fitting ?? 'other';
  if (kind === 'clip') return 'clip';
  if (kind !== 'support') return 'obstruction';
  return ['strap', 'bar'].includes(supportOf(vehicle, id)?.kind ?? 'strap') ? 'strap' : 'bolt';
}
