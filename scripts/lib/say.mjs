export const say = (text) => process.stdout.write(`${text}\n`);

/** Ends with a message a person can act on instead of a stack. */
export class Stop extends Error {}

export function endOn(error) {
  process.stderr.write(`${error instanceof Stop ? error.message : (error?.stack ?? String(error))}\n`);
  process.exit(1);
}
