import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { InputError } from '@iron-cradle/core';

/** Reads a request body as an instance of its class. @throws InputError naming the first field that is wrong */
export function bodyOf<T extends object>(Body: ClassConstructor<T>, from: unknown): T {
  if (typeof from !== 'object' || from === null || Array.isArray(from))
    throw new InputError('body', String(from), 'an object');
  const instance = plainToInstance(Body, from);
  const problem = firstProblem(validateSync(instance, { whitelist: true, forbidUnknownValues: true }), '');
  if (problem) throw problem;
  return instance;
}

function firstProblem(errors: readonly ValidationError[], path: string): InputError | null {
  for (const error of errors) {
    const field = path ? `${path}.${error.property}` : error.property;
    const deeper = firstProblem(error.children ?? [], field);
    if (deeper) return deeper;
    const text = Object.values(error.constraints ?? {})[0];
    if (text)
      return new InputError(
        field,
        error.value === undefined ? '' : String(error.value).slice(0, 60),
        text.replace(`${error.property} `, ''),
      );
  }
  return null;
}
