import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';
import type { IncomingMessage, ServerResponse } from 'node:http';

/** Rooms of the program by the first part of an address; everything else is one. */
const ROOMS = [
  'quilts',
  'log',
  'live',
  'link',
  'workroom',
  'shelf',
  'faults',
  'calendar',
  'today',
  'photographs',
  '_next',
];

/** What this process did, in the common text format; off unless it is asked for (`TIDY_SPOOL_METRICS=1`). */
export class Metrics {
  private readonly registry = new Registry();
  private readonly seconds: Histogram<'method' | 'room' | 'status'>;

  constructor() {
    collectDefaultMetrics({ register: this.registry });
    this.seconds = new Histogram({
      name: 'tidy_spool_request_seconds',
      help: 'Time to answer a request, by method, room of the program and status',
      labelNames: ['method', 'room', 'status'] as const,
      buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 3, 10],
      registers: [this.registry],
    });
  }

  /** Times a request until it is answered. */
  watch(req: IncomingMessage, res: ServerResponse): void {
    const began = performance.now();
    const first = (req.url ?? '').split(/[/?]/)[1] ?? '';
    const room = first === '' ? 'rack' : ROOMS.includes(first) ? first : 'other';
    res.once('finish', () =>
      this.seconds.observe(
        { method: req.method ?? '', room, status: String(res.statusCode) },
        (performance.now() - began) / 1000,
      ),
    );
  }

  async text(): Promise<{ type: string; body: string }> {
    return { type: this.registry.contentType, body: await this.registry.metrics() };
  }
}
