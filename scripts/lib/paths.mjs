import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('../..', import.meta.url));
/** Everything this machine needs that is not in the repository lives here. */
export const cradle = join(root, '.cradle');
mkdirSync(cradle, { recursive: true });
export const inRoot = (...parts) => join(root, ...parts);
export const inCradle = (...parts) => join(cradle, ...parts);
