import { readFileSync } from 'node:fs';

/** Contrast of every pair that is used, in both themes (WCAG 2.2: text 4.5:1, controls and shapes 3:1). */
const css = readFileSync(new URL('./tokens.css', import.meta.url), 'utf8');
const theme = (name: string): Record<string, string> => {
  const block = new RegExp(`:root\\[data-theme='${name}'\\] \\{([^}]*)\\}`).exec(css)![1]!;
  return Object.fromEntries([...block.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})/gi)].map((m) => [m[1]!, m[2]!]));
};
type Rgb = [number, number, number];
const rgb = (hex: string): Rgb => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as Rgb;
const linear = (v: number) => (v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4);
const luminance = (c: Rgb) => 0.2126 * linear(c[0]) + 0.7152 * linear(c[1]) + 0.0722 * linear(c[2]);
const contrast = (a: string, b: string) => {
  const [x, y] = [luminance(rgb(a)), luminance(rgb(b))].sort((p, q) => q - p) as [number, number];
  return (x + 0.05) / (y + 0.05);
};

const text = [
  ['ink', 'ground'],
  ['ink', 'sheet'],
  ['ink', 'well'],
  ['quiet', 'ground'],
  ['quiet', 'sheet'],
  ['quiet', 'well'],
  ['work', 'ground'],
  ['work', 'sheet'],
  ['on-work', 'work'],
  ['ground', 'ink'],
  ['sheet', 'ink'],
  ['halt', 'ground'],
  ['halt', 'sheet'],
  ['go', 'sheet'],
  ['look', 'sheet'],
  ['fuel', 'sheet'],
] as const;
const shapes = [
  ['edge', 'ground'],
  ['edge', 'sheet'],
  ['go-fill', 'sheet'],
  ['go-fill', 'ground'],
  ['halt', 'well'],
  ['unknown', 'sheet'],
  ['unknown', 'ground'],
  ['work', 'well'],
  // Paint and the triangle lie inside an ink outline, which carries the contrast.
  ['paint', 'paint-edge'],
  ['paint-edge', 'paint'],
] as const;

describe.each(['day', 'night', 'glare'])('%s', (name) => {
  const tokens = theme(name);
  test.each(text)('text %s on %s at least 4.5:1', (a, b) =>
    expect(contrast(tokens[a]!, tokens[b]!)).toBeGreaterThanOrEqual(4.5),
  );
  test.each(shapes)('shape %s on %s at least 3:1', (a, b) =>
    expect(contrast(tokens[a]!, tokens[b]!)).toBeGreaterThanOrEqual(3),
  );
  test('only paint is yellow: no other token is near its hue', () => {
    const hue = (hex: string) => {
      const [r, g, b] = rgb(hex);
      const max = Math.max(r, g, b);
      const d = max - Math.min(r, g, b);
      if (d < 40) return null;
      return ((max === r ? ((g - b) / d) % 6 : max === g ? (b - r) / d + 2 : (r - g) / d + 4) * 60 + 360) % 360;
    };
    const yellow = hue(tokens.paint!)!;
    for (const [key, value] of Object.entries(tokens)) {
      const h = hue(value);
      if (key !== 'paint' && h !== null) expect(Math.abs(h - yellow)).toBeGreaterThan(12);
    }
  });
});

test('the two themes name the same tokens', () =>
  expect(Object.keys(theme('day')).sort()).toEqual(Object.keys(theme('night')).sort()));
