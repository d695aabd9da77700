import {
  CREEP,
  dropAt,
  isOn,
  levelShare,
  lengthIn,
  rangeInWords,
  scaleSteps,
  sectionOf,
  shortName,
  type Connection,
  type Holder,
  type UnitSystem,
} from '@iron-cradle/core';
import { layBelow } from './below.ts';
import { hangApart, placeLabels, placeLitres, portPlaces } from './apart.ts';
import type { HangInput, HangLayout, HangLine, Surface } from './types.ts';

/**
 * Where everything hangs: across the tank to scale, the drop enlarged so that the job's heights fill the sheet, the
 * number of times stated. All figures come from the vehicle file and the log.
 *
 * @example layoutHang({ state, stop, ghost: 60, width: 680, height: 590 }).y(40)
 */
export function layoutHang(input: HangInput): HangLayout {
  const { state, stop, ghost, width, height, units } = input;
  const { vehicle } = state;
  const here = Math.min(Math.max(stop.pose.f, stop.pose.r), vehicle.clear);
  const frame = { x: 24, y: 64, width: width - 130, height: 28 };
  // A low sheet takes a smaller tank, so that the drop can still be enlarged; a narrow one has less beside it.
  const scale = Math.min(
    (frame.width - Math.min(84, width / 8)) / vehicle.length,
    (height * 0.26) / vehicle.tank.shape.height,
  );
  const tankHeight = vehicle.tank.shape.height * scale;
  const topGap = 26;
  const limits = stop.holders.map((h) => Math.min(h.limit.typ, vehicle.clear));
  const deepest = Math.max(
    60,
    here,
    ghost?.f ?? 0,
    ghost?.r ?? 0,
    Math.min(vehicle.clear, Math.max(...limits, 60) + 10),
  );
  const room = height - frame.y - frame.height - topGap - tankHeight - 92;
  const enlarged = Math.max(1, Math.floor((room / (deepest * scale)) * 10) / 10);
  const perMm = scale * enlarged;
  const y0 = frame.y + frame.height + topGap;
  const y = (drop: number) => y0 + drop * perMm;
  const tank = {
    x: frame.x + (frame.width - vehicle.length * scale) / 2,
    y: y((stop.pose.f + stop.pose.r) / 2),
    width: vehicle.length * scale,
    height: tankHeight,
  };
  // On the way up nothing holds the tank: what is back on only must not be lowered again.
  const tightest = state.out ? undefined : stop.holders[0]?.key;
  const on = vehicle.connections
    .filter((line) => isOn(state, line.id))
    .sort((a, b) => a.x - b.x || (a.id < b.id ? -1 : 1));
  const ports = portPlaces(
    on.map((line) => tank.x + line.x * scale),
    tank,
  );
  const lines = on.map((line, i): HangLine => {
    const holder = stop.holders.find((h) => h.key === `line:${line.id}`);
    const drop = dropAt(stop.pose, line.x, vehicle.length);
    const left = { lo: holder?.room.lo ?? 0, hi: holder?.room.hi ?? 0 };
    const port = { x: ports[i]!, y: y(drop) };
    const side = port.x < tank.x + tank.width / 2 ? (-1 as const) : (1 as const);
    const anchor = { x: port.x + side * 10, y: frame.y + frame.height };
    return {
      id: line.id,
      name: shortName(line.name),
      anchor,
      port,
      room: left,
      path: sag(anchor, port, { roomPx: left.lo * perMm, out: side }),
      guessed: left.lo !== left.hi,
      // Only where less is left than one creep: the shortest line alone holds nothing yet.
      holds: tightest === `line:${line.id}` && left.lo < CREEP,
      reach: reachOf(line, y, deepest),
      label: { x: port.x, y: 0, text: '' },
    };
  });
  const saying = (long: boolean) => (line: HangLine) =>
    roomText({ name: line.name, holder: stop.holders.find((h) => h.key === `line:${line.id}`), long, units });
  // The list beside the drawing has all figures; what holds has its own here too.
  const named = (line: HangLine) => (line.holds ? saying(false)(line) : line.name);
  placeLabels(lines, tank, [...(width > 600 ? [saying(true)] : []), saying(false), named]);
  const off = state.items.filter((item) => item.kind === 'line' && item.state !== 'closed');
  const parted = off.flatMap((item) => {
    const line = vehicle.connections.find((c) => `line:${c.id}` === item.key);
    return line
      ? [
          {
            id: line.id,
            tag: item.tag,
            x: tank.x + line.x * scale,
            frameY: frame.y + frame.height,
            tankY: y(dropAt(stop.pose, line.x, vehicle.length)),
            low: 0,
            left: false,
            name: shortName(line.name),
          },
        ]
      : [];
  });
  const spacedX = portPlaces(
    parted.map((p) => p.x),
    tank,
  );
  parted.forEach((p, i) => (p.x = spacedX[i]!));
  hangApart(parted);
  // Inches with their sixteenths take more room beside the scale.
  const axisX = width - (units === 'us' ? 96 : 62);
  const section = sectionOf(vehicle.tank.shape, 'x').outline;
  const { lo, hi } = state.fuel.aboard;
  const litres = `${rangeInWords(state.fuel.aboard, 1)} L`;
  // Level in the world: in the drawing, where only the drop is enlarged, it follows the tank but for the drop itself.
  const surface = (inside: number): Surface => {
    const below = tankHeight * (1 - levelShare(vehicle, inside));
    const { f, r } = stop.pose;
    const at = (drop: number) => y(drop) + below - (drop - (f + r) / 2) * scale;
    return [at(f), at(r)];
  };
  const steps = scaleSteps(units);
  const tickStep = steps.find((step) => step * perMm >= 18) ?? steps.at(-1)!;
  return {
    frame,
    tank,
    outline: (pose) =>
      section.map(([x, z]) => [
        tank.x + (x / vehicle.tank.shape.length) * tank.width,
        y(Math.min(deepest, dropAt(pose, (x / vehicle.tank.shape.length) * vehicle.length, vehicle.length))) +
          (1 - z / vehicle.tank.shape.height) * tankHeight,
      ]),
    lines,
    parted,
    ...layBelow(input, { frame, tank, lines, scale, y, axisX }),
    fuel:
      hi > 0.5
        ? { lo: surface(lo), hi: surface(hi), label: { text: litres, ...placeLitres(litres, lines, tank) } }
        : null,
    scale,
    enlarged,
    y,
    ticks: Array.from({ length: Math.floor(deepest / tickStep) + 1 }, (_, i) => i * tickStep).map((drop) => ({
      drop,
      y: y(drop),
    })),
    axisX,
  };
}

