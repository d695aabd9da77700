import { castDraft } from 'immer';
import type { Sentence } from '../quantity/index.ts';
import { defineSlice, type RecordLine } from '../kernel/index.ts';

/** Something that happened and should not have; printed, never hidden. */
interface Flag {
  /** Id of the entry. */
  id: string;
  /** In words. */
  text: Sentence;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** A note, perhaps about a thing. */
interface Note {
  /** What it says. */
  text: string;
  /** Ledger key; null where it is about none. */
  key: string | null;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** A photo, perhaps of a thing. */
interface Photo {
  /** Id of the entry. */
  id: string;
  /** Id of the picture. */
  file: string;
  /** Ledger key; null where it is of none. */
  key: string | null;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** A wait that uses no hands. */
export interface Wait {
  /** For what. */
  what: string;
  /** How long it takes, minutes; null where nobody said. */
  minutes: number | null;
  /** ISO time until which it runs; null where nobody said. */
  until: string | null;
  /** Must the vehicle stay in its bay? null where nobody said. */
  bay: boolean | null;
  /** ISO time. */
  started: string;
  /** ISO time; null while it runs. */
  ended: string | null;
  /** Person's id. */
  by: string;
}

/** What was written down, photographed, waited for; what should not have happened. */
export interface JournalSlice {
  /** Notes, oldest first. */
  notes: readonly Note[];
  /** Photos, oldest first. */
  photos: readonly Photo[];
  /** Waits, oldest first. */
  waits: readonly Wait[];
  /** Why the job rests; null while it goes on. */
  parked: string | null;
  /** What should not have happened. */
  flags: readonly Flag[];
}

/** Holds the journal. */
export const journalSlice = defineSlice<JournalSlice>({
  name: 'journal',
  start: () => ({ notes: [], photos: [], waits: [], parked: null, flags: [] }),
  hears: {
    flagged: (own, { text }, { moment: { id, by, at } }) => void own.flags.push({ id, text: castDraft(text), by, at }),
  },
  record: ({ flags, notes }) => [
    ...flags.map(({ text, by, at }): RecordLine => ({ under: 'flags', text, by, at })),
    ...notes.map(({ text, by, at }): RecordLine => ({ under: 'work', text, by, at })),
  ],
});
