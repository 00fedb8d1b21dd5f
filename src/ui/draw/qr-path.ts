import QRCode from 'qrcode';

/** A text as the squares of a QR code, each one wide: a path, and how many to a side. */
export function qrPath(text: string): { d: string; size: number } {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const { size, data } = modules;
  const d = Array.from(data)
    .map((on, i) => (on ? `M${i % size} ${Math.floor(i / size)}h1v1h-1z` : ''))
    .join('');
  return { d, size };
}
