/** A field that was not as expected. */
interface WrongField {
  field: string;
  found: string;
  expected: string;
}

/** A problem the server named (RFC 9457), or that it is away. */
export class ApiProblem extends Error {
  readonly detail: string;
  readonly errors: WrongField[];

  constructor(
    readonly status: number,
    readonly title: string,
    { detail, errors = [] }: { detail: string; errors?: WrongField[] },
  ) {
    super(detail || title);
    this.detail = detail;
    this.errors = errors;
  }
}

/** The server did not answer: no network, no server, or a gateway that says so. */
export class Away extends Error {
  constructor() {
    super('The shop’s server is not answering. What you enter is kept on this device.');
  }
}

/** One request to the shop's server; a file goes as it is, a zip. @throws Away, ApiProblem */
export async function call<T>(
  method: string,
  path: string,
  { body, signal, keepalive = false }: { body?: unknown; signal?: AbortSignal; keepalive?: boolean } = {},
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      keepalive,
      ...(body === undefined
        ? {}
        : body instanceof Blob
          ? { body, headers: { 'Content-Type': 'application/zip' } }
          : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
      signal: signal ?? AbortSignal.timeout(body instanceof Blob ? 120_000 : 15_000),
    });
  } catch {
    throw new Away();
  }
  if (response.status === 204) return undefined as T;
  if (response.status >= 502 && response.status <= 504) throw new Away();
  const type = response.headers.get('Content-Type') ?? '';
  if (!type.includes('json')) throw new Away();
  const json = (await response.json()) as T & { title?: string; detail?: string; errors?: ApiProblem['errors'] };
  if (!response.ok)
    throw new ApiProblem(response.status, json.title ?? 'Not now', {
      detail: json.detail ?? '',
      errors: json.errors ?? [],
    });
  return json;
}

/** Asks the shop's server for something. @throws Away, ApiProblem */
export const get = <T>(path: string, signal?: AbortSignal): Promise<T> => call<T>('GET', path, { signal });
