import { EventEmitter } from 'node:events';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { Metrics } from './metrics';

test('requests are counted by method, room and status, never by what was asked for', async () => {
  const metrics = new Metrics();
  const ask = (url: string, statusCode: number) => {
    const res = Object.assign(new EventEmitter(), { statusCode });
    metrics.watch({ url, method: 'GET' } as IncomingMessage, res as unknown as ServerResponse);
    res.emit('finish');
  };
  ask('/quilts/0198c000-0000-7000-8000-000000000000/stand?zone=x', 200);
  ask('/quilts/another', 404);
  ask('/', 200);
  ask('/secret-path', 200);
  const { body, type } = await metrics.text();
  expect(type).toContain('text/plain');
  expect(body).toContain('tidy_spool_request_seconds_count{method="GET",room="quilts",status="200"} 1');
  expect(body).toContain('room="rack",status="200"} 1');
  expect(body).toContain('room="other"');
  expect(body).not.toContain('secret-path');
  expect(body).not.toContain('0198c000');
});
