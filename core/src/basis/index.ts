/** Where a figure comes from. Every number the product judges by carries one. */
export type BasisKind =
  'published' | 'common practice' | 'from memory' | 'measured' | 'learned' | 'typical' | 'shop' | 'computed';

export interface Basis {
  kind: BasisKind;
  /** The document, for `published` and `from memory`; the formula, for `computed`. */
  source?: string;
  /** How many signed jobs it was learned from. */
  count?: number;
}

export const measured: Basis = { kind: 'measured' };
export const typical: Basis = { kind: 'typical' };
export const shopRule: Basis = { kind: 'shop' };
export const commonPractice: Basis = { kind: 'common practice' };
export const published = (source: string): Basis => ({ kind: 'published', source });
export const fromMemory = (source: string): Basis => ({ kind: 'from memory', source });
export const computed = (source: string): Basis => ({ kind: 'computed', source });
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
  }
}
