import type { ErrorRequestHandler, RequestHandler } from 'express';
import { InputError } from '@iron-cradle/core';
import { isAway } from '../db/away.ts';

/** An error that may leave the server, in the shape of RFC 9457. */
export class Problem extends Error {
  readonly detail: string;
  /** Further fields of the problem. */
  readonly more: Record<string, unknown>;

  constructor(
    readonly status: number,
    readonly title: string,
    { detail, more = {} }: { detail: string; more?: Record<string, unknown> },
  ) {
    super(title);
    this.detail = detail;
    this.more = more;
  }
}

/** What was asked for is not here. @example throw notFound('job') */
export const notFound = (what: string): Problem =>
  new Problem(404, 'Not here', {
    detail: `There is no ${what} with that name here. Go back to the bays and choose from there.`,
  });
/** Nobody is signed in. @example throw signInFirst() */
export const signInFirst = (): Problem =>
  new Problem(401, 'Sign in first', { detail: 'Choose your name and type your PIN.' });

/** Where no route answers. */
export const noSuchRoute: RequestHandler = (_request, _response, next) => next(notFound('page'));

/** Turns whatever went wrong into problem+json; nothing of the inside leaves the server. */
// Four parameters are how Express knows a handler of errors.
// eslint-disable-next-line @typescript-eslint/max-params
export const problems: ErrorRequestHandler = (error: unknown, request, response, _next) => {
  const problem = asProblem(error);
  if (problem.status >= 500) request.log?.error({ err: error }, 'request failed');
  if (response.headersSent) return void response.end();
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: 'about:blank',
        title: problem.title,
        status: problem.status,
        detail: problem.detail,
        ...problem.more,
      }),
    );
};

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof InputError)
    return new Problem(400, 'Not as expected', {
      detail: error.message,
      more: {
        errors: [{ field: error.field, found: error.found, expected: error.expected }],
      },
    });
  const { type, status } = (error ?? {}) as { type?: string; status?: number };
  if (type === 'entity.parse.failed')
    return new Problem(400, 'Not as expected', { detail: 'The request is not readable JSON.' });
  if (type === 'entity.too.large') return new Problem(413, 'Too large', { detail: 'The request is larger than 8 MB.' });
  if (status && status >= 400 && status < 500)
    return new Problem(status, 'Not as expected', { detail: 'The request cannot be read.' });
  if (isAway(error))
    return new Problem(503, 'Not now', {
      detail: 'The shop’s server could not do that just now. Nothing you typed is lost; try again.',
    });
  return new Problem(500, 'A fault of the server', {
    detail: 'The shop’s server has a fault of its own with this: its log says what. Nothing you typed is lost.',
  });
}
