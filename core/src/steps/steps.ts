import { present } from '../errors/index.ts';
import type { TankState } from '../hang/index.ts';
import { carryingWord, type Action } from '../stops/index.ts';
import {
  byJack,
  carriedBy,
  keyOf,
  obstructionOf,
  splitKey,
  type Connection,
  type Fitting,
  type Support,
  type VehicleFile,
} from '../vehicle/index.ts';

/** One thing a hand does, in order. */
export interface Step {
  /** What is done. */
  text: string;
  /** What is taken in hand for it. */
  tools: string[];
  /** Said before the hand moves. */
  caution?: string;
}

/** How a fitting lets go, hand by hand. Common practice, no source. */
const letsGo: Record<Fitting, string[]> = {
  'push-tab': [
    'take the second safety clip off, if there is one',
    'push the line towards the joint: it unloads the tabs',
    'press both tabs right in and pull straight',
  ],
  'slide-collar': ['push the line towards the joint', 'seat the split tool all round', 'pull both together'],
  hairpin: ['draw the hairpin with a pick and catch it', 'pull straight'],
  twist: ['turn to its mark', 'pull'],
  'spring-clamp': [
    'squeeze the clamp and slide it back past the bead',
    'break the hose’s seal with a pick or a twist',
    'pull',
  ],
  'worm-clamp': ['slack the clamp, slide it back', 'break the hose’s seal with a twist', 'pull'],
  'ear-clamp': ['cut the ear; a new clamp goes back', 'break the hose’s seal with a twist', 'pull'],
  'lock-plug': ['slide the catch across', 'press, and pull the plug, not the wire'],
  bolt: ['undo it, bag the bolt by its number'],
  flare: ['hold the fitting with the second spanner', 'undo the nut'],
  other: ['look first how it lets go'],
};

/** Fittings whose clip snaps, also on a young vehicle. Common practice, no source. */
const brittle: Partial<Record<Fitting, string>> = {
  'push-tab': 'tabs snap: a spare clip at hand',
  hairpin: 'the pin springs away: a spare at hand',
  'lock-plug': 'catches snap: no force',
};

/** What is done to a support, by what it is. Common practice, no source. */
const supportOff: Record<Support['kind'], string[]> = {
  strap: ['back to its last few threads', 'unhook its other end', 'off, with an arrow to the front'],
  bar: ['nuts back to their last few threads, turn about', 'lift a few millimetres if it pinches', 'off, numbered'],
  'j-bolt': ['nut back to its last few threads', 'unhook it', 'off, numbered by place'],
  bolt: ['bolt out, bagged with its washers and spacers by place'],
  flange: ['bolts out crosswise, two opposite ones left by a few threads', 'the last two as it is carried'],
};

/**
 * What takes the weight before the first support goes. Common practice, no source.
 *
 * @example carrierUnder(pads).text // 'a hand on it, the place it goes to padded'
 */
export function carrierUnder(vehicle: VehicleFile): Step {
  const { by, people } = carriedBy(vehicle);
  const caution = `stay out from under it until ${carryingWord(vehicle).replace('just ', '')}`;
  if (!byJack(vehicle))
    return {
      text:
        people > 1 ? 'two people hold it, a padded board where it goes' : 'a hand on it, the place it goes to padded',
      tools: by.includes('board') ? ['padded board'] : [],
      caution: 'it is dry, and tips towards you as the last one lets go',
    };
  if (by[0] === 'two jacks')
    return {
      text: 'padded jacks under both ends, or one with a board of two thirds of the tank, just taking the load, clear of what holds it',
      tools: ['two jacks', 'pads'],
      caution,
    };
  if (by[0] === 'board on a jack')
    return {
      text: 'padded board on the jack under the whole floor, just taking the load, clear of what holds it',
      tools: ['jack', 'padded board'],
      caution,
    };
  return {
    text: 'padded jack under the middle of the weight, just taking the load, clear of what holds it',
    tools: ['jack', 'pad'],
    caution,
  };
}

const fastenerOf = ({ vehicle }: TankState, support: Support) =>
  vehicle.fasteners.find((f) => f.id === support.fastener);

/** What a support's fastener is turned with. @example supportTools(state, strap) // ['15 mm socket'] */
export function supportTools(state: TankState, support: Support): string[] {
  const fastener = fastenerOf(state, support);
  return [
    ...(fastener?.hex ? [`${fastener.hex} socket`] : []),
    ...(fastener?.counter ? [`${fastener.counter} spanner for the other side`] : []),
  ];
}

