import { expectedOf, InputError } from '@iron-cradle/core';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { ClassConstructor } from 'class-transformer';
import { get, set, type FieldErrors, type FieldValues, type Resolver } from 'react-hook-form';

/** The class a form is checked by, and what of its sense no single field shows. */
export interface Checks<T extends object> {
  /** Shared with the server. */
  Body: ClassConstructor<T>;
  /** Its sense. @throws InputError with the path of what makes none */
  check?: ((body: T) => void) | undefined;
}

/**
 * Checks a form by the class its body has on the server, with what was expected said in words.
 *
 * @example useForm({ resolver: resolverOf({ Body: PersonBody }) })
 */
export function resolverOf<T extends FieldValues>({ Body, check }: Checks<T>): Resolver<T> {
  const byClass = classValidatorResolver<T>(Body, { validator: { forbidUnknownValues: true } }, { mode: 'sync' });
  return async (values, context, options) => {
    const read = await byClass(trimmed(values) as T, context, { ...options, criteriaMode: 'all' });
    const errors = worded(read.errors);
    if (Object.keys(errors).length > 0) return { values: {}, errors: errors as FieldErrors<T> };
    try {
      check?.(read.values as T);
      return read;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const found = {};
      set(found, error.field.replace(/^body\./, ''), { type: 'sense', message: `Expected ${error.expected}.` });
      return { values: {}, errors: found as FieldErrors<T> };
    }
  };
}

/** Blanks around a text are no part of it. */
function trimmed(value: unknown): unknown {
  if (typeof value === 'string') return value.trim();
  if (Array.isArray(value)) return value.map(trimmed);
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, trimmed(inner)]));
  return value;
}

interface Found {
  types?: Record<string, string>;
  message?: string;
}

/** Errors as the validator says them, as the product does. */
function worded(errors: object): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(errors).flatMap(([name, error]: [string, Found | undefined]) => {
      if (!error) return [];
      const { types } = error;
      return [[name, types ? { ...error, message: `Expected ${expectedOf(name, types)}.` } : worded(error)]];
    }),
  );
}

/** What is wrong with a field, in words. @example problemAt(form.formState.errors, 'kit.jackPad') */
export const problemAt = (errors: object, name: string): string | undefined =>
  (get(errors, name) as Found | undefined)?.message;
