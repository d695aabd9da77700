import { create } from 'qrcode';

/** A QR code as one path, so that it prints sharp. */
export function Code({ text, size = 92 }: { text: string; size?: number }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const n = modules.size;
  let d = '';
  for (let y = 0; y < n; y++) for (let x = 0; x < n; x++) if (modules.get(y, x)) d += `M${x} ${y}h1v1h-1Z`;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`-2 -2 ${n + 4} ${n + 4}`}
      role="img"
      aria-label="code of this record"
      className="bg-white"
      shapeRendering="crispEdges"
    >
      <path d={d} fill="#141c1e" />
    </svg>
  );
}
