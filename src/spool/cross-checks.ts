import { CoreError } from '@/core/notes';

/** Checks a schema cannot say: pairs of fields that must stand in order. */
export function crossCheck(request: unknown, path = ''): void {
  if (Array.isArray(request)) return request.forEach((item, i) => crossCheck(item, `${path}[${i}]`));
  if (request === null || typeof request !== 'object') return;
  const fields = request as Record<string, unknown>;
  const at = (key: string) => (path ? `${path}.${key}` : key);
  const inOrder = (low: string, high: string) => {
    if (typeof fields[low] === 'number' && typeof fields[high] === 'number' && fields[low] > fields[high])
      throw new CoreError('out-of-order', `${low} ${fields[low]} is above ${high} ${fields[high]}.`, at(low));
  };
  inOrder('minSpi', 'maxSpi');
  inOrder('idleMinSpm', 'idleMaxSpm');
  if (typeof fields.od === 'number' && typeof fields.core === 'number' && fields.core >= fields.od)
    throw new CoreError(
      'out-of-order',
      `The bobbin’s core ${fields.core} mm is not smaller than its flange ${fields.od} mm.`,
      at('core'),
    );
  const range = fields.labelNeedleNm;
  if (Array.isArray(range) && range[0] > range[1])
    throw new CoreError(
      'out-of-order',
      `Needle range ${range[0]} to ${range[1]} runs backwards.`,
      at('labelNeedleNm'),
    );
  for (const [key, value] of Object.entries(fields)) crossCheck(value, at(key));
}
