import { commonPractice, fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { mm, say } from '../quantity/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** A socket by what is stamped on it. */
export interface Socket {
  /** As it is stamped. */
  name: string;
  /** mm across its flats. */
  across: number;
}

/** Widths across flats of hexagons: ISO 272 in millimetres, sixteenths of an inch; both from memory. */
export const sockets: readonly Socket[] = [
  ...[7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 21, 22, 24, 27].map((across) => ({
    name: `${across} mm`,
    across,
  })),
  ...[
    ['1/4', 4],
    ['5/16', 5],
    ['3/8', 6],
    ['7/16', 7],
    ['1/2', 8],
    ['9/16', 9],
    ['5/8', 10],
    ['11/16', 11],
    ['3/4', 12],
    ['13/16', 13],
    ['7/8', 14],
    ['15/16', 15],
    ['1', 16],
  ].map(([name, sixteenths]) => ({ name: `${name} in`, across: roundTo((Number(sixteenths) * 25.4) / 16, 0.001) })),
].sort((a, b) => a.across - b.across);

/** How a socket sits: it goes on by itself, is squeezed on, or turns on its corners. mm, common practice, no source. */
const SITS = { freely: -0.02, squeezed: -0.07, snug: 0.25, loose: 0.5 };

/** A socket on this head. */
export interface SocketOn {
  /** Which. */
  socket: Socket;
  /** mm it is wider than the head; below zero: narrower. */
  play: number;
  /** How it sits. */
  sits: 'snug' | 'squeezed' | 'loose';
}

/** Sockets that go on this head, the best first. */
export interface SocketJudged {
  /** Those that hold it. */
  fits: SocketOn[];
  /** The next smaller one, to be driven on where none holds it. */
  smaller: Socket | null;
  /** What to take. */
  verdict: Verdict;
}

/**
 * Which socket goes on? Across the flats, measured. A socket has a direction: 8 mm goes on a 5/16 head, 5/16 only squeezes on 8. A
 * worn hex is smaller than any size: six points, the next size down driven on, or a remover. A square head takes twelve points.
 *
 * @param across mm
 * @throws InputError beyond what is held with a socket
 * @example judgeSocket({ across: 7.94, head: 'hex' }).fits.map(({ socket }) => socket.name) // ['5/16 in', '8 mm']
 */
export function judgeSocket({ across, head }: { across: number; head: 'hex' | 'square' }): SocketJudged {
  if (!(across >= 5 && across <= 30)) throw new InputError('across', String(across), '5 to 30 mm across the flats');
  const order = { snug: 0, squeezed: 1, loose: 2 };
  const fits = sockets
    .map((socket) => ({ socket, play: roundTo(socket.across - across, 0.001) }))
    .filter(({ play }) => play >= SITS.squeezed && play <= SITS.loose)
    .map(({ socket, play }): SocketOn => ({
      socket,
      play,
      sits: play < SITS.freely ? 'squeezed' : play <= SITS.snug ? 'snug' : 'loose',
    }))
    .sort((a, b) => order[a.sits] - order[b.sits] || Math.abs(a.play) - Math.abs(b.play));
  const smaller = sockets.findLast((socket) => socket.across - across < SITS.squeezed) ?? null;
  const points =
    head === 'square' ? 'twelve points: a six-point one does not go over a square' : 'six points: twelve round it off';
  const best = fits[0];
  const basis = fromMemory('ISO 272 and sixteenths of an inch');
  if (best?.sits === 'snug')
    return {
      fits,
      smaller,
      verdict: {
        outcome: 'good',
        reasons: [{ text: `${best.socket.name} sits`, figure: say`${mm(best.play, best.play, 2)} of play`, basis }],
        next: [points],
      },
    };
  const driven = smaller ? `${smaller.name}, driven on with a hammer while nothing wet is open` : 'a remover';
  return {
    fits,
    smaller,
    verdict: {
      outcome: 'doubtful',
      reasons: [
        best
          ? {
              text:
                best.sits === 'squeezed'
                  ? `${best.socket.name} squeezes on`
                  : `${best.socket.name} is loose: it rounds the corners`,
              figure: say`${mm(best.play, best.play, 2)} of play`,
              basis,
            }
          : { text: 'between two sizes: worn, or of another standard', basis: commonPractice },
      ],
      next: [
        ...(best?.sits === 'squeezed' ? [points] : [driven, 'or a remover that grips the flats']),
        'soak it first; wire brush by hand',
      ],
    },
  };
}
