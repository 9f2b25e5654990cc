import { actionBody, makeGate, badRequest, makeSenderOf, makeSmaller, strictly } from './front.mjs';

const from = (remoteAddress: string, forwarded?: string) => ({
  socket: { remoteAddress },
  headers: forwarded === undefined ? {} : { 'x-forwarded-for': forwarded },
});

test('without a proxy that is named nobody says by a header who they are', () => {
  const senderOf = makeSenderOf();
  expect(senderOf(from('203.0.113.7', '198.51.100.1'))).toBe('203.0.113.7');
  expect(senderOf(from('::ffff:203.0.113.7'))).toBe('203.0.113.7');
});

test('a proxy that is named says it, by the last address of its header', () => {
  const senderOf = makeSenderOf('127.0.0.1, 10.0.0.2');
  expect(senderOf(from('127.0.0.1', '6.6.6.6, 203.0.113.7'))).toBe('203.0.113.7');
  expect(senderOf(from('::ffff:10.0.0.2', '203.0.113.8'))).toBe('203.0.113.8');
  expect(senderOf(from('203.0.113.9', '6.6.6.6'))).toBe('203.0.113.9');
  expect(senderOf(from('127.0.0.1'))).toBe('127.0.0.1');
});

test('in a chain of proxies that are named it is whom the first of them heard', () => {
  const senderOf = makeSenderOf('127.0.0.1, 10.0.0.2');
  expect(senderOf(from('127.0.0.1', '203.0.113.7, 10.0.0.2'))).toBe('203.0.113.7');
  expect(senderOf(from('127.0.0.1', '6.6.6.6, 203.0.113.7, ::ffff:10.0.0.2'))).toBe('203.0.113.7');
  // A proxy that nobody named is a sender like any other.
  expect(senderOf(from('127.0.0.1', '203.0.113.7, 10.0.0.3, 10.0.0.2'))).toBe('10.0.0.3');
  // Who is at home in the chain themselves.
  expect(senderOf(from('127.0.0.1', '10.0.0.2'))).toBe('10.0.0.2');
});

test('all addresses of one IPv6 network are one sender', () => {
  const senderOf = makeSenderOf();
  const all = ['2001:db8:1:2::1', '2001:db8:1:2:ffff::9', '2001:db8:1:2:3:4:5:6'].map((address) => senderOf(from(address)));
  expect(new Set(all)).toEqual(new Set(['2001:db8:1:2::']));
  expect(senderOf(from('2001:db8:1:3::1'))).not.toBe(all[0]);
  expect(senderOf(from('::1'))).toBe('0:0:0:0::');
});

const PUBLIC = 'https://golf.example';
const action = { 'next-action': 'x' };

test.each([
  ['/a/%00', {}, 400],
  ['/a/%E0%A4%A', {}, 400],
  ['//evil\\', {}, 400],
  ['/a', { origin: 'not an origin' }, 400],
  ['/a', { origin: 'http://' }, 400],
  ['/a', { origin: 'http://[' }, 400],
  ['/a', { 'content-type': 'multipart/form-data; boundary=x' }, 415],
  ['/a', { ...action, origin: 'null' }, 403],
  ['/a', { ...action, origin: 'https://elsewhere.example' }, 403],
  ['/a', action, 403],
])('%s with %j is no request', (url, headers, status) => expect(badRequest({ method: 'POST', url, headers }, PUBLIC)?.[0]).toBe(status));

const json = { 'content-type': 'application/json', 'content-length': '2' };
test.each([
  [json, 403],
  [{ ...json, origin: 'null' }, 403],
  [{ ...json, origin: 'https://elsewhere.example' }, 403],
  [{ ...json, 'sec-fetch-site': 'cross-site' }, 403],
  [{ ...json, origin: PUBLIC, 'content-type': 'text/plain' }, 415],
  [{ 'transfer-encoding': 'chunked', authorization: 'Bearer x' }, 415],
  [{ ...json, origin: PUBLIC }, undefined],
  [{ ...json, 'sec-fetch-site': 'same-origin' }, undefined],
  [{ ...json, authorization: 'Bearer x' }, undefined],
  [{ origin: PUBLIC }, undefined],
])('what is written under /api with %j is answered %s', (headers, status) => {
  for (const method of ['POST', 'PUT', 'DELETE'])
    expect(badRequest({ method, url: '/api/v1/shot-events', headers }, PUBLIC)?.[0]).toBe(status);
  expect(badRequest({ method: 'GET', url: '/api/v1/link', headers: {} }, PUBLIC)).toBeNull();
});

