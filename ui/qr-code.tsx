import { create } from 'qrcode';

/** Modules of quiet round a code, as its standard (ISO/IEC 18004) wants. */
const QUIET = 4;

/** An address as a QR code that a phone opens. */
export function QrCode({ address, label }: { address: string; label: string }) {
  const { modules } = create(address, { errorCorrectionLevel: 'M' });
  const { size, data } = modules;
  let path = '';
  for (let y = 0; y < size; y++) for (let x = 0; x < size; x++) if (data[y * size + x]) path += `M${x + QUIET},${y + QUIET}h1v1h-1z`;
  const side = size + 2 * QUIET;
  return (
    <svg
      viewBox={`0 0 ${side} ${side}`}
      role="img"
      aria-label={label}
      data-qr={label}
      shapeRendering="crispEdges"
      style={{ display: 'block', width: '100%' }}
    >
      <rect width={side} height={side} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