const roomText = ({
  name,
  holder,
  long,
  units,
}: {
  name: string;
  holder: Holder | undefined;
  long: boolean;
  units: UnitSystem;
}): string => {
  if (!holder) return name;
  const [lo, hi] = [holder.room.lo, holder.room.hi].map((mm) => lengthIn(mm, units).figure);
  if (lo === hi) return `${name} ${lo}`;
  return `${name} ${lo}–${hi}${long ? ', guessed' : ''}`;
};

/** The band in which a hand gets to a line’s joint: certain from the far end of its reach on, perhaps from the near end. */
function reachOf(line: Connection, y: (drop: number) => number, deepest: number): HangLine['reach'] {
  const ways = line.part.filter((w) => w.after.length === 0);
  const best = [...(ways.length > 0 ? ways : line.part)].sort((a, b) => a.reachFrom.hi - b.reachFrom.hi)[0];
  if (!best || (best.reachFrom.hi === 0 && best.reachTo.lo >= deepest)) return { sure: null, perhaps: null };
  const foot = (mm: number) => y(Math.min(deepest, mm));
  const sure = best.reachFrom.hi < Math.min(deepest, best.reachTo.lo);
  return {
    sure: sure ? { top: y(best.reachFrom.hi), foot: foot(best.reachTo.lo) } : null,
    perhaps:
      best.reachFrom.lo < best.reachFrom.hi && best.reachFrom.lo < deepest
        ? { top: y(best.reachFrom.lo), foot: foot(best.reachFrom.hi) }
        : null,
  };
}

/** A line whose bulge stands for the room left: straight when there is none. */
function sag(
  from: { x: number; y: number },
  to: { x: number; y: number },
  { roomPx, out }: { roomPx: number; out: -1 | 1 },
): string {
  const fall = Math.max(8, to.y - from.y);
  // A cord of length fall + room over a span of fall bows out by about √(3/8 · fall · room); drawn flatter, so that neighbours stay apart.
  const bow = Math.min(46, Math.sqrt(0.375 * fall * Math.max(0, roomPx)) * 0.6);
  return `M${from.x} ${from.y}C${from.x + out * bow} ${from.y + fall * 0.35} ${to.x + out * bow} ${to.y - fall * 0.35} ${to.x} ${to.y}`;
}
