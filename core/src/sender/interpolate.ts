/** Ohms at a height, straight between the points on either side; null outside of them. @example interpolate(points, 40) */
export function interpolate(points: readonly { mm: number; ohms: number }[], mm: number): number | null {
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    if (mm < a.mm || mm > b.mm) continue;
    return b.mm === a.mm ? (a.ohms + b.ohms) / 2 : a.ohms + ((mm - a.mm) / (b.mm - a.mm)) * (b.ohms - a.ohms);
  }
  return null;
}
