import { InputError } from '../errors/index.ts';
import type { VehicleFile } from './types.ts';
import type { Way } from './ways.ts';

/**
 * Everything a person reads by its name has one: blanks are none.
 *
 * @throws InputError for the first that has none, with its path
 * @example checkWritten(file)
 */
export function checkWritten(file: VehicleFile): void {
  need('name', file.name, 'a name');
  file.ends.forEach((end, i) => need(`ends[${i}]`, end, 'a word, as front'));
  file.connections.forEach((line, i) => {
    const path = `connections[${i}]`;
    need(`${path}.name`, line.name, 'a name');
    ways(`${path}.part`, line.part);
    ways(`${path}.make`, line.make);
    line.clips.forEach((clip, k) => ways(`${path}.clips[${k}].ways`, clip.ways));
  });
  file.obstructions.forEach((thing, i) => {
    need(`obstructions[${i}].name`, thing.name, 'a name');
    ways(`obstructions[${i}].clear`, thing.clear);
    ways(`obstructions[${i}].restore`, thing.restore);
  });
  file.supports.forEach((support, i) => need(`supports[${i}].name`, support.name, 'a name'));
  file.fasteners.forEach((fastener, i) => need(`fasteners[${i}].thread`, fastener.thread, 'a thread, as M10 × 1.5'));
  (file.variants ?? []).forEach((variant, i) => {
    need(`variants[${i}].look`, variant.look, 'a question');
    variant.choices.forEach((choice, k) => need(`variants[${i}].choices[${k}].label`, choice.label, 'a word or two'));
  });
}

const ways = (path: string, list: readonly Way[]): void =>
  list.forEach((way, i) => need(`${path}[${i}].from`, way.from, 'a word, outside or frame'));

const need = (path: string, text: string, expected: string): void => {
  if (text.trim() === '') throw new InputError(path, text.trim(), expected);
};
