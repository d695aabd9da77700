import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { InputError } from '../errors/index.ts';
import type { Kind } from './kind.ts';

/**
 * Checks a body against the class of its kind and returns it without what does not belong.
 *
 * @throws InputError with the path of the first field that is wrong
 * @example checkBodyOf(fill, { litres: 9 }) // { litres: 9 }
 */
export function checkBodyOf(kind: Pick<Kind, 'Body' | 'check'>, body: unknown): object {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw new InputError('body', typeof body, 'an object');
  const instance = plainToInstance(kind.Body as ClassConstructor<object>, body);
  const first = firstProblem(
    validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
    'body',
  );
  if (first) throw first;
  kind.check?.(instance);
  return JSON.parse(JSON.stringify(instance)) as object;
}

function firstProblem(errors: ValidationError[], path: string): InputError | null {
  for (const error of errors) {
    const here = `${path}.${error.property}`;
    const deeper = firstProblem(error.children ?? [], here);
    if (deeper) return deeper;
    const text = Object.values(error.constraints ?? {})[0];
    if (text) return new InputError(here, printable(error.value), text.replace(`${error.property} `, ''));
  }
  return null;
}

const printable = (value: unknown): string => (value === undefined ? '' : (JSON.stringify(value) ?? '').slice(0, 60));
