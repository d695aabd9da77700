import { createRequire } from 'node:module';
import type { TFontDictionary } from 'pdfmake/interfaces.js';

const { resolve } = createRequire(import.meta.url);
const archivo = (subset: 'latin' | 'latin-ext', weight: 400 | 700): string =>
  resolve(`@fontsource/archivo/files/archivo-${subset}-${weight}-normal.woff`);
const math = resolve('@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff');
const family = (normal: string, bold: string) => ({ normal, bold, italics: normal, bolditalics: bold });

/** Static woff files that ship with it: variable fonts and woff2 make text that cannot be seen. */
export const fonts: TFontDictionary = {
  Archivo: family(archivo('latin', 400), archivo('latin', 700)),
  ArchivoExt: family(archivo('latin-ext', 400), archivo('latin-ext', 700)),
  // Ω ≤ ≥ ≈ → √, which the others lack.
  Math: family(math, math),
};

/** What each file has, in ranges of code points; the first that has a sign writes it. */
const COVERS: readonly (readonly [keyof typeof fonts & string, RegExp])[] = [
  [
    'Archivo',
    /[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02c6\u02dc\u2013\u2014\u2018-\u201e\u2022\u2026\u2032\u2033\u20ac\u2122\u2212\u00b7]/,
  ],
  ['ArchivoExt', /[\u0100-\u024f\u1e00-\u1eff]/],
  ['Math', /[\u0370-\u03ff\u2190-\u21ff\u2200-\u22ff]/],
];

/** A piece of text that one font can write. */
export interface Run {
  /** Its text. */
  text: string;
  /** Its font. */
  font: string;
}

/**
 * Text in pieces that one font each can write; a sign that none has becomes a question mark, so that nothing is left out unseen.
 *
 * @example runs('62 Ω') // [{ text: '62 ', font: 'Archivo' }, { text: 'Ω', font: 'Math' }]
 */
export function runs(text: string): Run[] {
  const list: Run[] = [];
  for (const sign of text.normalize('NFC').replace(/[\t\n\r]+/g, ' ')) {
    const found = COVERS.find(([, covers]) => covers.test(sign));
    const [font, shown] = found ? [found[0], sign] : ['Archivo', '?'];
    const last = list.at(-1);
    if (last?.font === font) last.text += shown;
    else list.push({ text: shown, font });
  }
  return list;
}