function supportSteps(state: TankState, support: Support, last: boolean): Step[] {
  const fastener = fastenerOf(state, support);
  const tools = supportTools(state, support);
  const texts = supportOff[support.kind];
  return texts.map((text, i): Step => {
    const caution =
      last && i === texts.length - 1
        ? 'the last one: two people, or walk its nut down with plenty of thread left'
        : i === 0 && fastener?.likelyToBreak
          ? 'it breaks easily: soaked, and a spare at hand'
          : undefined;
    return { text: `${support.name}: ${text}`, tools: i === 0 ? tools : [], ...(caution ? { caution } : {}) };
  });
}

/**
 * A stop expanded into what a person does, in order: marks, tools, how the fitting lets go, caps, bags.
 *
 * @param tags ledger key → number written on it
 * @example stepsOf(state, stop.actions, { 'line:feed': 7 })[0]!.text // 'paint 7 on both ends of the feed line'
 */
export function stepsOf(state: TankState, actions: readonly Action[], tags: Record<string, number> = {}): Step[] {
  const supports = actions.filter((a) => a.type === 'support');
  return actions.flatMap((action) => {
    const tag = tags[action.key];
    if (action.type === 'support') {
      const support = present(
        state.vehicle.supports.find((s) => keyOf('support', s.id) === action.key),
        'support',
        action.key,
      );
      const steps = supportSteps(state, support, action === supports.at(-1) && supports.length > 1);
      return action === supports[0] ? [carrierUnder(state.vehicle), ...steps] : steps;
    }
    const line = state.vehicle.connections.find((c) => c.id === splitKey(action.key).id);
    return action.type === 'part' && line ? lineSteps(action, line, tag) : otherSteps(state.vehicle, action, tag);
  });
}

function lineSteps(action: Action, line: Connection, tag: number | undefined): Step[] {
  const number = tag === undefined ? 'its number' : String(tag);
  return [
    { text: `paint ${number} on both ends of the ${line.name}`, tools: ['paint pen'] },
    ...letsGo[line.fitting].map((text, i): Step => ({
      text: i === 0 ? `${line.name}: ${text}` : text,
      tools: i === 0 ? toolsOf(action) : [],
      ...(i === 0 && cautionOf(line) ? { caution: cautionOf(line)! } : {}),
    })),
    ...(action.cap ? [{ text: 'cap both ends at once', tools: ['caps'] }] : []),
  ];
}

/** What is said before the hand moves: what is wet, what snaps, and what cannot be undone. */
const cautionOf = (line: Connection): string | null =>
  [
    ...(line.wetWhenOpen ? ['wet inside: tray under it, eyes and hands covered, device up on the cart'] : []),
    ...(brittle[line.fitting] ? [brittle[line.fitting]!] : []),
    ...(line.fitting === 'ear-clamp'
      ? ['a cut is not undone: is a new clamp here, and what has not been tried yet?']
      : []),
  ].join('; ') || null;

function otherSteps(vehicle: VehicleFile, action: Action, tag: number | undefined): Step[] {
  const number = tag === undefined ? '' : ` ${tag}`;
  if (action.type === 'unclip')
    return [{ text: `${action.name} off the rail, tag${number} on it: the line comes slack`, tools: toolsOf(action) }];
  const own = obstructionOf(vehicle, splitKey(action.key).id)?.clear.find((w) => w.id === action.way)?.caution;
  if (own) return [{ text: `${action.name}${number}: ${own}`, tools: toolsOf(action) }];
  return [
    { text: `${action.name}: mark how it sits, tag${number}`, tools: ['paint pen'] },
    { text: `${action.name} out of the way, bolts in a bag with its number`, tools: toolsOf(action) },
  ];
}

const toolsOf = (action: Action): string[] => [
  ...action.tools,
  ...(action.people > 1 ? ['a second pair of hands'] : []),
];

/**
 * A stop as one says it aloud: the height, what comes off, what is capped, the look.
 *
 * @example spokenStop({ height: '40 mm, two fingers', actions, tags, look: true })
 * // '40 mm, two fingers. Part return line 8. Cap 8, both ends. Look: anything tight?'
 */
export function spokenStop(stop: {
  height: string;
  actions: readonly Action[];
  tags: Record<string, number>;
  look: boolean;
}): string {
  const verb: Record<Action['type'], string> = { part: 'Part', unclip: 'Unclip', clear: 'Clear', support: 'Take off' };
  const name = (a: Action) => `${a.name}${stop.tags[a.key] === undefined ? '' : ` ${stop.tags[a.key]}`}`;
  const said = stop.actions.map((a) => `${verb[a.type]} ${name(a)}`);
  const caps = stop.actions.filter((a) => a.cap).map((a) => stop.tags[a.key] ?? a.name);
  return [
    `${stop.height}.`,
    ...(said.length > 0 ? [`${said.join(', ')}.`] : []),
    ...(caps.length > 0 ? [`Cap ${caps.join(' and ')}, both ends.`] : []),
    ...(stop.look ? ['Look: anything tight?'] : []),
  ].join(' ');
}
