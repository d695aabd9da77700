/** The first id of its kind that nobody has. @example freshId('line', ['line-1']) // 'line-2' */
export function freshId(stem: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) if (!taken.includes(`${stem}-${n}`)) return `${stem}-${n}`;
}

/** A name as an id: small letters, figures and dashes. @example idOf('Van 7, blue') // 'van-7-blue' */
export const idOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, 60) || 'vehicle';
