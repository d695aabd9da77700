import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { InputError } from '../errors/index.ts';
import { expectedOf } from './expected.ts';

export { expectedOf } from './expected.ts';
export { Written } from './written.ts';

/**
 * What came in, as an instance of its class. The one way in which anything from outside is checked: bodies of entries,
 * of requests, and the forms over both.
 *
 * @param path what the whole is called in an error; left out, the fields stand alone
 * @param strict refuses what the class does not know, instead of leaving it out
 * @throws InputError naming the first field that is wrong, and what was expected of it
 * @example checked(PersonBody, { name: 'Ada', role: 'lead', pin: '1234' })
 */
export function checked<T extends object>(
  Body: ClassConstructor<T>,
  from: unknown,
  { path = '', strict = false }: { path?: string; strict?: boolean } = {},
): T {
  if (typeof from !== 'object' || from === null || Array.isArray(from))
    throw new InputError(path || 'body', String(from), 'an object');
  const instance = plainToInstance(Body, from);
  const found = validateSync(instance, { whitelist: true, forbidNonWhitelisted: strict, forbidUnknownValues: true });
  const problem = firstProblem(found, path);
  if (problem) throw problem;
  return instance;
}

function firstProblem(errors: readonly ValidationError[], path: string): InputError | null {
  for (const { property, children, constraints, value } of errors) {
    const here = path ? `${path}.${property}` : property;
    const deeper = firstProblem(children ?? [], here);
    if (deeper) return deeper;
    if (constraints) return new InputError(here, printable(value), expectedOf(property, constraints));
  }
  return null;
}

/** A text as it stands, anything else as JSON, cut short. */
const printable = (value: unknown): string =>
  (typeof value === 'string' ? value : value === undefined ? '' : (JSON.stringify(value) ?? '')).slice(0, 60);
