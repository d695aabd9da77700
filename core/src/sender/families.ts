/** A family of level senders, by what it reads at its two stops. */
export interface SenderFamily {
  /** As people name it: “20 to 80”. */
  name: string;
  /** Ω */
  empty: number;
  /** Ω */
  full: number;
}

const family = (empty: number, full: number): SenderFamily => ({ name: `${empty} to ${full}`, empty, full });

/**
 * Families of level senders, Ω empty to full. From memory and common practice; they overlap, so that one value never names
 * one: somebody does.
 */
export const senderFamilies: readonly SenderFamily[] = [
  family(0, 90),
  family(240, 33),
  family(73, 10),
  family(10, 180),
  family(80, 20),
  family(20, 80),
  family(990, 52),
  family(16, 158),
  family(40, 250),
  family(250, 40),
  family(110, 3),
];
