/** @jest-environment node */
import { EventEmitter } from 'node:events';
import { countError, countRefused, gauge, timed } from '../metrics';
import { kindOf, makeMetrics, mayRead } from './metrics.mjs';

const asked = (method: string, url: string, headers = {}) => ({ method, url, headers });

test('a request is of a kind by what it is for', () => {
  expect(
    [
      asked('POST', '/api/v1/shot-events'),
      asked('GET', '/api/v1/sessions/x/live?after=3'),
      asked('POST', '/api/auth/sign-in/email'),
      asked('GET', '/api/v1/players'),
      asked('GET', '/_next/static/a.js'),
      asked('GET', '/shell/play-1.js'),
      asked('GET', '/icon.svg?x'),
      asked('POST', '/a/here', { 'next-action': 'x' }),
      asked('GET', '/a/here'),
    ].map(kindOf),
  ).toEqual(['balls', 'live', 'sign-in', 'api', 'file', 'file', 'file', 'action', 'page']);
});

test('only the token opens it', () => {
  const by = (authorization?: string) => mayRead({ headers: authorization === undefined ? {} : { authorization } }, 'secret');
  expect([by(), by('secret'), by('Bearer other'), by('Bearer secret ')]).toEqual([false, false, false, false]);
  expect(by('Bearer secret')).toBe(true);
  expect(mayRead({ headers: { authorization: 'Bearer ' } }, '')).toBe(false);
});

test('requests, sums, errors and what waits are counted', async () => {
  const metrics = makeMetrics();
  const response = Object.assign(new EventEmitter(), { statusCode: 409 });
  metrics.count(asked('POST', '/api/v1/shot-events') as never, response as never);
  response.emit('close');
  countError();
  countRefused(3);
  gauge('sums_waiting', () => 7);
  expect(await timed('belief', () => Promise.resolve('answer'))).toBe('answer');
  await expect(timed('board', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  const text = await metrics.text();
  for (const line of [
    'inch_requests_total{kind="balls",method="POST",status="4xx"} 1',
    'inch_request_seconds_count{kind="balls"} 1',
    'inch_sum_seconds_count{kind="belief"} 1',
    'inch_sum_seconds_count{kind="board"} 1',
    'inch_errors_total 1',
    'inch_refused_events_total 3',
    'inch_sums_waiting 7',
    'inch_connections_busy 0',
  ])
    expect(text).toContain(line);
});
