import type { RawEntry } from './entry.ts';
import type { Kind } from './kind.ts';

/** An entry of a kind or version this build does not know: what comes after it can't be told. */
export class UnknownEntry extends Error {
  /** @param what kind and version */
  constructor(readonly what: string) {
    super(`This job has an entry this version of the application does not know (${what}): reload.`);
    this.name = 'UnknownEntry';
  }
}

/** Kinds by their name. */
export type Registry = ReadonlyMap<string, Kind>;

/** Makes a registry. @throws Error where two kinds have one name @example registryOf([takeBack, note]).size // 2 */
export function registryOf(kinds: readonly Kind[]): Registry {
  const map = new Map(kinds.map((kind) => [kind.kind, kind]));
  if (map.size !== kinds.length) throw new Error('Two kinds of entry have one name.');
  return map;
}

/**
 * The kind of an entry, and its body in the present version, whichever it was written in.
 *
 * @throws UnknownEntry for a kind nobody lists, or a version of the future
 * @example readAs(registry, entry).body
 */
export function readAs(registry: Registry, entry: RawEntry): { kind: Kind; entry: RawEntry } {
  const kind = registry.get(entry.kind);
  if (!kind || entry.version > kind.version) throw new UnknownEntry(`${entry.kind} ${entry.version}`);
  let { version } = entry;
  let body = entry.body as object;
  for (; version < kind.version; version++) {
    const next = kind.migrate?.[version];
    if (!next) throw new UnknownEntry(`${entry.kind} ${entry.version}`);
    body = next(body);
  }
  return { kind, entry: version === entry.version ? entry : { ...entry, version, body } };
}
