import { remedies, remedyIds } from './remedies.ts';

/** A wait people often start. */
export interface UsualWait {
  /** For what. */
  what: string;
  /** Minutes it usually takes; null: it has a day, which somebody says. */
  minutes: number | null;
  /** Must the vehicle stay in its bay? */
  bay: boolean;
}

/**
 * Waits that use no hands: what dries, cures and works, what is on order, who decides. Minutes common practice, no source; what
 * stands on the tin comes first.
 */
export const usualWaits: readonly UsualWait[] = [
  ...remedyIds.flatMap((id): UsualWait[] => {
    const { wait, bay } = remedies[id];
    return wait ? [{ what: wait.what, minutes: wait.typ, bay }] : [];
  }),
  { what: 'sealant or locker sets', minutes: 60, bay: true },
  { what: 'part on order', minutes: null, bay: false },
  { what: 'owner decides', minutes: null, bay: false },
];