test('an archive comes as what it is, from the program’s own pages or with a key', () => {
  const post = (headers: Record<string, string>) =>
    badRequest({ method: 'POST', url: '/api/v1/archive?academy=here', headers } as never, PUBLIC);
  const zip = { 'content-type': 'application/zip', 'content-length': '9' };
  expect(post({ ...zip, origin: PUBLIC })).toBeNull();
  expect(post({ ...zip, authorization: 'Bearer x' })).toBeNull();
  expect(post({ ...zip, origin: 'https://elsewhere.example' })?.[0]).toBe(403);
  expect(post({ ...json, origin: PUBLIC })?.[0]).toBe(415);
});

test('over https browsers are told to stay there', () => {
  expect(strictly(PUBLIC)).toEqual({ 'Strict-Transport-Security': 'max-age=31536000' });
  expect(strictly('http://127.0.0.1:3000')).toEqual({});
});

test.each([
  ['/a/lantern-hollow?to=2026', {}],
  ['/a/caf%C3%A9', { origin: PUBLIC }],
  ['/', { origin: 'null' }],
  ['/', { origin: 'http://127.0.0.1:3000' }],
  ['/a', { ...action, origin: PUBLIC }],
])('%s with %j is one', (url, headers) => expect(badRequest({ url, headers }, PUBLIC)).toBeNull());

async function* sent(...parts: string[]) {
  for (const part of parts) yield Buffer.from(part);
}

test.each(['[]', '["here",{"a":"$D2026-05-01T18:00:00.000Z"}]', '["$undefined","$$5","$NaN","$-Infinity",null,1.5]'])(
  'an action is sent %s',
  async (text) => expect(await actionBody(sent(text.slice(0, 1), text.slice(1)))).toEqual({ body: Buffer.from(text) }),
);

test.each(['', '[', 'null', '{}', '["$1"]', '["$"]', '["$D9999"]', '[{"a":["$@7"]}]'])('no action is sent %s', async (text) =>
  expect(await actionBody(sent(text))).toMatchObject({ wrong: [400, expect.any(String)] }),
);

test('what is too large for an action is refused before it is all read', async () => {
  const parts = Array.from({ length: 2000 }, () => 'x'.repeat(1000));
  expect(await actionBody(sent(...parts))).toMatchObject({ wrong: [413, expect.any(String)] });
});

test('so many at once are let in, the others in the order in which they came, and who leaves twice leaves once', async () => {
  const gate = makeGate(2);
  const entered: string[] = [];
  const enter = async (name: string) => {
    const leave = await gate();
    entered.push(name);
    return leave;
  };
  const settled = () => new Promise(setImmediate);
  const [leaveA, leaveB] = await Promise.all([enter('a'), enter('b')]);
  const [c, d] = [enter('c'), enter('d')];
  await settled();
  expect(entered).toEqual(['a', 'b']);
  leaveA();
  leaveA();
  await settled();
  expect(entered).toEqual(['a', 'b', 'c']);
  leaveB();
  await d;
  expect(entered).toEqual(['a', 'b', 'c', 'd']);
  for (const left of [await c, await d]) left();
  await enter('e');
  expect(entered).toEqual(['a', 'b', 'c', 'd', 'e']);
});

describe('a file of which there is a smaller one', () => {
  const asked = (url: string, accepts: string | undefined) => {
    const request = { url, headers: { 'accept-encoding': accepts } };
    const headers: Record<string, string> = {};
    makeSmaller(new Set(['/shell/play-1.js', '/_next/static/a.css']))(request, { setHeader: (name, value) => (headers[name] = value) });
    return [request.url, headers];
  };

  it('is the one that is sent to whoever can read it', () => {
    expect(asked('/shell/play-1.js', 'gzip, deflate, br, zstd')).toEqual([
      '/shell/play-1.js.br',
      { Vary: 'Accept-Encoding', 'Content-Encoding': 'br', 'Content-Type': 'application/javascript; charset=UTF-8' },
    ]);
    expect(asked('/_next/static/a.css?v=1', 'br;q=0.5')).toEqual([
      '/_next/static/a.css.br?v=1',
      { Vary: 'Accept-Encoding', 'Content-Encoding': 'br', 'Content-Type': 'text/css; charset=UTF-8' },
    ]);
  });

  it('stays as it is for all others', () => {
    for (const accepts of [undefined, 'gzip', 'br;q=0, gzip', 'brand-new'])
      expect(asked('/shell/play-1.js', accepts)).toEqual(['/shell/play-1.js', { Vary: 'Accept-Encoding' }]);
    expect(asked('/shell/page.html', 'br')).toEqual(['/shell/page.html', {}]);
  });
});
