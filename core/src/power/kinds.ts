import { IsBoolean, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { defineKind } from '../kernel/index.ts';
import type { PowerSlice } from './slice.ts';

/** Battery negative on its post, or off. */
class BatteryBody {
  /** True once it is on. */
  @IsBoolean() on!: boolean;
}

/** The key turned on. */
class KeyOnBody {
  /** Where the tank hangs. */
  @IsIn(['test stop', 'home']) where!: 'test stop' | 'home';
  /** How the fuel comes forward. */
  @IsIn(['pump', 'crank', 'hand', 'none']) primed!: 'pump' | 'crank' | 'hand' | 'none';
}

/** Nothing more to say, or a few words. */
class BriefBody {
  /** In words. */
  @IsOptional() @IsString() @MaxLength(200) words?: string;
}

/** Battery negative goes on or off. */
export const battery = defineKind<'battery', BatteryBody, PowerSlice>({
  kind: 'battery',
  version: 1,
  Body: BatteryBody,
  apply: (_own, { on }, { tell }) => tell('battery', { on }),
  touches: () => ({ reads: [], writes: ['battery', 'gate:2', 'gate:2:battery', 'gate:4', 'gate:4:battery'] }),
  words: ({ on }) => `battery ${on ? 'on' : 'off'}`,
  arbitrary: (f) => f.record({ on: f.boolean() }),
});

/** The key is turned on: what was confirmed without pressure ends with it. */
export const keyOn = defineKind<'keyOn', KeyOnBody, PowerSlice>({
  kind: 'keyOn',
  version: 1,
  Body: KeyOnBody,
  apply: (own, { where, primed }, { moment: { id, by, at }, tell }) => {
    own.keyTurns.push({ id, where, primed, by, at, off: null });
    tell('keyOn', {});
  },
  touches: () => ({ reads: [], writes: ['key', 'pressure', 'gate:1', 'gate:4'] }),
  words: () => 'key on',
  arbitrary: (f) =>
    f.record({ where: f.constantFrom('test stop' as const, 'home' as const), primed: f.constant('pump' as const) }),
});

/** The key is off again. */
export const keyOff = defineKind<'keyOff', BriefBody, PowerSlice>({
  kind: 'keyOff',
  version: 1,
  Body: BriefBody,
  apply: (own, _body, { moment: { at } }) => {
    for (const turn of own.keyTurns) if (turn.off === null) turn.off = at;
  },
  touches: () => ({ reads: [], writes: ['key'] }),
  words: () => 'key off',
  arbitrary: (f) => f.constant({}),
});

/** The vehicle was moved: how it is held and the air about it are another. */
export const vehicleMoved = defineKind<'vehicleMoved', BriefBody, PowerSlice>({
  kind: 'vehicleMoved',
  version: 1,
  Body: BriefBody,
  apply: (_own, _body, { tell }) => tell('vehicleMoved', {}),
  touches: () => ({ reads: [], writes: ['vehicle', 'gate:1', 'gate:1:support', 'gate:1:air'] }),
  words: () => 'vehicle moved',
  arbitrary: (f) => f.constant({}),
});
