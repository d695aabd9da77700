import { type Sentence } from '../quantity/index.ts';
import type { Pose } from '../pose/index.ts';

/**
 * What kinds tell and slices hear. A subject adds an event of its own in its folder, by declaring this interface once more.
 */
export interface Events {
  /** A thing came off. */
  cameOff: {
    /** Ledger key. */
    key: string;
    /** The way by which it came off; null where nobody said. */
    way: string | null;
    /** Number painted on it, where another than the file's was. */
    tag?: number;
    /** Both open ends were capped at once. */
    capped: boolean;
  };
  /** A thing is back where it belongs; all openings its maker knew are closed. */
  wentBack: {
    /** Ledger key. */
    key: string;
    /** Ids of the openings that end. */
    openings: readonly string[];
  };
  /** The tank hangs elsewhere. */
  moved: {
    /** Where it hung. */
    from: Pose;
    /** Where it hangs. */
    to: Pose;
  };
  /** Something that was thought away stands in the way again. */
  blocksAgain: {
    /** Ledger key. */
    key: string;
  };
  /** A new hose or line went in: its own slack, mm, where somebody measured it. */
  replaced: {
    /** Ledger key. */
    key: string;
    /** mm */
    slack: number | null;
  };
  /** A look on top told this. */
  looked: {
    /** Was it asked? */
    asked: boolean;
    /** Ids of lines that look tight. */
    tight: readonly string[];
    /** Ids of lines with less than two fingers of play. */
    nearly: readonly string[];
    /** All have more than a fist. */
    allFist: boolean;
    /** Ids of lines a hand reaches here. */
    reachable: readonly string[];
    /** Ids of lines that could not be seen. */
    unseen?: readonly string[];
    /** None could be seen. */
    blind?: boolean;
  };
  /** A line was felt taut in a creep. */
  feltTaut: {
    /** Id of the line. */
    line: string;
  };
  /** A fact went past what was guessed of the tank. */
  tankWidened: {
    /** L that were in it at once. */
    litres?: number;
    /** mm that were wet above its floor. */
    mm?: number;
  };
  /** Something happened that should not have; it is printed. */
  flagged: {
    /** In words. */
    text: Sentence;
  };
  /** A wait was started or ended. */
  waiting: {
    /** For what. */
    what: string;
    /** Which. */
    state: 'start' | 'end';
  };
  /** The shape of the tank is another. */
  tankShaped: object;
  /** All supports that were off are back on. */
  supportsBack: object;
  /** The vehicle was moved: its support and the air are another. */
  vehicleMoved: object;
  /** The key was turned on. */
  keyOn: object;
  /** Battery negative went on or off. */
  battery: {
    /** True once it is on. */
    on: boolean;
  };
  /** The ring over the unit was opened or closed. */
  ring: {
    /** Which. */
    state: 'opened' | 'closed';
  };
  /** Another part of the unit goes back, or one is not sound after all. */
  unitChanged: object;
  /** What goes in was held against the old part once more, or does not fit after all. */
  fitChanged: object;
  /** Something that was found is mended. */
  mended: {
    /** What had been found. */
    what: string;
    /** Where. */
    where: string;
    /** What was done. */
    how: string;
  };
  /** Litres went into or out of the tank, or what is known of them changed. */
  fuelChanged: {
    /** Litres came in. */
    in: boolean;
  };
  /** A question that matters was answered. */
  answered: {
    /** Id of the question. */
    question: string;
    /** The thing it is about; null where it is about none. */
    of: string | null;
    /** As its question reads answers. */
    value: unknown;
  };
  /** The shop's figures are these from now on. */
  shopFigures: object;
  /** Two devices said different things of this, neither knowing of the other. */
  unsettled: {
    /** The resource. */
    key: string;
  };
  /** Somebody said what is true of it. */
  settled: {
    /** The resource. */
    key: string;
    /** Where the tank hangs, where that was asked. */
    pose?: Pose;
    /** Is the thing on its place? */
    on?: boolean;
    /** Litres aboard. */
    litres?: number;
    /** Entries the question was between. */
    entries: readonly string[];
  };
  /** The log was opened again after a signature. */
  reopened: object;
}

/** Name of an event. */
export type EventName = keyof Events;
