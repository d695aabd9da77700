import type { ClassConstructor } from 'class-transformer';
import { checked } from '../checked/index.ts';
import type { Kind } from './kind.ts';

/**
 * Checks a body against the class of its kind and returns it without what does not belong.
 *
 * @throws InputError with the path of the first field that is wrong
 * @example checkBodyOf(fill, { litres: 9 }) // { litres: 9 }
 */
export function checkBodyOf(kind: Pick<Kind, 'Body' | 'check'>, body: unknown): object {
  const instance = checked(kind.Body as ClassConstructor<object>, body, { path: 'body', strict: true });
  kind.check?.(instance);
  return JSON.parse(JSON.stringify(instance)) as object;
}
