import { get, type IncomingMessage } from 'node:http';
import { createParser } from 'eventsource-parser';
import { checked, InputError, OfferedLine, ReadingLine } from '@iron-cradle/core';
import { Problem } from '../http/problem.ts';
import type { FixedAddress } from './address.ts';

/** A gateway that does not answer in so long is away, ms. */
const PATIENCE = 4_000;
/** More than so many characters is no list of instruments. */
const MOST = 64_000;

const away = (why: string): Problem =>
  new Problem(424, 'The gateway does not answer', {
    detail: `The gateway ${why}. Type the reading, or look whether it is on.`,
  });

/** Asks a gateway at its fixed address; a redirect is not followed. */
function ask({ host, ip, port, base }: FixedAddress, path: string, accept: string): Promise<IncomingMessage> {
  return new Promise((resolve, reject) => {
    const request = get(
      { host: ip, port, path: `${base}${path}`, headers: { Host: host, Accept: accept }, timeout: PATIENCE },
      (answer) => {
        if (answer.statusCode === 200) return resolve(answer);
        answer.resume();
        reject(
          away(
            answer.statusCode && answer.statusCode >= 300 && answer.statusCode < 400
              ? 'sends elsewhere, which is not followed'
              : `answers ${answer.statusCode}`,
          ),
        );
      },
    );
    request.on('timeout', () => request.destroy(new Error('timeout')));
    request.on('error', () => reject(away('is not there')));
  });
}

async function textOf(answer: IncomingMessage): Promise<string> {
  let text = '';
  answer.setEncoding('utf8');
  for await (const piece of answer) {
    text += piece as string;
    if (text.length > MOST) {
      answer.destroy();
      throw away('says more than a list');
    }
  }
  return text;
}

function parsed<T extends object>(Body: new () => T, line: string): T {
  try {
    return checked(Body, JSON.parse(line));
  } catch (error) {
    throw away(error instanceof InputError ? `says something else: ${error.message}` : 'says what is no JSON line');
  }
}

/** What it reads: JSON lines, one a channel. @throws Problem where it is away or says something else */
export async function offered(at: FixedAddress): Promise<OfferedLine[]> {
  const text = await textOf(await ask(at, '/instruments', 'application/jsonl'));
  return text.split('\n').flatMap((line) => (line.trim() === '' ? [] : [parsed(OfferedLine, line)]));
}

const query = (kind: string, channel: string): string =>
  `?kind=${encodeURIComponent(kind)}&channel=${encodeURIComponent(channel)}`;

/** One reading. @throws Problem where it is away or says something else */
export async function readRemote(at: FixedAddress, { kind, channel }: OfferedLine): Promise<ReadingLine> {
  return parsed(ReadingLine, (await textOf(await ask(at, `/read${query(kind, channel)}`, 'application/jsonl'))).trim());
}

/**
 * Readings as they come, until it stops or the caller does.
 *
 * @returns ends it
 * @throws Problem where it does not begin
 */
export async function streamRemote(
  at: FixedAddress,
  { kind, channel }: OfferedLine,
  { onReading, onEnd }: { onReading: (line: ReadingLine) => void; onEnd: () => void },
): Promise<() => void> {
  const answer = await ask(at, `/stream${query(kind, channel)}`, 'text/event-stream');
  // A gauge that stands still says nothing for as long as it likes; one that lost its power is told by the line itself.
  answer.socket.setTimeout(0);
  answer.socket.setKeepAlive(true, PATIENCE);
  answer.setEncoding('utf8');
  const parser = createParser({
    onEvent: ({ data }) => {
      try {
        onReading(parsed(ReadingLine, data));
      } catch {
        answer.destroy();
      }
    },
  });
  answer.on('data', (piece: string) => parser.feed(piece));
  answer.on('close', onEnd);
  answer.on('error', () => undefined);
  return () => void answer.destroy();
}
