import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import { InputError } from '@iron-cradle/core';

/** Reads a request body as an instance of its class. @throws InputError naming the first field that is wrong */
export function bodyOf<T extends object>(Body: ClassConstructor<T>, from: unknown): T {
  if (typeof from !== 'object' || from === null || Array.isArray(from))
    throw new InputError('body', String(from), 'an object');
  const instance = plainToInstance(Body, from);
  const [first] = validateSync(instance, { whitelist: true, forbidUnknownValues: true });
  if (first) {
    const text = Object.values(first.constraints ?? {})[0] ?? 'another value';
    throw new InputError(
      first.property,
      first.value === undefined ? '' : String(first.value).slice(0, 60),
      text.replace(`${first.property} `, ''),
    );
  }
  return instance;
}
