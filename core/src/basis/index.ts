/** Where a figure comes from. Every number the product judges by carries one. */
export type BasisKind =
  | 'published'
  | 'common practice'
  | 'from memory'
  | 'measured'
  | 'seen'
  | 'told'
  | 'guessed'
  | 'learned'
  | 'typical'
  | 'shop'
  | 'computed';

/** Where a figure or a judgement comes from. */
export interface Basis {
  /** Of which sort it is. */
  kind: BasisKind;
  /** The document, for `published` and `from memory`; the formula, for `computed`. */
  source?: string;
  /** How many signed jobs it was learned from. */
  count?: number;
}

/** Somebody measured it here. */
export const measured: Basis = { kind: 'measured' };
/** Somebody looked at it here, and judged by eye. */
export const seen: Basis = { kind: 'seen' };
/** Somebody guessed it. */
export const guessed: Basis = { kind: 'guessed' };
/** Usual for the kind of thing. */
export const typical: Basis = { kind: 'typical' };
/** The shop set it. */
export const shopRule: Basis = { kind: 'shop' };
/** What people of the trade do; no source. */
export const commonPractice: Basis = { kind: 'common practice' };
/** From a source that was not at hand: to be looked up before it is trusted. @example fromMemory('NIOSH 94-110') */
export const fromMemory = (source: string): Basis => ({ kind: 'from memory', source });
/** Follows from other figures. @example computed('moments of shell and fuel') */
export const computed = (source: string): Basis => ({ kind: 'computed', source });
/** Seen on so many signed jobs. @example learned(3) */
export const learned = (count: number): Basis => ({ kind: 'learned', count });

/**
 * A basis in the words a person reads behind a figure.
 *
 * @example basisInWords(learned(3)) // 'learned from 3 jobs'
 */
export function basisInWords(basis: Basis): string {
  switch (basis.kind) {
    case 'published':
      return `published: ${basis.source ?? 'document not named'}`;
    case 'from memory':
      return `from memory of ${basis.source ?? 'a published value'}`;
    case 'common practice':
      return 'common practice, no source';
    case 'learned':
      return `learned from ${basis.count ?? 1} ${basis.count === 1 ? 'job' : 'jobs'}`;
    case 'typical':
      return 'typical for this kind of mounting, not measured on this vehicle';
    case 'shop':
      return 'the shop’s own rule';
    case 'computed':
      return basis.source ? `computed: ${basis.source}` : 'computed';
    case 'measured':
      return 'measured on this vehicle';
    case 'seen':
      return 'seen on this vehicle, judged by eye';
    case 'told':
      return 'told by somebody, not looked at';
    case 'guessed':
      return 'guessed';
  }
}
